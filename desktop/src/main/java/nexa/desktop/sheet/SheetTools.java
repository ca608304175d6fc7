package nexa.desktop.sheet;

import com.google.common.primitives.Ints;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import nexa.core.shoot.Shoot;
import nexa.desktop.formats.FormatChooser;
import nexa.desktop.parts.Choices;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.SplitRow;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;

/** Above the sheet: which format's crops are shown, and how many prints go across. */
final class SheetTools {
    private static final int FEWEST = 3;
    private static final int MOST = 12;
    private static final double PAIRS_WIDTH = 116;

    private final SplitRow node;
    private final FormatChooser formats;
    private final Label count = Parts.label("", "number");
    private final Button fewer;
    private final Button more;
    private final Runnable acrossChanged;
    private final ComboBox<String> filter = new ComboBox<>();
    private final ComboBox<String> order = new ComboBox<>();
    private final ComboBox<String> pairs = new ComboBox<>();
    private final Label pairsName = Parts.label(Words.get("sheet.pairs"), "quiet");
    private final Choices<SheetMode> modes;
    private int across = 6;

    SheetTools(ShootSession session, Runnable acrossChanged, Runnable modeChanged) {
        this.formats = new FormatChooser(session);
        this.acrossChanged = acrossChanged;
        this.modes = new Choices<>("sheet", SheetMode.WITH_CROP, chosen -> modeChanged.run());
        fewer = Parts.button("sheet.fewer", () -> setAcross(across - 1), "flat");
        more = Parts.button("sheet.more", () -> setAcross(across + 1), "flat");
        fillFilter();
        fillOrder(session);
        fillPairs(session);
        node = new SplitRow(what(), how());
        node.getStyleClass().add("tools");
        count.setText(String.valueOf(across));
    }

    private void fillFilter() {
        for (SheetFilter each : SheetFilter.values()) {
            filter.getItems().add(Words.of("filter", each));
        }
        filter.getSelectionModel().select(0);
        filter.setId("sheet-filter");
        filter.setAccessibleText(Words.get("sheet.show"));
        filter.setOnAction(event -> acrossChanged.run());
    }

    private void fillOrder(ShootSession session) {
        for (Shoot.Order each : Shoot.Order.values()) {
            order.getItems().add(Words.of("order", each));
        }
        order.getSelectionModel().select(session.shoot().order().ordinal());
        order.setAccessibleText(Words.get("sheet.order"));
        order.setOnAction(event ->
                session.reorder(Shoot.Order.values()[order.getSelectionModel().getSelectedIndex()]));
    }

    /** Only where there is anything to choose. */
    private void fillPairs(ShootSession session) {
        for (Shoot.Pairs each : Shoot.Pairs.values()) {
            pairs.getItems().add(Words.of("pairs", each));
        }
        pairs.setId("sheet-pairs");
        // Once its list was seen it would take more room than there is beside the others.
        pairs.setPrefWidth(PAIRS_WIDTH);
        pairs.setAccessibleText(Words.get("sheet.pairs"));
        pairs.setTooltip(Parts.tooltip(Words.get("sheet.pairs.tip")));
        pairs.setDisable(session.isReadOnly());
        pairs.getSelectionModel().select(session.shoot().pairs().ordinal());
        pairs.setOnAction(event -> session.changes()
                .pair(Shoot.Pairs.values()[pairs.getSelectionModel().getSelectedIndex()]));
        showPairs(session.shoot());
        session.shootProperty().addListener((observed, before, now) -> showPairs(now));
        pairs.managedProperty().bind(pairs.visibleProperty());
        pairsName.visibleProperty().bind(pairs.visibleProperty());
        pairsName.managedProperty().bind(pairs.visibleProperty());
    }

    private void showPairs(Shoot shoot) {
        pairs.setVisible(shoot.hasTwoFiles() || shoot.pairs() == Shoot.Pairs.APART);
    }

    private HBox what() {
        HBox row = Parts.row(4);
        row.getChildren().addAll(modes.buttons());
        return Parts.row(8, Parts.label(Words.get("sheet.format"), "quiet"), formats.node(), row);
    }

    private HBox how() {
        HBox stepper = new HBox(fewer, count, more);
        stepper.getStyleClass().add("stepper");
        stepper.setAlignment(Pos.CENTER);
        return Parts.row(
                8,
                pairsName,
                pairs,
                Parts.label(Words.get("sheet.show"), "quiet"),
                filter,
                Parts.label(Words.get("sheet.order"), "quiet"),
                order,
                Parts.label(Words.get("sheet.across"), "quiet"),
                stepper);
    }

    Node node() {
        return node;
    }

    SheetMode mode() {
        return modes.chosen();
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
