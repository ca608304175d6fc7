package nexa.desktop.lineup;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import nexa.core.geometry.Orientation;
import nexa.core.guide.Guide;
import nexa.core.guide.GuideKind;
import nexa.core.guide.Way;
import nexa.desktop.formats.FormatChooser;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.SplitRow;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.store.user.Preferences;

/** What is lined up, and how: the format, wide or tall, the order, the guide over the crops. */
final class LineUpTools {
    private static final List<GuideKind> GUIDES =
            List.of(GuideKind.THIRDS, GuideKind.GOLDEN, GuideKind.CENTRE, GuideKind.DIAGONALS, GuideKind.GRID);

    /** Hears what is chosen. */
    interface Listener {
        void lane(Orientation lane);

        void order();

        void guide();

        /** Whether to measure by what is seen where nothing is marked. */
        void sight(boolean isUsed);
    }

    private final SplitRow node;
    private final FormatChooser formats;
    private final ToggleButton wide = Parts.toggle("lineup.wide", "choice");
    private final ToggleButton tall = Parts.toggle("lineup.tall", "choice");
    private final ToggleButton furthest = Parts.toggle("lineup.furthest", "choice");
    private final ToggleButton sight = Parts.toggle("lineup.sight", "choice");
    private final ComboBox<String> guide = new ComboBox<>();

    LineUpTools(ShootSession session, Preferences preferences, Listener listener) {
        formats = new FormatChooser(session);
        wide.setOnAction(event -> listener.lane(Orientation.WIDE));
        tall.setOnAction(event -> listener.lane(Orientation.TALL));
        furthest.setSelected(true);
        furthest.setOnAction(event -> listener.order());
        sight.setId("lineup-sight");
        sight.setOnAction(event -> listener.sight(sight.isSelected()));
        GUIDES.forEach(kind -> guide.getItems().add(Words.of("guide", kind)));
        int kept = preferences.get("lineup.guide").map(LineUpTools::guideIndex).orElse(0);
        guide.getSelectionModel().select(Math.max(0, kept));
        guide.setAccessibleText(Words.get("lineup.guide"));
        guide.setOnAction(event -> {
            preferences.set("lineup.guide", guideKind().name());
            listener.guide();
        });
        HBox what = new HBox(
                8, Parts.label(Words.get("sheet.format"), "quiet"), formats.node(), wide, tall, furthest, sight);
        HBox how = new HBox(
                8,
                Parts.label(Words.get("lineup.guide"), "quiet"),
                guide,
                Parts.label(Words.get("lineup.flick"), "quiet"),
                Parts.label(Words.get("lineup.space"), "key-cap"));
        what.setAlignment(Pos.CENTER_LEFT);
        how.setAlignment(Pos.CENTER_LEFT);
        node = new SplitRow(what, how);
        node.getStyleClass().add("tools");
    }

    Node node() {
        return node;
    }

    private static int guideIndex(String name) {
        return GUIDES.stream().map(Enum::name).toList().indexOf(name);
    }

    private GuideKind guideKind() {
        return GUIDES.get(Math.max(0, guide.getSelectionModel().getSelectedIndex()));
    }

    /** The guide to lay over every crop. */
    Guide guide() {
        return guideKind().laid(Way.UNTURNED, GuideKind.FEWEST_LINES + 4);
    }

    /** Whether the furthest out of step come first. */
    boolean sorts() {
        return furthest.isSelected();
    }

    void show(Orientation lane) {
        wide.setSelected(lane == Orientation.WIDE);
        tall.setSelected(lane == Orientation.TALL);
    }

    /** Chooses the format with this number, if there is one. */
    boolean choose(String digit) {
        return formats.choose(digit);
    }

    void dispose() {
        formats.dispose();
    }
}
