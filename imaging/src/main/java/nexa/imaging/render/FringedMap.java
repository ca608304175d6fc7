package nexa.imaging.render;

import java.util.List;
import java.util.stream.Stream;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.shape.LensMap;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * A map that reads each colour elsewhere, as a lens drew it. Grey has but one, and is read where green is.
 *
 * @param green also where a place lies, when there is but one
 */
record FringedMap(PixelMap red, PixelMap green, PixelMap blue) implements PixelMap {
    /** Pixels that interpolating needs around what is read. */
    private static final int MARGIN = 4;

    /** What a map becomes where a lens drew red and blue beside green. */
    static FringedMap of(PixelMap map, LensMap lens, int pitch) {
        return new FringedMap(
                new GridMap(place -> lens.red(map.at(place)), pitch),
                map,
                new GridMap(place -> lens.blue(map.at(place)), pitch));
    }

    @Override
    public Point at(Point result) {
        return green.at(result);
    }

    @Override
    public FringedMap after(AffineMap first) {
        return new FringedMap(red.after(first), green.after(first), blue.after(first));
    }

    @Override
    public FringedMap inPhotoScaledBy(double factor) {
        return new FringedMap(red.inPhotoScaledBy(factor), green.inPhotoScaledBy(factor), blue.inPhotoScaledBy(factor));
    }

    @Override
    public FringedMap within(int left, int top) {
        return new FringedMap(red.within(left, top), green.within(left, top), blue.within(left, top));
    }

    @Override
    public Bounds reach(PixelSize result) {
        return Bounds.of(Stream.of(red, green, blue)
                .map(map -> map.reach(result))
                .flatMap(bounds -> Stream.of(bounds.least(), bounds.most()))
                .toList());
    }

    @Override
    public void warp(Mat from, Mat to, PixelSize result, int how, Beyond beyond) {
        if (from.channels() < 3) {
            green.warp(from, to, result, how, beyond);
            return;
        }
        if (to.empty()) {
            to.create(result.height(), result.width(), from.type());
        }
        // In this order they lie in memory; what is see-through is so where green is.
        List<PixelMap> maps = List.of(blue, green, red, green);
        for (int channel = 0; channel < from.channels(); channel++) {
            try (Rect part = part(maps.get(channel), from, result, beyond);
                    Mat seen = new Mat(from, part);
                    Mat one = new Mat();
                    Mat warped = new Mat()) {
                opencv_core.extractChannel(seen, one, channel);
                maps.get(channel).within(part.x(), part.y()).warp(one, warped, result, how, beyond);
                opencv_core.insertChannel(warped, to, channel);
            }
        }
    }

    /** What of a photo is to be looked at: where all of the result lies in it, no more than it takes. The caller closes it. */
    private static Rect part(PixelMap map, Mat photo, PixelSize result, Beyond beyond) {
        return beyond == Beyond.EDGE
                ? map.needed(result, MARGIN, photo.cols(), photo.rows())
                : new Rect(0, 0, photo.cols(), photo.rows());
    }
}
