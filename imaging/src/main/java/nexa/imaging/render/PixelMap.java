package nexa.imaging.render;

import com.google.common.primitives.Doubles;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.shape.Lens;
import nexa.core.shape.LensMap;
import nexa.core.shape.Plane;
import nexa.core.shape.Stretch;
import nexa.core.shoot.Photo;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * Where in a photo, or a part of it, each place of a result lies; both in coordinates whose pixel k spans k … k + 1. Screen and
 * files are made by the same one, so that they agree.
 */
public sealed interface PixelMap permits AffineMap, ProjectiveMap, GridMap, FringedMap {
    /** The result is the photo. */
    PixelMap SAME = AffineMap.shift(Point.ORIGIN);

    /** Pixels that interpolating needs around what is read. */
    int MARGIN = 4;

    /** So many places along a side of a crop are looked at. */
    int PLACES = 9;

    /** Pixels of a result between places that are worked out exactly, where a map has to be: in files. */
    int FILE_PITCH = 16;

    /** Likewise on the screen. */
    int SCREEN_PITCH = 8;

    /**
     * From the plane of a photo's crops to the photo as it is seen.
     *
     * @param stretch by which the photo is stretched, if it is
     * @param pitch pixels of the result between places that are worked out exactly, where they have to be
     */
    static PixelMap ofPlane(Photo photo, Optional<Stretch> stretch, int pitch) {
        Plane plane = photo.plane();
        PixelMap map = plane.isBent()
                ? new GridMap(plane::toPhoto, pitch)
                : plane.homography().<PixelMap>map(ProjectiveMap::new).orElse(SAME);
        if (stretch.isPresent()) {
            map = new GridMap(place -> stretch.get().toPhoto(plane.toPhoto(place)), pitch);
        }
        return withFringes(map, photo, pitch);
    }

    private static PixelMap withFringes(PixelMap map, Photo photo, int pitch) {
        return photo.preparation()
                .lens()
                .filter(Lens::hasFringes)
                .<PixelMap>map(lens -> FringedMap.of(map, new LensMap(lens, photo.size()), pitch))
                .orElse(map);
    }

    /** The place in the photo of a place of the result. */
    Point at(Point result);

    /** The map that goes through an affine one first: from what that one starts at. */
    PixelMap after(AffineMap first);

    /** The same places when the photo's own pixels have become larger or smaller by a factor. */
    PixelMap inPhotoScaledBy(double factor);

    /** The same places in the part of the photo that begins there. */
    PixelMap within(int left, int top);

    /** The part of the photo, in its pixels, in which all lies that a result needs. */
    default Bounds reach(PixelSize result) {
        return Bounds.of(corners(result).stream().map(this::at).toList());
    }

    /**
     * Fills a result from the photo.
     *
     * @param to of the result's size and the photo's type, or empty
     * @param how OpenCV's interpolation
     * @param beyond what lies beyond the photo
     */
    void warp(Mat from, Mat to, PixelSize result, int how, Beyond beyond);

    /** What a result shows where it reaches beyond the photo. */
    enum Beyond {
        /** The photo's edge goes on. */
        EDGE(opencv_core.BORDER_REPLICATE),
        NOTHING(opencv_core.BORDER_CONSTANT);

        private final int border;

        Beyond(int border) {
            this.border = border;
        }

        /** As OpenCV calls it. */
        int border() {
            return border;
        }
    }

    /** The same places for the part of the result that begins some pixels further right and down. */
    default PixelMap shifted(int across, int below) {
        return after(AffineMap.shift(new Point(across, below)));
    }

    /** The most pixels of the photo that lie along one of the plane, anywhere in a crop; at least 1. */
    default double finest(Crop crop, Angle angle) {
        double most = 1;
        for (int i = 0; i < PLACES; i++) {
            for (int j = 0; j < PLACES; j++) {
                Point place = crop.at((double) i / (PLACES - 1), (double) j / (PLACES - 1), angle);
                Point here = at(place);
                Point right = at(place.plus(new Point(1, 0))).minus(here);
                Point down = at(place.plus(new Point(0, 1))).minus(here);
                most = Math.max(most, mostStretch(right, down));
            }
        }
        return most;
    }

    /** The larger singular value of the matrix of two columns. */
    static double mostStretch(Point right, Point down) {
        double sum = Math.hypot(right.x() + down.y(), right.y() - down.x());
        return (sum + Math.hypot(right.x() - down.y(), right.y() + down.x())) / 2;
    }

    /** The part of a photo that a result's pixels come from, and a margin around it. The caller closes it. */
    default Rect needed(PixelSize result, int margin, int width, int height) {
        Bounds places = reach(result);
        int left = within(Math.floor(places.least().x()) - margin, width - 1);
        int top = within(Math.floor(places.least().y()) - margin, height - 1);
        int right = within(Math.ceil(places.most().x()) + margin, width);
        int bottom = within(Math.ceil(places.most().y()) + margin, height);
        return new Rect(left, top, Math.max(1, right - left), Math.max(1, bottom - top));
    }

    private static int within(double value, int most) {
        return (int) Doubles.constrainToRange(value, 0, most);
    }

    /** The four corners of a result. */
    static List<Point> corners(PixelSize result) {
        return Stream.of(new Point(0, 0), new Point(1, 0), new Point(0, 1), new Point(1, 1))
                .map(corner -> new Point(corner.x() * result.width(), corner.y() * result.height()))
                .toList();
    }
}
