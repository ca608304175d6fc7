package nexa.desktop.easel;

import java.util.List;
import java.util.Optional;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.geometry.HPos;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.TextSize;
import nexa.desktop.parts.Words;
import nexa.desktop.stage.PhotoStage;
import nexa.imaging.facts.PhotoFacts;

/** Says which photo is on the stage, whether its crop is done, and how it was taken. */
final class PhotoTag extends VBox {
    private static final double FROM_EDGE = 13;
    private static final double LONG_NAME = 260;
    private static final double SHORT_NAME = 90;
    private static final List<Pos> CORNERS = List.of(Pos.TOP_RIGHT, Pos.TOP_LEFT, Pos.BOTTOM_RIGHT, Pos.BOTTOM_LEFT);

    private final Label name = Parts.name("photo-tag-name");
    private final Label raw = Parts.label("");
    private final Label state = Parts.label("");
    private final Label camera = Parts.label("", "quiet");
    private final Label cameraBelow = Parts.label("", "quiet");

    /** Where the tag says how the photo was taken. */
    private enum Camera {
        BESIDE,
        BELOW,
        NOWHERE
    }

    PhotoTag() {
        raw.setId("photo-tag-raw");
        cameraBelow.textProperty().bind(camera.textProperty());
        cameraBelow.tooltipProperty().bind(camera.tooltipProperty());
        cameraBelow.accessibleHelpProperty().bind(camera.accessibleHelpProperty());
        getChildren().addAll(new HBox(8, name, raw, state, camera), cameraBelow);
        getStyleClass().add("photo-tag");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        StackPane.setAlignment(this, Pos.TOP_RIGHT);
        StackPane.setMargin(this, new Insets(FROM_EDGE));
    }

    /**
     * Lies in the first corner of the stage in which no handle of the crop is under it; if there is none, it does so with how the
     * photo was taken in a second line, then without that, and at last with its name cut short.
     */
    void giveWay(PhotoStage stage) {
        Optional<Pos> clear = clear(stage, Camera.BESIDE, LONG_NAME)
                .or(() -> clear(stage, Camera.BELOW, LONG_NAME))
                .or(() -> clear(stage, Camera.NOWHERE, LONG_NAME))
                .or(() -> clear(stage, Camera.NOWHERE, SHORT_NAME));
        setMouseTransparent(clear.isEmpty());
        StackPane.setAlignment(this, clear.orElse(Pos.TOP_RIGHT));
    }

    private Optional<Pos> clear(PhotoStage stage, Camera where, double longestName) {
        name.setMaxWidth(TextSize.scaled(longestName));
        show(camera, where == Camera.BESIDE);
        show(cameraBelow, where == Camera.BELOW);
        double width = prefWidth(-1);
        double height = prefHeight(-1);
        return CORNERS.stream()
                .filter(corner -> stage.overlay().isClear(at(corner, stage, width, height)))
                .findFirst();
    }

    private void show(Label label, boolean isWanted) {
        boolean isShown = isWanted && !camera.getText().isEmpty();
        label.setVisible(isShown);
        label.setManaged(isShown);
    }

    private static Bounds at(Pos corner, PhotoStage stage, double width, double height) {
        double x = corner.getHpos() == HPos.LEFT ? FROM_EDGE : stage.getWidth() - width - FROM_EDGE;
        double y = corner.getVpos() == VPos.TOP ? FROM_EDGE : stage.getHeight() - height - FROM_EDGE;
        return new BoundingBox(x, y, width, height);
    }

    void show(Optional<Photo> photo, Optional<PhotoCrop> crop, Optional<PhotoFacts> facts) {
        setVisible(photo.isPresent());
        Parts.setName(name, photo.map(Photo::file).orElse(""));
        Optional<RawWords> files = photo.flatMap(shown -> RawWords.of(shown, crop, facts));
        raw.setText(files.map(RawWords::text).orElse(""));
        Parts.tip(raw, files.map(RawWords::tip).orElse(""));
        raw.setAccessibleHelp(files.map(RawWords::tip).orElse(""));
        Parts.style(raw, files.map(RawWords::style).orElse("quiet"));
        raw.setVisible(files.isPresent());
        raw.setManaged(files.isPresent());
        state.setText(crop.map(now -> Words.get(now.isDone() ? "state.done" : "state.notDone"))
                .orElse(""));
        camera.setText(facts.map(CameraWords::exposure).orElse(""));
        String gear = facts.map(CameraWords::gear).orElse("");
        Parts.tip(camera, gear);
        camera.setAccessibleHelp(gear);
    }
}
