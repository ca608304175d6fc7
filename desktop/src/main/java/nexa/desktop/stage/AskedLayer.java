package nexa.desktop.stage;

import java.util.List;
import java.util.Optional;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import javafx.scene.shape.Rectangle;
import nexa.core.format.Asks;
import nexa.core.geometry.Point;
import nexa.core.shoot.Photo;

/**
 * What is asked of the crop, drawn while it moves: around the subject the room between the least and the largest it is to be, in
 * the crop its place as a small cross with how far off it may be, and the height of the eyes.
 */
public final class AskedLayer extends Pane {
    private static final double ARM = 7;
    private static final double EYES = 26;
    /** A largest share beyond this is as good as none. */
    private static final double MOST_DRAWN = 1.5;

    private final Circle ring = new Circle();
    private final Path halo = new Path();
    private final Path cross = new Path();
    private final Rectangle reach = new Rectangle();
    private final Rectangle eyesReach = new Rectangle();
    /** How it was laid last. */
    private record Laid(Rectangle frame, Projection projection, Photo photo) {}

    private Optional<Laid> laid = Optional.empty();
    private Asks asks = Asks.NONE;

    AskedLayer() {
        setManaged(false);
        setMouseTransparent(true);
        ring.getStyleClass().add("asked-ring");
        halo.getStyleClass().add("asked-halo");
        cross.getStyleClass().add("asked-cross");
        reach.getStyleClass().add("asked-reach");
        eyesReach.getStyleClass().add("asked-reach");
        getChildren().addAll(ring, reach, eyesReach, halo, cross);
    }

    /** What is asked; nothing is drawn of what is not. */
    public void show(Asks asked) {
        asks = asked;
        setVisible(!asked.isNone());
        laid.ifPresent(at -> lay(at.frame(), at.projection(), at.photo()));
    }

    void lay(Rectangle frame, Projection projection, Photo photo) {
        laid = Optional.of(new Laid(frame, projection, photo));
        if (isVisible()) {
            layRing(frame, projection, photo);
            layPlaces(frame);
        }
    }

    private void layRing(Rectangle frame, Projection projection, Photo photo) {
        boolean isKnown = asks.share().isPresent() && photo.subject().isPresent();
        ring.setVisible(isKnown);
        if (isKnown) {
            Point at = projection.toScreen(photo.subject().orElseThrow().in(photo.space()));
            double shortSide = Math.min(frame.getWidth(), frame.getHeight());
            Asks.Share share = asks.share().orElseThrow();
            // One broad line fills the room between the two.
            double least = share.least() * shortSide / 2;
            double most = Math.min(share.most(), MOST_DRAWN) * shortSide / 2;
            ring.setCenterX(at.x());
            ring.setCenterY(at.y());
            ring.setRadius((least + most) / 2);
            ring.setStrokeWidth(Math.max(1, most - least));
        }
    }

    private void layPlaces(Rectangle frame) {
        Optional<Point> place = asks.place().map(at -> onStage(frame, at));
        reach.setVisible(place.isPresent());
        place.ifPresent(at -> lay(reach, at, asks.within() * frame.getWidth(), asks.within() * frame.getHeight()));
        Optional<Point> eyes = eyes(frame);
        eyesReach.setVisible(eyes.isPresent());
        eyes.ifPresent(at -> lay(eyesReach, at, frame.getWidth() / 2, asks.within() * frame.getHeight()));
        for (Path path : List.of(halo, cross)) {
            path.getElements().clear();
            place.ifPresent(at -> path.getElements().addAll(cross(at, ARM, ARM)));
            eyes.ifPresent(at -> path.getElements().addAll(cross(at, EYES, 0)));
        }
    }

    private Optional<Point> eyes(Rectangle frame) {
        return asks.eyes().isPresent()
                ? Optional.of(onStage(frame, new Point(0.5, asks.eyes().getAsDouble())))
                : Optional.empty();
    }

    private static Point onStage(Rectangle frame, Point inCrop) {
        return new Point(frame.getX() + inCrop.x() * frame.getWidth(), frame.getY() + inCrop.y() * frame.getHeight());
    }

    private static List<PathElement> cross(Point at, double across, double down) {
        return List.of(
                new MoveTo(at.x() - across, at.y()),
                new LineTo(at.x() + across, at.y()),
                new MoveTo(at.x(), at.y() - down),
                new LineTo(at.x(), at.y() + down));
    }

    private static void lay(Rectangle around, Point at, double across, double down) {
        around.setX(at.x() - across);
        around.setY(at.y() - down);
        around.setWidth(2 * across);
        around.setHeight(2 * down);
    }
}
