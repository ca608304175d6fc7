package nexa.desktop.parts;

import com.google.common.collect.Lists;
import java.util.List;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.SVGPath;
import javafx.scene.text.Text;
import javafx.util.Duration;
import org.kordamp.ikonli.feather.Feather;

/** The small parts that views are built of, looking the same everywhere. */
public final class Parts {
    private static final Duration TOOLTIP_AFTER = Duration.millis(500);

    private static final String LOUD = "main-action";
    private static final double FOLD = 9;

    private Parts() {}

    public static Label label(String text, String... styles) {
        Label label = new Label(text);
        label.getStyleClass().addAll(styles);
        return label;
    }

    public static Label label(ObservableValue<String> text, String... styles) {
        Label label = label("", styles);
        label.textProperty().bind(text);
        return label;
    }

    /**
     * A field for a number that is typed, which shows what it was again when it is left.
     *
     * @param again shows it
     */
    public static TextField numberField(String id, int columns, String name, String tip, Runnable again) {
        TextField field = new TextField();
        field.setId(id);
        field.getStyleClass().add("number-field");
        field.setPrefColumnCount(columns);
        field.setAccessibleText(name);
        field.setTooltip(tooltip(tip));
        field.focusedProperty().addListener((observed, before, now) -> {
            if (!now) {
                again.run();
            }
        });
        return field;
    }

    /** A label for a photo's name: as long as there is room for, elided in the middle, where names differ least. */
    public static Label name(String... styles) {
        Label label = label("", styles);
        label.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        label.setMinWidth(0);
        return label;
    }

    /** Names a photo; all of its file's name is in the tooltip. */
    public static void setName(Label label, String file) {
        label.setText(PhotoNames.base(file));
        tip(label, file);
    }

    /** Puts a tooltip on a control; "" for none. One that says the same stays. */
    public static void tip(Control control, String words) {
        String before = control.getTooltip() == null ? "" : control.getTooltip().getText();
        if (!before.equals(words)) {
            control.setTooltip(words.isEmpty() ? null : tooltip(words));
        }
    }

    /** Styles a label anew. Where that changes nothing, its looks are not worked out again. */
    public static void style(Label label, String... styles) {
        List<String> wanted = Lists.asList("label", styles);
        if (!label.getStyleClass().equals(wanted)) {
            label.getStyleClass().setAll(wanted);
        }
    }

    /** A button whose words and tooltip stand under a key of the bundle; the tooltip's key ends in ".tip". */
    public static Button button(String key, Runnable action, String... styles) {
        Button button = new Button(Words.get(key));
        button.setOnAction(event -> action.run());
        button.getStyleClass().addAll(styles);
        explain(button, Words.get(key + ".tip"));
        return button;
    }

    /** A button that says the name of a file, a folder or a format, in which an underscore is one. */
    public static Button named(String name) {
        Button button = new Button(name);
        button.setMnemonicParsing(false);
        return button;
    }

    /** A small {@link #button} that is never narrower than its words. */
    public static Button smallButton(String key, String id, Runnable action, String... styles) {
        Button button = button(key, action, styles);
        button.getStyleClass().add("small-button");
        button.setId(id);
        button.setMinWidth(Region.USE_PREF_SIZE);
        return button;
    }

    /** Makes a button the loud one of its place, or one like the others. */
    public static void setLoud(Button button, boolean isLoud) {
        button.getStyleClass().removeAll(LOUD, "small-button");
        button.getStyleClass().add(isLoud ? LOUD : "small-button");
    }

    /** The button that closes a panel. */
    public static Button closeButton(Runnable close) {
        Button button = button("panel.close", close, "small-button");
        button.setId("close-panel");
        return button;
    }

    public static ToggleButton toggle(String key, String... styles) {
        ToggleButton button = new ToggleButton(Words.get(key));
        button.getStyleClass().addAll(styles);
        explain(button, Words.get(key + ".tip"));
        return button;
    }

    /** An entry of a menu. */
    public static MenuItem item(String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        // It may hold a name, in which an underscore is one.
        item.setMnemonicParsing(false);
        item.setOnAction(event -> action.run());
        return item;
    }

    /** Gives a control its tooltip and accessible help. */
    public static void explain(ButtonBase control, String words) {
        control.setTooltip(tooltip(words));
        control.setAccessibleHelp(words);
        if (control.getText() == null || control.getText().isEmpty()) {
            control.setAccessibleText(words);
        }
    }

    public static Tooltip tooltip(String words) {
        Tooltip tooltip = new Tooltip(words);
        tooltip.setShowDelay(TOOLTIP_AFTER);
        return tooltip;
    }

    /** Makes room for what is higher than the place it has; as wide as that, and no stop of the keyboard's. */
    public static ScrollPane scroll(Node content) {
        ScrollPane scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        return scroll;
    }

    /** Parts beside one another, on one line. */
    public static HBox row(double spacing, Node... parts) {
        HBox row = new HBox(spacing, parts);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Room that pushes its neighbours apart. */
    public static Region spacer() {
        Region spacer = new Region();
        HBox.setHgrow(spacer, Priority.ALWAYS);
        return spacer;
    }

    /** An icon of the icon library. */
    public static Node icon(Feather icon) {
        Text text = new Text(String.valueOf((char) icon.getCode()));
        text.getStyleClass().add("icon");
        return text;
    }

    /** A tick, drawn: not every typeface has one. */
    public static Node tick() {
        SVGPath tick = new SVGPath();
        tick.setContent("M0.5 4.5 L3.5 7.5 L9 1");
        tick.getStyleClass().add("tick");
        tick.setAccessibleRole(AccessibleRole.TEXT);
        tick.setAccessibleText(Words.get("state.done"));
        return tick;
    }

    /** Tells whether something is folded away or open: a small wedge that points at it. */
    public static Node fold(ObservableValue<Boolean> isOpen) {
        SVGPath wedge = new SVGPath();
        wedge.getStyleClass().add("fold-mark");
        wedge.contentProperty()
                .bind(Bindings.createStringBinding(
                        () -> isOpen.getValue() ? "M0 1 L8 1 L4 6 Z" : "M1 0 L6 4 L1 8 Z", isOpen));
        StackPane place = new StackPane(wedge);
        place.setMinSize(FOLD, FOLD);
        place.setMaxSize(FOLD, FOLD);
        return place;
    }

    /** The shape beside what cannot be done. */
    public static Node square() {
        Region square = new Region();
        square.getStyleClass().add("broken-mark");
        return square;
    }

    /** The shape beside what needs a look. */
    public static Node triangle() {
        SVGPath triangle = new SVGPath();
        triangle.setContent("M5 0 L10 9 L0 9 Z");
        triangle.getStyleClass().add("look-mark");
        return triangle;
    }
}
