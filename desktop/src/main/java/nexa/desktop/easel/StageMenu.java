package nexa.desktop.easel;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/** What can be done with the photo under the pointer. */
final class StageMenu {
    private final ShootSession session;
    private final StageHand hand;
    private final FindLevel find;
    private final ProposalStrip proposals;
    private final BeyondHand beyond;
    private final PhotoActions actions;

    StageMenu(
            ShootSession session,
            StageHand hand,
            FindLevel find,
            ProposalStrip proposals,
            BeyondHand beyond,
            PhotoActions actions) {
        this.session = session;
        this.hand = hand;
        this.find = find;
        this.proposals = proposals;
        this.beyond = beyond;
        this.actions = actions;
    }

    void listenTo(PhotoStage stage) {
        ContextMenu menu = new ContextMenu();
        stage.setOnContextMenuRequested(event -> {
            menu.getItems().setAll(items());
            menu.show(stage, event.getScreenX(), event.getScreenY());
        });
    }

    private List<MenuItem> items() {
        CropGestures gestures = hand.gestures();
        Tools tools = hand.tools();
        List<MenuItem> items = new ArrayList<>(List.of(
                item("menu.find", find::find),
                item("menu.propose", proposals::propose),
                item("menu.trace", () -> tools.take(Tools.Tool.TRACE)),
                item("menu.draw", () -> tools.take(Tools.Tool.DRAW)),
                item("menu.largest", gestures::largest),
                item("menu.turn", gestures::turnCrop),
                item("menu.reach", beyond::toggle),
                item("spot.set", () -> tools.take(Tools.Tool.SUBJECT))));
        if (session.photo().flatMap(Photo::subject).isPresent()) {
            items.add(item("spot.put", tools::putSubjectOnCrossing));
            items.add(item("spot.clear", tools::clearSubject));
        }
        if (session.photo().filter(session::hasProblem).isPresent()) {
            items.add(item("menu.again", actions::readAgain));
        }
        items.add(item("menu.select", () -> actions.mark(Mark.SELECT)));
        items.add(item("menu.out", () -> actions.mark(Mark.OUT)));
        return items;
    }

    private static MenuItem item(String key, Runnable action) {
        return Parts.item(Words.get(key), action);
    }
}
