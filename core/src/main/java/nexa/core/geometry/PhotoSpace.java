package nexa.core.geometry;

/**
 * Between what is stored of a photo, as fractions of its width and height, and the plane its crops lie in, in pixels.
 *
 * @param photo the photo's width and height in pixels
 */
public record PhotoSpace(Size photo) {

    /** Where a stored place lies. */
    public Point toPlane(Point stored) {
        return new Point(stored.x() * photo.width(), stored.y() * photo.height());
    }

    /** What is stored of a place. */
    public Point toStored(Point inPlane) {
        return new Point(inPlane.x() / photo.width(), inPlane.y() / photo.height());
    }

    /** The crop of a stored centre and size. */
    public Crop cropInPlane(Point centre, Size size) {
        return new Crop(toPlane(centre), new Size(size.width() * photo.width(), size.height() * photo.height()));
    }

    /** The size that is stored of a crop; its centre is stored as any place. */
    public Size sizeStored(Crop crop) {
        return new Size(crop.size().width() / photo.width(), crop.size().height() / photo.height());
    }
}
