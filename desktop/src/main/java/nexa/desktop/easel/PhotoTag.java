package nexa.desktop.easel;

import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.imaging.facts.PhotoFacts;

/** Says which photo is on the stage, whether its crop is done, and how it was taken. */
final class PhotoTag extends HBox {
    private final Label name = Parts.name("photo-tag-name");
    private final Label raw = Parts.label("");
    private final Label state = Parts.label("");
    private final Label camera = Parts.label("", "quiet");

    PhotoTag() {
        super(8);
        raw.setId("photo-tag-raw");
        getChildren().addAll(name, raw, state, camera);
        getStyleClass().add("photo-tag");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
    }

    void show(Optional<Photo> photo, Optional<PhotoCrop> crop, Optional<PhotoFacts> facts) {
        setVisible(photo.isPresent());
        Parts.setName(name, photo.map(Photo::file).orElse(""));
        Optional<RawWords> files = photo.flatMap(shown -> RawWords.of(shown, crop, facts));
        raw.setText(files.map(RawWords::text).orElse(""));
        raw.setTooltip(files.map(said -> Parts.tooltip(said.tip())).orElse(null));
        raw.setAccessibleHelp(files.map(RawWords::tip).orElse(""));
        raw.getStyleClass().setAll("label", files.map(RawWords::style).orElse("quiet"));
        raw.setVisible(files.isPresent());
        raw.setManaged(files.isPresent());
        state.setText(crop.map(now -> Words.get(now.isDone() ? "state.done" : "state.notDone"))
                .orElse(""));
        camera.setText(facts.map(CameraWords::exposure).orElse(""));
        String gear = facts.map(CameraWords::gear).orElse("");
        camera.setVisible(!camera.getText().isEmpty());
        camera.setManaged(!camera.getText().isEmpty());
        camera.setTooltip(gear.isEmpty() ? null : Parts.tooltip(gear));
        camera.setAccessibleHelp(gear);
    }
}
