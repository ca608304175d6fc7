package nexa.core.crop;

import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;

/**
 * A place on a crop's edge to take hold of.
 *
 * <p>{@code x} and {@code y} are −1, 0 or 1: which side it moves, left or right, top or bottom; 0 for neither.
 */
public enum Handle {
    TOP_LEFT(-1, -1),
    TOP(0, -1),
    TOP_RIGHT(1, -1),
    RIGHT(1, 0),
    BOTTOM_RIGHT(1, 1),
    BOTTOM(0, 1),
    BOTTOM_LEFT(-1, 1),
    LEFT(-1, 0);

    private final int x;
    private final int y;

    Handle(int x, int y) {
        this.x = x;
        this.y = y;
    }

    /** The corner on these sides, each −1 or 1. */
    static Handle corner(int x, int y) {
        if (y < 0) {
            return x < 0 ? TOP_LEFT : TOP_RIGHT;
        }
        return x < 0 ? BOTTOM_LEFT : BOTTOM_RIGHT;
    }

    public int x() {
        return x;
    }

    public int y() {
        return y;
    }

    /**
     * Where it lies on a crop, in the photo.
     *
     * @param angle the photo's
     */
    public Point on(Crop crop, Angle angle) {
        return crop.at(0.5 + x / 2.0, 0.5 + y / 2.0, angle);
    }

    public boolean isCorner() {
        return x != 0 && y != 0;
    }
}
