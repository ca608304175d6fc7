package nexa.desktop.shell;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.core.shoot.Edit;
import nexa.core.shoot.History;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.View;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Deliveries;
import nexa.desktop.session.ShootSession;

/** The top bar: the shoot's name, the views as stops on a line, undo and redo, the keys. */
final class TopBar extends Pane {
    /** What the bar can ask for. */
    interface Actions {
        void go(String view);

        void undo();

        void redo();

        void close();

        void keys();

        /** Shows the deliveries under way. */
        void deliveries();
    }

    private static final double GAP = 14;

    private final HBox left;
    private final HBox right;
    private final HBox line;
    private final Button undo;
    private final Button redo;
    private final ToggleGroup stops = new ToggleGroup();
    private final Map<String, Label> standings = new HashMap<>();

    /** @param views their keys */
    TopBar(ShootSession session, Deliveries deliveries, List<String> views, Actions actions) {
        getStyleClass().add("top-bar");
        Button title = Parts.button("top.close", actions::close, "flat", "shoot-title");
        title.setText(session.shoot().title());
        undo = Parts.button("top.undo", actions::undo, "flat");
        redo = Parts.button("top.redo", actions::redo, "flat");
        Button keys = Parts.button("top.keys", actions::keys);
        left = Parts.row(14, Parts.label(Words.get("app.name"), "brand"), title);
        right = new HBox(6, new DeliveryTag(deliveries, actions::deliveries), undo, redo, keys);
        right.setAlignment(Pos.CENTER_RIGHT);
        title.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        title.setMinWidth(0);
        left.setMinWidth(0);
        right.setMinWidth(Region.USE_PREF_SIZE);
        line = line(views, actions::go);
        line.setMinWidth(Region.USE_PREF_SIZE);
        getChildren().addAll(left, right, line);
        session.edits().historyProperty().addListener((observed, before, now) -> show(now));
        show(session.edits().historyProperty().get());
    }

    /** The views in the middle, as long as the other parts leave it; the shoot's name has what is left. */
    @Override
    protected void layoutChildren() {
        double from = snappedLeftInset();
        double to = getWidth() - snappedRightInset();
        double height = getHeight();
        double rightWidth = right.prefWidth(-1);
        right.resizeRelocate(to - rightWidth, 0, rightWidth, height);
        double lineWidth = line.prefWidth(-1);
        double latest = to - rightWidth - GAP - lineWidth;
        double x = Math.max(from, Math.min((getWidth() - lineWidth) / 2, latest));
        line.resizeRelocate(Math.round(x), 0, lineWidth, height);
        left.resizeRelocate(from, 0, Math.max(0, Math.min(left.prefWidth(-1), x - GAP - from)), height);
    }

    private HBox line(List<String> views, Consumer<String> go) {
        HBox line = new HBox();
        line.setAlignment(Pos.CENTER);
        line.getStyleClass().add("stop-line");
        line.setMaxWidth(Region.USE_PREF_SIZE);
        line.setPickOnBounds(false);
        for (String view : views) {
            if (!line.getChildren().isEmpty()) {
                Region rail = new Region();
                rail.getStyleClass().add("stop-rail");
                line.getChildren().add(rail);
            }
            line.getChildren().add(stop(view, go));
        }
        return line;
    }

    private ToggleButton stop(String view, Consumer<String> go) {
        String name = Words.get("view." + view);
        Label standing = Parts.label("", "stop-standing");
        standings.put(view, standing);
        VBox words = new VBox(Parts.label(name, "stop-name"), standing);
        ToggleButton stop = new ToggleButton();
        stop.setGraphic(words);
        stop.getStyleClass().add("stop");
        stop.setToggleGroup(stops);
        stop.setUserData(view);
        stop.setId("stop-" + view);
        stop.setAccessibleText(name);
        Parts.explain(stop, Words.get("view." + view + ".tip"));
        stop.setOnAction(event -> {
            stop.setSelected(true);
            go.accept(view);
        });
        return stop;
    }

    /** Tells from now on where the work stands in a view. */
    void tell(View view) {
        standings.get(view.key()).textProperty().bind(view.standing());
    }

    /** Marks the view that is in front. */
    void mark(View view) {
        stops.getToggles().stream()
                .filter(stop -> stop.getUserData().equals(view.key()))
                .forEach(stops::selectToggle);
    }

    private void show(History history) {
        show(undo, "top.undo", history.undoable());
        show(redo, "top.redo", history.redoable());
    }

    private static void show(Button button, String key, Optional<Edit> edit) {
        button.setDisable(edit.isEmpty());
        String words = edit.map(step -> Words.get(key + ".named", Words.of("edit", step.kind())))
                .orElse(Words.get(key + ".tip"));
        button.getTooltip().setText(words);
        button.setAccessibleHelp(words);
    }
}
