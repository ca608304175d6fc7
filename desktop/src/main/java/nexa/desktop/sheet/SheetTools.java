package nexa.desktop.sheet;

import com.google.common.primitives.Ints;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import nexa.core.shoot.Shoot;
import nexa.desktop.formats.FormatChooser;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.SplitRow;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;

/** Above the sheet: which format's crops are shown, and how many prints go across. */
final class SheetTools {
    private static final int FEWEST = 3;
    private static final int MOST = 12;

    private final SplitRow node;
    private final FormatChooser formats;
    private final Label count = Parts.label("", "number");
    private final Button fewer;
    private final Button more;
    private final Runnable acrossChanged;
    private final ComboBox<String> filter = new ComboBox<>();
    private final ComboBox<String> order = new ComboBox<>();
    private SheetMode mode = SheetMode.WITH_CROP;
    private int across = 6;

    SheetTools(ShootSession session, Runnable acrossChanged, Runnable modeChanged) {
        this.formats = new FormatChooser(session);
        this.acrossChanged = acrossChanged;
        fewer = Parts.button("sheet.fewer", () -> setAcross(across - 1), "flat");
        more = Parts.button("sheet.more", () -> setAcross(across + 1), "flat");
        HBox stepper = new HBox(fewer, count, more);
        stepper.getStyleClass().add("stepper");
        stepper.setAlignment(Pos.CENTER);
        HBox modes = new HBox(4);
        modes.setAlignment(Pos.CENTER_LEFT);
        ToggleGroup group = new ToggleGroup();
        for (SheetMode each : SheetMode.values()) {
            String key = "sheet." + each.name().toLowerCase(Locale.ROOT);
            ToggleButton button = Parts.toggle(key, "choice");
            button.setId(key.replace('.', '-'));
            button.setToggleGroup(group);
            button.setSelected(each == mode);
            button.setOnAction(event -> {
                button.setSelected(true);
                mode = each;
                modeChanged.run();
            });
            modes.getChildren().add(button);
        }
        for (SheetFilter each : SheetFilter.values()) {
            filter.getItems().add(Words.of("filter", each));
        }
        filter.getSelectionModel().select(0);
        filter.setId("sheet-filter");
        filter.setAccessibleText(Words.get("sheet.show"));
        filter.setOnAction(event -> acrossChanged.run());
        for (Shoot.Order each : Shoot.Order.values()) {
            order.getItems().add(Words.of("order", each));
        }
        order.getSelectionModel().select(session.shoot().order().ordinal());
        order.setAccessibleText(Words.get("sheet.order"));
        order.setOnAction(event ->
                session.reorder(Shoot.Order.values()[order.getSelectionModel().getSelectedIndex()]));
        HBox what = new HBox(8, Parts.label(Words.get("sheet.format"), "quiet"), formats.node(), modes);
        HBox how = new HBox(
                8,
                Parts.label(Words.get("sheet.show"), "quiet"),
                filter,
                Parts.label(Words.get("sheet.order"), "quiet"),
                order,
                Parts.label(Words.get("sheet.across"), "quiet"),
                stepper);
        what.setAlignment(Pos.CENTER_LEFT);
        how.setAlignment(Pos.CENTER_LEFT);
        node = new SplitRow(what, how);
        node.getStyleClass().add("tools");
        count.setText(String.valueOf(across));
    }

    Node node() {
        return node;
    }

    SheetMode mode() {
        return mode;
    }

    SheetFilter filter() {
        return SheetFilter.values()[filter.getSelectionModel().getSelectedIndex()];
    }

    int across() {
        return across;
    }

    /** Chooses the format with this number, if there is one. */
    boolean choose(String digit) {
        return formats.choose(digit);
    }

    private void setAcross(int wanted) {
        across = Ints.constrainToRange(wanted, FEWEST, MOST);
        count.setText(String.valueOf(across));
        fewer.setDisable(across == FEWEST);
        more.setDisable(across == MOST);
        acrossChanged.run();
    }

    void dispose() {
        formats.dispose();
    }
}
