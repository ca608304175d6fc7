package nexa.imaging.render;

import com.google.common.primitives.Doubles;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Bounds;
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

    /** How exactly places are worked out where a map bends. */
    enum Exactness {
        FILE(16, 0.01),
        SCREEN(8, 0.1);

        /** Pixels of a result between places that are worked out, at most. */
        private final int pitch;
        /** By how many pixels of the photo those between them may be off. */
        private final double mostOff;

        Exactness(int pitch, double mostOff) {
            this.pitch = pitch;
            this.mostOff = mostOff;
        }

        GridMap grid(UnaryOperator<Point> exact) {
            return new GridMap(exact, pitch, mostOff);
        }
    }

    /**
     * From the plane of a photo's crops to the photo as it is seen.
     *
     * @param stretch by which the photo is stretched, if it is
     * @param exactness for what the map is wanted
     */
    static PixelMap ofPlane(Photo photo, Optional<Stretch> stretch, Exactness exactness) {
        Plane plane = photo.plane();
        PixelMap map = plane.isBent()
                ? exactness.grid(plane::toPhoto)
                : plane.homography().<PixelMap>map(ProjectiveMap::new).orElse(SAME);
        if (stretch.isPresent()) {
            map = exactness.grid(place -> stretch.get().toPhoto(plane.toPhoto(place)));
        }
        return withFringes(map, photo, exactness);
    }

    private static PixelMap withFringes(PixelMap map, Photo photo, Exactness exactness) {
        return photo.preparation()
                .lens()
                .filter(Lens::hasFringes)
                .<PixelMap>map(lens -> FringedMap.of(map, new LensMap(lens, photo.size()), exactness))
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

    /** The map by which a channel of the photo is read. */
    default PixelMap ofChannel(int channel, int channels) {
        return this;
    }

    /** The same map, made ready for a result of which parts are asked for one by one. */
    default PixelMap readyFor(PixelSize result) {
        return this;
    }

    /** The places of the middles of a result's pixels. */
    Rows rows(PixelSize result);

    /** Places row by row. */
    interface Rows {
        /** A pixel of the photo in the numbers that places are told in. */
        int PIXEL = 1 << 10;

        /** Fills in those of a row, as many as there is room for, to the nearest of so many between one pixel and the next. */
        void fill(int row, int[] x, int[] y);
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
