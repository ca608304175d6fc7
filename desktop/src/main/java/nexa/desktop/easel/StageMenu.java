package nexa.desktop.easel;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;
import nexa.desktop.tool.CropGestures;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.PhotoActions;

/** What can be done with the photo under the pointer. */
final class StageMenu {
    private final Easel easel;
    private final EaselTools tools;
    private final PhotoActions actions;

    StageMenu(Easel easel, EaselTools tools, PhotoActions actions) {
        this.easel = easel;
        this.tools = tools;
        this.actions = actions;
    }

    void listen() {
        ContextMenu menu = new ContextMenu();
        PhotoStage stage = easel.stage();
        stage.setOnContextMenuRequested(event -> {
            menu.getItems().setAll(items());
            menu.show(stage, event.getScreenX(), event.getScreenY());
        });
    }

    private List<MenuItem> items() {
        ShootSession session = easel.session();
        CropGestures gestures = easel.gestures();
        List<MenuItem> items = new ArrayList<>(List.of(
                item("menu.find", tools.level()::find),
                item("menu.propose", tools.propose()::propose),
                item("menu.trace", tools.level()::trace),
                item("menu.draw", tools.crop()::draw),
                item("menu.largest", gestures::largest),
                item("menu.turn", gestures::turnCrop),
                item("menu.reach", tools.beyond()::toggle),
                item("spot.set", tools.subject()::mark)));
        if (session.photo().flatMap(Photo::subject).isPresent()) {
            items.add(item("spot.put", tools.subject()::putOnCrossing));
            if (session.photo().flatMap(Photo::subject).flatMap(Subject::eyes).isPresent()) {
                items.add(item("spot.eyes", tools.subject()::putEyesUp));
            }
            items.add(item("spot.clear", tools.subject()::forget));
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
