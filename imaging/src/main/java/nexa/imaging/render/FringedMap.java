package nexa.imaging.render;

import java.util.stream.Stream;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.shape.LensMap;
import nexa.core.shoot.Beyond;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * A map that reads each colour elsewhere, as a lens drew it. Grey has but one, and is read where green is.
 *
 * @param green also where a place lies, when there is but one
 */
record FringedMap(PixelMap red, PixelMap green, PixelMap blue) implements PixelMap {
    /** The channels as they lie in memory. */
    private static final int BLUE = 0;

    private static final int RED = 2;

    /** What a map becomes where a lens drew red and blue beside green. */
    static FringedMap of(PixelMap map, LensMap lens, Exactness exactness) {
        return new FringedMap(
                exactness.grid(place -> lens.red(map.at(place))),
                map,
                exactness.grid(place -> lens.blue(map.at(place))));
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
    public PixelMap ofChannel(int channel, int channels) {
        if (channels < 3) {
            return green;
        }
        return switch (channel) {
            case BLUE -> blue;
            case RED -> red;
            default -> green;
        };
    }

    @Override
    public FringedMap readyFor(PixelSize result) {
        return new FringedMap(red.readyFor(result), green.readyFor(result), blue.readyFor(result));
    }

    @Override
    public Rows rows(PixelSize result) {
        return green.rows(result);
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
        // What is see-through is so where green is.
        warp(blue, from, to, new int[] {BLUE}, result, how, beyond);
        warp(green, from, to, from.channels() == 4 ? new int[] {1, 3} : new int[] {1}, result, how, beyond);
        warp(red, from, to, new int[] {RED}, result, how, beyond);
    }

    /** Fills some channels of a result. */
    private static void warp(PixelMap map, Mat from, Mat to, int[] channels, PixelSize result, int how, Beyond beyond) {
        int[] out = new int[2 * channels.length];
        int[] back = new int[2 * channels.length];
        for (int i = 0; i < channels.length; i++) {
            out[2 * i] = channels[i];
            out[2 * i + 1] = i;
            back[2 * i] = i;
            back[2 * i + 1] = channels[i];
        }
        try (Rect part = part(map, from, result, beyond);
                Mat seen = new Mat(from, part);
                Mat some =
                        new Mat(part.height(), part.width(), opencv_core.CV_MAKETYPE(from.depth(), channels.length));
                Mat warped = new Mat()) {
            opencv_core.mixChannels(seen, 1, some, 1, out, channels.length);
            map.within(part.x(), part.y()).warp(some, warped, result, how, beyond);
            opencv_core.mixChannels(warped, 1, to, 1, back, channels.length);
        }
    }

    /** What of a photo is to be looked at: where all of the result lies in it, no more than it takes. The caller closes it. */
    private static Rect part(PixelMap map, Mat photo, PixelSize result, Beyond beyond) {
        return beyond == Beyond.EDGE
                ? map.needed(result, MARGIN, photo.cols(), photo.rows())
                : new Rect(0, 0, photo.cols(), photo.rows());
    }
}
