package nexa.core.geometry;

import java.util.List;

/**
 * A rectangle kept of a photo, upright on screen, in the photo's pixels.
 *
 * @param centre in the photo's pixels
 * @param size across and down as seen on screen, in the photo's pixels
 */
public record Crop(Point centre, Size size) {

    public Crop withCentre(Point newCentre) {
        return new Crop(newCentre, size);
    }

    public Crop withSize(Size newSize) {
        return new Crop(centre, newSize);
    }

    /** The point of the photo at a place in the crop: (0, 0) is its top-left corner, (1, 1) its bottom-right one. */
    public Point at(double across, double down, Angle angle) {
        return centre.plus(angle.toPhoto(new Point((across - 0.5) * size.width(), (down - 0.5) * size.height())));
    }

    /** Where in the crop a point of the photo lies, as in {@link #at}; outside 0 … 1 when it is outside the crop. */
    public Point placeOf(Point inPhoto, Angle angle) {
        Point way = angle.toScreen(inPhoto.minus(centre));
        return new Point(way.x() / size.width() + 0.5, way.y() / size.height() + 0.5);
    }

    /** The corners in the photo's pixels, from the top left clockwise as seen on screen. */
    public List<Point> corners(Angle angle) {
        return List.of(at(0, 0, angle), at(1, 0, angle), at(1, 1, angle), at(0, 1, angle));
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("Crop")
                .with("centre", centre.fingerprint())
                .with("size", size.fingerprint())
                .letters();
    }
}
