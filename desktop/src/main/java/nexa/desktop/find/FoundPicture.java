package nexa.desktop.find;

import java.util.List;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.Rectangle;
import nexa.core.find.FoundLevel;
import nexa.core.geometry.Segment;
import nexa.core.level.LevelLine;
import nexa.desktop.picture.Thumb;
import nexa.imaging.pictures.PictureLibrary;

/** A whole photo with what was found drawn on it. */
final class FoundPicture extends StackPane {
    private final Thumb thumb;
    private final Path halo = new Path();
    private final Path lines = new Path();
    private final Pane layer = new Pane(halo, lines);
    private final Rectangle clip = new Rectangle();

    FoundPicture(PictureLibrary library) {
        thumb = new Thumb(library);
        halo.getStyleClass().add("found-halo");
        lines.getStyleClass().add("found-line");
        layer.setMouseTransparent(true);
        layer.setClip(clip);
        getChildren().addAll(thumb, layer);
    }

    /** Shows it, at most this large. */
    void show(FoundPhoto found, double width, double height) {
        thumb.show(found.photo(), width, height);
        setMinSize(width, height);
        setMaxSize(width, height);
        double factor = thumb.getMaxWidth() / found.photo().size().width();
        layer.setMaxSize(thumb.getMaxWidth(), thumb.getMaxHeight());
        clip.setWidth(thumb.getMaxWidth());
        clip.setHeight(thumb.getMaxHeight());
        List<LevelLine> drawn = found.level().map(FoundLevel::lines).orElse(List.of());
        for (Path path : List.of(halo, lines)) {
            path.getElements().clear();
            for (LevelLine line : drawn) {
                Segment at = line.times(factor).segment();
                path.getElements()
                        .addAll(
                                new MoveTo(at.from().x(), at.from().y()),
                                new LineTo(at.to().x(), at.to().y()));
            }
        }
    }

    void clear() {
        thumb.clear();
        halo.getElements().clear();
        lines.getElements().clear();
    }
}
