package nexa.desktop.easel;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.series.PhotoCrop;
import nexa.desktop.shell.FormatWords;
import nexa.desktop.shell.Parts;
import nexa.desktop.shell.Words;
import nexa.imaging.read.PhotoFacts;

/** The desk below the picture: guides, the mat, and the crop in numbers. */
final class Desk {
    private final HBox node = new HBox();
    private final Map<MatKind, ToggleButton> mats = new EnumMap<>(MatKind.class);
    private final Map<GuideShow, ToggleButton> shows = new EnumMap<>(GuideShow.class);
    private final Label width = Parts.label("", "number");
    private final Label height = Parts.label("", "number");
    private final Label left = Parts.label("", "number");
    private final Label top = Parts.label("", "number");
    private final Label output = Parts.label("");
    private final Label detail = Parts.label("", "quiet");
    private final Label gear = Parts.label("", "small", "quiet");
    private final Label exposure = Parts.label("", "small", "quiet");

    Desk(Consumer<MatKind> chooseMat, Consumer<GuideShow> chooseShow) {
        node.getStyleClass().add("desk");
        HBox showing = row();
        for (GuideShow show : GuideShow.values()) {
            shows.put(show, choice("guide." + show.name(), () -> chooseShow.accept(show), showing));
        }
        HBox veils = row();
        for (MatKind mat : MatKind.values()) {
            mats.put(mat, choice("mat." + mat.name(), () -> chooseMat.accept(mat), veils));
        }
        VBox guide = section("desk.guide", Parts.label(Words.get("guide.thirds")), showing);
        VBox mat = section("desk.mat", Parts.label(Words.get("desk.mat.what"), "quiet"), veils);
        VBox comesOut = section("desk.output", output, detail);
        VBox taken = section("desk.taken", gear, exposure);
        HBox.setHgrow(taken, Priority.ALWAYS);
        taken.setMinWidth(0);
        taken.setPrefWidth(0);
        node.getChildren().addAll(guide, mat, section("desk.crop", numbers()), comesOut, taken);
    }

    private static HBox row() {
        HBox row = new HBox();
        row.getStyleClass().add("choices");
        return row;
    }

    private static ToggleButton choice(String key, Runnable action, HBox row) {
        ToggleButton button = Parts.toggle(key.toLowerCase(Locale.ROOT), "choice");
        button.setId(key.toLowerCase(Locale.ROOT).replace('.', '-'));
        button.setOnAction(event -> action.run());
        row.getChildren().add(button);
        return button;
    }

    private static VBox section(String key, Node... parts) {
        VBox section = new VBox(7, Parts.label(Words.get(key), "section-title"));
        section.getChildren().addAll(parts);
        section.getStyleClass().add("desk-section");
        section.setMinWidth(Region.USE_PREF_SIZE);
        return section;
    }

    private GridPane numbers() {
        GridPane grid = new GridPane();
        grid.setHgap(10);
        grid.setVgap(6);
        grid.addRow(
                0,
                Parts.label(Words.get("desk.width"), "quiet"),
                width,
                Parts.label(Words.get("desk.left"), "quiet"),
                left);
        grid.addRow(
                1,
                Parts.label(Words.get("desk.height"), "quiet"),
                height,
                Parts.label(Words.get("desk.top"), "quiet"),
                top);
        return grid;
    }

    Node node() {
        return node;
    }

    void mark(MatKind mat) {
        mats.forEach((kind, button) -> button.setSelected(kind == mat));
    }

    void mark(GuideShow show) {
        shows.forEach((kind, button) -> button.setSelected(kind == show));
    }

    void show(PhotoCrop shown) {
        Crop crop = shown.crop();
        Point corner = crop.at(0, 0, shown.photo().angle());
        width.setText(Words.number(crop.size().width(), 0));
        height.setText(Words.number(crop.size().height(), 0));
        left.setText(Words.number(corner.x(), 0));
        top.setText(Words.number(corner.y(), 0));
        output.setText(FormatWords.output(shown));
        detail.setText(FormatWords.detail(shown));
    }

    /** Tells how the photo was taken, as far as it says so. */
    void showTaken(Optional<PhotoFacts> facts) {
        gear.setText(facts.map(CameraWords::gear).orElse(""));
        gear.setWrapText(true);
        exposure.setText(facts.map(CameraWords::exposure).orElse(""));
    }

    void clear() {
        for (Label label : new Label[] {width, height, left, top, output, detail}) {
            label.setText("");
        }
    }
}
