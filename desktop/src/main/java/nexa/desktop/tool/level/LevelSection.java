package nexa.desktop.tool.level;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.MenuButton;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.core.geometry.Angle;
import nexa.core.message.EnumName;
import nexa.core.series.Reorient;
import nexa.desktop.desk.DegreeScale;
import nexa.desktop.desk.DeskPart;
import nexa.desktop.desk.Vernier;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.TextSize;
import nexa.desktop.parts.TypedAngle;
import nexa.desktop.parts.Words;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.PhotoActions;
import nexa.desktop.tool.StartKind;
import org.kordamp.ikonli.feather.Feather;

/** The desk's part for the photo's angle: vernier, typed angle, tracing, quarter turns, mirroring. */
final class LevelSection {
    private static final double WIDTH = 356;

    private final Easel easel;
    private final PhotoActions actions;
    private final DeskPart part = new DeskPart("desk.level");
    private final Vernier vernier;
    private final TextField angle = new TextField();
    private final ToggleButton trace;
    private final Button asShot;
    private double shown;

    LevelSection(Easel easel, PhotoActions actions, FindLevel finding) {
        this.easel = easel;
        this.actions = actions;
        this.vernier = new Vernier(new Turning());
        angle.setId("angle");
        angle.getStyleClass().add("number-field");
        angle.setPrefColumnCount(5);
        angle.setAccessibleText(Words.get("level.angle"));
        angle.setTooltip(Parts.tooltip(Words.get("level.angle.tip")));
        angle.setOnAction(event -> typed());
        angle.focusedProperty().addListener((observed, before, now) -> {
            if (!now) {
                angle.setText(words(shown));
            }
        });
        trace = Parts.toggle("level.trace", "choice");
        trace.setId("trace");
        trace.setOnAction(event -> {
            trace();
            easel.stage().requestFocus();
        });
        easel.inHand().onChanged(() -> trace.setSelected(easel.inHand().holds(easel.tracing())));
        Button find = Parts.smallButton("level.find", "find-level", () -> find(finding));
        asShot = Parts.button("level.asShot", () -> turn(0), "small-button");
        HBox row = Parts.row(
                4,
                angle,
                trace,
                asShot,
                Parts.spacer(),
                icon(Feather.ROTATE_CCW, Reorient.LEFT),
                icon(Feather.ROTATE_CW, Reorient.RIGHT),
                more());
        trace.setMinWidth(Region.USE_PREF_SIZE);
        asShot.setMinWidth(Region.USE_PREF_SIZE);
        HBox head = new HBox(part.head(), Parts.spacer(), find);
        head.setAlignment(Pos.CENTER_LEFT);
        VBox node = new VBox(2, head, vernier, row);
        node.getStyleClass().add("desk-section");
        node.setPrefWidth(TextSize.scaled(WIDTH));
        part.with(node, TextSize.scaled(WIDTH));
    }

    /** The scale turns the photo. */
    private final class Turning implements DegreeScale.Listener {
        @Override
        public void moved(double degrees, boolean isHeld) {
            turn(degrees, isHeld);
        }

        @Override
        public void letGo() {
            easel.gestures().letGo();
        }
    }

    /** Takes the tool for tracing, or puts it down again. */
    void trace() {
        easel.take(easel.tracing(), Words.get("tool.trace"));
    }

    private void find(FindLevel finding) {
        finding.find();
        easel.stage().requestFocus();
    }

    private Button icon(Feather icon, Reorient how) {
        Button button = new Button();
        button.setGraphic(Parts.icon(icon));
        button.getStyleClass().addAll("flat", "icon-button");
        button.setId("reorient-" + EnumName.of(how));
        Parts.explain(button, Words.of("reorient", how));
        button.setOnAction(event -> actions.reorient(how));
        return button;
    }

    private MenuButton more() {
        MenuButton menu = new MenuButton(Words.get("level.more"));
        menu.getStyleClass().addAll("flat", "small-button");
        menu.setAccessibleText(Words.get("level.more.tip"));
        menu.setTooltip(Parts.tooltip(Words.get("level.more.tip")));
        menu.setId("level-more");
        menu.setMinWidth(Region.USE_PREF_SIZE);
        for (Reorient how : new Reorient[] {Reorient.MIRROR, Reorient.MIRROR_DOWN, Reorient.HALF}) {
            menu.getItems().add(Parts.item(Words.of("reorient", how), () -> actions.reorient(how)));
        }
        menu.getItems().add(new SeparatorMenuItem());
        for (StartKind what : StartKind.values()) {
            menu.getItems().add(Parts.item(Words.of("again", what), () -> actions.startAgain(what)));
        }
        return menu;
    }

    private void typed() {
        try {
            turn(TypedAngle.read(angle.getText()).degrees());
        } catch (IllegalArgumentException e) {
            easel.tell(Words.get("level.notAnAngle", angle.getText()));
        }
        angle.setText(words(shown));
    }

    private void turn(double degrees) {
        turn(degrees, false);
        easel.gestures().finish();
    }

    private void turn(double degrees, boolean isHeld) {
        easel.tracing().clear();
        easel.gestures().photo().turnTo(degrees, isHeld);
    }

    DeskPart part() {
        return part;
    }

    void show(Angle now) {
        shown = now.degrees();
        vernier.show(shown);
        if (!angle.isFocused()) {
            angle.setText(words(shown));
        }
        asShot.setDisable(shown == 0);
    }

    private static String words(double degrees) {
        return Words.get("level.degrees", Words.number(degrees, 2));
    }
}
