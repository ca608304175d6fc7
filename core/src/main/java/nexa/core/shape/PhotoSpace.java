package nexa.core.shape;

import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/**
 * Between what is stored of a photo, as fractions of its width and height, and the plane its crops lie in, in pixels. What is
 * stored stays on its place of the scene, however the photo is reshaped.
 *
 * @param photo the photo's width and height in pixels
 */
public record PhotoSpace(Size photo, Plane plane) {

    /** The space of a photo that nothing reshapes. */
    public static PhotoSpace of(Size photo) {
        return new PhotoSpace(photo, Plane.of(photo));
    }

    /** The place of the photo, in pixels. */
    public Point inPhoto(Point stored) {
        return new Point(stored.x() * photo.width(), stored.y() * photo.height());
    }

    /** Where a stored place lies. */
    public Point toPlane(Point stored) {
        return plane.toPlane(inPhoto(stored));
    }

    /** What is stored of a place. */
    public Point toStored(Point inPlane) {
        Point place = plane.toPhoto(inPlane);
        return new Point(place.x() / photo.width(), place.y() / photo.height());
    }

    /** How many pixels of the plane a length of one in the photo has at a stored place. */
    public double scaleAt(Point stored) {
        return plane.scaleAt(inPhoto(stored));
    }

    /** The crop of a stored centre and size. */
    public Crop cropInPlane(Point centre, Size size) {
        Size inPhoto = new Size(size.width() * photo.width(), size.height() * photo.height());
        return new Crop(toPlane(centre), inPhoto.times(scaleAt(centre)));
    }

    /** The size that is stored of a crop; its centre is stored as any place. */
    public Size sizeStored(Crop crop) {
        double scale = plane.scaleAt(plane.toPhoto(crop.centre()));
        return new Size(crop.size().width() / scale / photo.width(), crop.size().height() / scale / photo.height());
    }
}
