package nexa.desktop.stage;

import java.util.List;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/**
 * How the plane of a photo lies on the stage: which of its points is in the middle, and how large and turned it is.
 *
 * @param stage the stage's size in screen pixels
 * @param middle the plane's point in the middle of the stage
 * @param scale screen pixels a pixel of the plane
 * @param angle how far the photo is turned
 */
public record Projection(Size stage, Point middle, double scale, Angle angle) {

    /** The crop in the middle, as large as fits with a margin around it. */
    static Projection fitting(Size stage, double margin, Crop crop, Angle angle) {
        double across = Math.max(1, stage.width() - 2 * margin) / crop.size().width();
        double down = Math.max(1, stage.height() - 2 * margin) / crop.size().height();
        return new Projection(stage, crop.centre(), Math.min(across, down), angle);
    }

    /** All of the photo as it is turned, as large as fits with a margin around it. */
    static Projection whole(Size stage, double margin, Outline outline) {
        Angle angle = outline.angle();
        List<Point> onScreen = outline.corners().stream()
                .map(corner -> angle.toScreen(corner.minus(outline.middle())))
                .toList();
        Bounds covered = Bounds.of(onScreen);
        Size size = new Size(covered.extent().x(), covered.extent().y());
        Point middle = outline.middle().plus(angle.toPhoto(covered.middle()));
        return fitting(stage, margin, new Crop(middle, size), angle);
    }

    /** The photo moved so that one of its plane's points lies at a place of the stage, turned and scaled as given. */
    static Projection with(Size stage, Point inPhoto, Point onScreen, double scale, Angle angle) {
        Point way = new Point(stage.width() / 2, stage.height() / 2).minus(onScreen);
        return new Projection(stage, inPhoto.plus(angle.toPhoto(way.times(1 / scale))), scale, angle);
    }

    /** The same with another of the plane's points in the middle. */
    Projection movedTo(Point newMiddle) {
        return new Projection(stage, newMiddle, scale, angle);
    }

    public Point toScreen(Point inPlane) {
        Point way = angle.toScreen(inPlane.minus(middle)).times(scale);
        return new Point(stage.width() / 2 + way.x(), stage.height() / 2 + way.y());
    }

    public Point toPlane(Point onScreen) {
        Point way = new Point(onScreen.x() - stage.width() / 2, onScreen.y() - stage.height() / 2);
        return middle.plus(angle.toPhoto(way.times(1 / scale)));
    }

    /** Whether this differs from another one only by a shift. */
    boolean isShiftOf(Projection other) {
        return scale == other.scale && angle.equals(other.angle) && stage.equals(other.stage);
    }

    /** Some of the way to another projection; 0 is this one, 1 the other. */
    Projection towards(Projection other, double share) {
        Point between = middle.plus(other.middle.minus(middle).times(share));
        double zoom = scale * Math.pow(other.scale / scale, share);
        return new Projection(other.stage, between, zoom, other.angle);
    }
}
