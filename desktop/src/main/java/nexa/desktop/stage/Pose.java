package nexa.desktop.stage;

import javafx.scene.shape.Rectangle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;

/** How a photo lies on the stage, and the crop that is shown on it. */
record Pose(Projection projection, Crop crop) {
    /** Where the crop lies on the stage. */
    Rectangle frame() {
        Point middle = projection.toScreen(crop.centre());
        double width = crop.size().width() * projection.scale();
        double height = crop.size().height() * projection.scale();
        return new Rectangle(middle.x() - width / 2, middle.y() - height / 2, width, height);
    }

    /** Whether it is turned as in another projection. */
    boolean isTurnedAs(Projection other) {
        return projection.angle().equals(other.angle());
    }

    Pose with(Projection other) {
        return new Pose(other, crop);
    }

    Pose with(Crop other) {
        return new Pose(projection, other);
    }
}
