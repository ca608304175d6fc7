package nexa.desktop.find;

import java.util.List;
import java.util.Optional;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.Rectangle;
import nexa.core.find.Answer;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundPerspective;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.level.LevelLine;
import nexa.core.propose.Proposal;
import nexa.core.shape.Plane;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.desktop.picture.Thumb;
import nexa.imaging.pictures.PictureLibrary;

/** A whole photo with what was found drawn on it. */
final class FoundPicture extends StackPane {
    private final Thumb thumb;
    private final Path halo = new Path();
    private final Path lines = new Path();
    private final Rectangle boxHalo = new Rectangle();
    private final Rectangle box = new Rectangle();
    private final Pane layer = new Pane(halo, lines, boxHalo, box);
    private final Rectangle clip = new Rectangle();

    FoundPicture(PictureLibrary library) {
        thumb = new Thumb(library);
        halo.getStyleClass().add("found-halo");
        lines.getStyleClass().add("found-line");
        boxHalo.getStyleClass().addAll("found-halo", "found-box");
        box.getStyleClass().addAll("found-line", "found-box");
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
        hideBox();
        List<Segment> drawn = List.of();
        if (found.found().isPresent()) {
            Answer some = found.found().get();
            if (some instanceof FoundLevel level) {
                drawn = level.lines().stream().map(LevelLine::segment).toList();
            } else if (some instanceof FoundTrim border && border.isSomething()) {
                drawn = Segment.around(
                        new Outline(border.trim().remaining(found.photo().size()), Angle.NONE).corners());
            } else if (some instanceof FoundPerspective perspective) {
                drawn = perspective.lines().inPhoto(found.photo().size());
            } else if (some instanceof FoundSubject subject) {
                showBox(subject.subject(), found.photo(), factor);
            } else if (some instanceof Proposal proposal) {
                Plane plane = found.photo().plane();
                drawn = Segment.around(proposal.crop().corners(found.photo().angle()).stream()
                        .map(plane::toPhoto)
                        .toList());
            }
        }
        draw(drawn, factor);
    }

    private void showBox(Optional<Subject> found, Photo photo, double factor) {
        found.ifPresent(subject -> {
            Point least = photo.space().inPhoto(subject.box().least()).times(factor);
            Point extent = photo.space().inPhoto(subject.box().extent()).times(factor);
            for (Rectangle each : List.of(boxHalo, box)) {
                each.setX(least.x());
                each.setY(least.y());
                each.setWidth(extent.x());
                each.setHeight(extent.y());
                each.setVisible(true);
            }
        });
    }

    private void hideBox() {
        boxHalo.setVisible(false);
        box.setVisible(false);
    }

    private void draw(List<Segment> drawn, double factor) {
        for (Path path : List.of(halo, lines)) {
            path.getElements().clear();
            for (Segment at : drawn) {
                path.getElements()
                        .addAll(
                                new MoveTo(at.from().x() * factor, at.from().y() * factor),
                                new LineTo(at.to().x() * factor, at.to().y() * factor));
            }
        }
    }

    void clear() {
        thumb.clear();
        halo.getElements().clear();
        lines.getElements().clear();
        hideBox();
    }
}
