package nexa.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.series.Reorient;
import nexa.core.shoot.Mark;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Subscriptions;
import nexa.desktop.parts.Words;
import nexa.desktop.series.CarryPanel;
import nexa.desktop.session.ShootSession;
import nexa.desktop.session.WorkedOut;
import nexa.imaging.work.LatestOnly;

/** What the chosen photos have in common, and what can be done with them. */
final class ChosenPanel {
    private final ShootSession session;
    private final Choosing choosing;
    private final ChosenActions actions;
    private final Label title = Parts.name("section-title");
    private final Label common = Parts.label("", "small", "quiet");
    private final TextField angle = new TextField();
    private final Button carry;
    private final VBox node;
    private final LatestOnly<InCommon> looking;
    private final Subscriptions subscriptions = new Subscriptions();

    ChosenPanel(ShootSession session, Choosing choosing, ChosenActions actions) {
        this.session = session;
        this.looking = session.background().latest(this::show);
        this.choosing = choosing;
        this.actions = actions;
        common.setWrapText(true);
        angle.setPrefColumnCount(5);
        angle.setId("chosen-angle");
        angle.getStyleClass().add("number-field");
        angle.setAccessibleText(Words.get("chosen.angle"));
        angle.setTooltip(Parts.tooltip(Words.get("chosen.angle.tip")));
        angle.setOnAction(event -> actions.level(angle.getText()));
        HBox marks = row(
                small("chosen.select", () -> actions.edits().mark(Mark.SELECT)),
                small("chosen.out", () -> actions.edits().mark(Mark.OUT)),
                small("chosen.done", actions.edits()::done));
        HBox level = row(Parts.label(Words.get("chosen.angle"), "small", "quiet"), angle, more());
        carry = Parts.button("step.carry", actions::carry, "carry");
        HBox across = row(carry, small("chosen.find", actions::find));
        node = new VBox(7, title, common, marks, level, across);
        subscriptions.listen(session.chosenProperty(), this::refresh);
        subscriptions.listen(session.photoProperty(), this::refresh);
        subscriptions.listen(session.workedOutProperty(), this::refresh);
    }

    private static HBox row(Node... parts) {
        return Parts.row(5, parts);
    }

    private static Button small(String key, Runnable action) {
        Button button = Parts.button(key, action, "small-button");
        button.setId(key.replace('.', '-'));
        return button;
    }

    private MenuButton more() {
        MenuButton menu = new MenuButton(Words.get("level.more"));
        menu.setId("chosen-more");
        menu.getStyleClass().addAll("flat", "small-button");
        menu.setAccessibleText(Words.get("chosen.more.tip"));
        menu.getItems().setAll(items());
        return menu;
    }

    /** What can be done with the chosen photos, for menus. */
    List<MenuItem> items() {
        List<MenuItem> items = new ArrayList<>();
        for (Reorient how : Reorient.values()) {
            items.add(
                    Parts.item(Words.of("reorient", how), () -> actions.edits().reorient(how)));
        }
        items.add(new SeparatorMenuItem());
        items.add(Parts.item(Words.get("step.letGo"), actions.edits()::letGo));
        items.add(Parts.item(Words.get("step.again"), () -> actions.edits().followAgain(false)));
        items.add(Parts.item(Words.get("step.againTuned"), () -> actions.edits().followAgain(true)));
        items.add(new SeparatorMenuItem());
        items.add(Parts.item(Words.get("chosen.lenses"), actions::lenses));
        items.add(Parts.item(Words.get("menu.again"), actions.edits()::readAgain));
        items.add(Parts.item(Words.get("again.perspective"), actions.edits()::startPerspectiveAgain));
        items.add(Parts.item(Words.get("chosen.again"), actions.edits()::startAgain));
        items.add(Parts.item(Words.get("chosen.copyOut"), actions::copyOut));
        return items;
    }

    Node node() {
        return node;
    }

    /** Shows the present state; nothing while the sheet is not in front. */
    void refresh() {
        if (node.getScene() == null) {
            return;
        }
        Set<String> files = choosing.files();
        node.setDisable(files.isEmpty());
        Parts.setLoud(carry, CarryPanel.isOfUse(session));
        WorkedOut known = session.workedOutProperty().get();
        looking.ask(() -> InCommon.of(known, files));
    }

    private void show(InCommon found) {
        title.setText(found.title());
        angle.setText(found.angle()
                .map(shared -> Words.get("level.degrees", Words.number(shared.degrees(), 2)))
                .orElse(""));
        common.setText(found.words());
    }

    void dispose() {
        looking.forget();
        subscriptions.dispose();
    }
}
