package nexa.imaging.render;

import java.util.stream.IntStream;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;

/**
 * Fills a result of about the photo's own scale, or larger, straight from the photo: each pixel from 6 × 6 of the photo's, weighed
 * by {@link SixTaps} for the very place that it shows. OpenCV tells places by 32nds of a pixel and weighs four by four.
 *
 * <p>Tile by tile, so that what a tile reads stays in the processor's cache. Beyond the photo its edge goes on.
 */
final class LanczosWarp {
    private static final int TILE = 128;

    private final Mat photo;
    private final PixelMap map;
    private final Mat result;
    private final double leastStretch;
    /** Of the last tile; used again. */
    private long[] packed = {};

    private LanczosWarp(Mat photo, PixelMap map, Mat result, double leastStretch) {
        this.photo = photo;
        this.leastStretch = leastStretch;
        this.map = map;
        this.result = result;
    }

    /**
     * A result whose pixels lie in the photo as a map says, of the photo's type. The caller closes it.
     *
     * @param leastStretch of {@link SixTaps}; 1 keeps all the detail there is
     */
    static Mat warped(Mat photo, PixelMap map, PixelSize size, double leastStretch) {
        PixelMap ready = map.readyFor(size);
        return ClosedOnThrow.filled(
                new Mat(size.height(), size.width(), photo.type()),
                result -> new LanczosWarp(photo, ready, result, leastStretch).fill());
    }

    private void fill() {
        for (int top = 0; top < result.rows(); top += TILE) {
            for (int left = 0; left < result.cols(); left += TILE) {
                PixelSize size =
                        new PixelSize(Math.min(TILE, result.cols() - left), Math.min(TILE, result.rows() - top));
                try (Rect at = new Rect(left, top, size.width(), size.height());
                        Mat tile = new Mat(result, at)) {
                    fill(tile, map.shifted(left, top), size);
                }
            }
        }
    }

    private void fill(Mat tile, PixelMap toPhoto, PixelSize size) {
        int channels = photo.channels();
        Taps[] taps = new Taps[channels];
        for (int i = 0; i < channels; i++) {
            PixelMap own = toPhoto.ofChannel(i, channels);
            boolean isAsBefore = i > 0 && own == toPhoto.ofChannel(i - 1, channels);
            taps[i] = isAsBefore ? taps[i - 1] : new Taps(own, size);
        }
        boolean isOneMap = IntStream.range(1, channels).allMatch(i -> taps[i] == taps[0]);
        if (isOneMap && photo.type() == opencv_core.CV_8UC3) {
            fillColours(tile, taps[0]);
        } else {
            fillChannels(tile, taps);
        }
    }

    /** Where the pixels of a tile lie in the photo, and the part of it that they are made of, which may reach beyond it. */
    private final class Taps {
        private final SixTaps across;
        private final SixTaps down;
        private final PixelMap.Rows places;
        private final Range columns;
        private final Range rows;
        private final int[] x;
        private final int[] y;
        /** Of each pixel of a row of the tile: where the first that makes it up is in the part, and where its weights are. */
        private final int[] at;

        private final int[] weightsAcross;
        private final int[] weightsDown;

        Taps(PixelMap toPhoto, PixelSize size) {
            Point middle = new Point(size.width() / 2.0, size.height() / 2.0);
            Point here = toPhoto.at(middle);
            Point right = toPhoto.at(middle.plus(new Point(1, 0))).minus(here);
            Point below = toPhoto.at(middle.plus(new Point(0, 1))).minus(here);
            this.across = SixTaps.of(Math.max(leastStretch, Math.hypot(right.x(), below.x())));
            this.down = SixTaps.of(Math.max(leastStretch, Math.hypot(right.y(), below.y())));
            Bounds reach = toPhoto.reach(size);
            this.columns = Range.of(reach.least().x(), reach.most().x(), photo.cols());
            this.rows = Range.of(reach.least().y(), reach.most().y(), photo.rows());
            this.places = toPhoto.rows(size);
            this.x = new int[size.width()];
            this.y = new int[size.width()];
            this.at = new int[size.width()];
            this.weightsAcross = new int[size.width()];
            this.weightsDown = new int[size.width()];
        }

        void row(int row) {
            places.fill(row, x, y);
            int stride = columns.count();
            for (int i = 0; i < at.length; i++) {
                int column = columns.fromFirst(x[i]);
                int line = rows.fromFirst(y[i]);
                at[i] = (SixTaps.pixel(line) - SixTaps.BEFORE) * stride + SixTaps.pixel(column) - SixTaps.BEFORE;
                weightsAcross[i] = SixTaps.begin(column);
                weightsDown[i] = SixTaps.begin(line);
            }
        }

        /** What of the part lies in the photo. The caller closes it. */
        Mat inside() {
            try (Rect inside = new Rect(columns.inside(), rows.inside(), columns.countInside(), rows.countInside())) {
                return new Mat(photo, inside);
            }
        }

        /** The whole part, of what of it lies in the photo. The caller closes it. */
        Mat part(Mat inside) {
            try (Scalar nothing = new Scalar(0, 0, 0, 0)) {
                return ClosedOnThrow.filled(
                        new Mat(),
                        part -> opencv_core.copyMakeBorder(
                                inside,
                                part,
                                rows.before(),
                                rows.behind(),
                                columns.before(),
                                columns.behind(),
                                // Or what was trimmed away would come back.
                                opencv_core.BORDER_REPLICATE | opencv_core.BORDER_ISOLATED,
                                nothing));
            }
        }
    }

    /**
     * Pixels along a side that are read, of which at least one is there.
     *
     * @param limit so many are there, from 0 on
     */
    private record Range(int first, int end, int limit) {
        /** Those for places from one to another, the pixels around either, and one for places that are not quite as they were told. */
        static Range of(double least, double most, int limit) {
            int before = SixTaps.BEFORE + 1;
            int behind = SixTaps.COUNT - SixTaps.BEFORE + 1;
            int first = (int) Math.floor(inside(least - 0.5, limit)) - before;
            int end = (int) Math.floor(inside(most - 0.5, limit)) + behind;
            return new Range(Math.min(first, limit - 1), Math.max(end, 1), limit);
        }

        /** Further out it is the edge everywhere. */
        private static double inside(double place, int limit) {
            return Math.max(-SixTaps.COUNT, Math.min(limit + SixTaps.COUNT, place));
        }

        /** A place, counted from the middle of the first pixel on; such that all six are among those read. */
        int fromFirst(int place) {
            int from = place - SixTaps.PHASES / 2 - first * SixTaps.PHASES;
            int most = (count() - SixTaps.COUNT + SixTaps.BEFORE) * SixTaps.PHASES;
            return Math.max(SixTaps.BEFORE * SixTaps.PHASES, Math.min(most, from));
        }

        int count() {
            return end - first;
        }

        int inside() {
            return Math.max(0, first);
        }

        int countInside() {
            return Math.min(limit, end) - inside();
        }

        int before() {
            return inside() - first;
        }

        int behind() {
            return count() - before() - countInside();
        }
    }

    /** Of any type, channel by channel. */
    private static void fillChannels(Mat tile, Taps[] taps) {
        int channels = taps.length;
        float[] row = new float[tile.cols() * channels];
        try (Mat values = new Mat(tile.rows(), tile.cols(), opencv_core.CV_32FC(channels));
                FloatPointer all = new FloatPointer(values.data())) {
            for (int i = 0; i < channels; i++) {
                float[] plane = plane(taps[i], i);
                for (int y = 0; y < tile.rows(); y++) {
                    all.position((long) y * row.length).get(row);
                    taps[i].row(y);
                    sum(plane, taps[i], row, i, channels);
                    all.put(row);
                }
            }
            values.convertTo(tile, tile.type());
        }
    }

    /** A channel of the part of the photo that a tile is made of. */
    private static float[] plane(Taps taps, int channel) {
        float[] plane = new float[taps.columns.count() * taps.rows.count()];
        try (Mat inside = taps.inside();
                Mat own = new Mat();
                Mat values = new Mat()) {
            opencv_core.extractChannel(inside, own, channel);
            try (Mat part = taps.part(own)) {
                part.convertTo(values, opencv_core.CV_32F);
            }
            try (FloatPointer all = new FloatPointer(values.data())) {
                all.get(plane);
            }
        }
        return plane;
    }

    private static void sum(float[] plane, Taps taps, float[] row, int channel, int channels) {
        float[] across = taps.across.weights();
        float[] down = taps.down.weights();
        int[] at = taps.at;
        int stride = taps.columns.count();
        for (int x = 0, to = channel; x < at.length; x++, to += channels) {
            int a = taps.weightsAcross[x];
            int d = taps.weightsDown[x];
            float w0 = across[a];
            float w1 = across[a + 1];
            float w2 = across[a + 2];
            float w3 = across[a + 3];
            float w4 = across[a + 4];
            float w5 = across[a + 5];
            float sum = 0;
            int p = at[x];
            for (int k = 0; k < SixTaps.COUNT; k++) {
                sum += down[d + k]
                        * (w0 * plane[p]
                                + w1 * plane[p + 1]
                                + w2 * plane[p + 2]
                                + (w3 * plane[p + 3] + w4 * plane[p + 4] + w5 * plane[p + 5]));
                p += stride;
            }
            row[to] = sum;
        }
    }

    /** Of three colours of 8 bits that lie in the same places, all at once. */
    private void fillColours(Mat tile, Taps taps) {
        pack(taps);
        byte[] row = new byte[tile.cols() * PackedColours.COUNT];
        for (int y = 0; y < tile.rows(); y++) {
            taps.row(y);
            sum(packed, taps, row);
            try (BytePointer to = tile.ptr(y)) {
                to.put(row);
            }
        }
    }

    private void pack(Taps taps) {
        int width = taps.columns.count();
        if (packed.length < width * taps.rows.count()) {
            packed = new long[width * taps.rows.count()];
        }
        byte[] row = new byte[width * PackedColours.COUNT];
        try (Mat inside = taps.inside();
                Mat part = taps.part(inside)) {
            for (int y = 0; y < taps.rows.count(); y++) {
                try (BytePointer from = part.ptr(y)) {
                    from.get(row);
                }
                PackedColours.pack(row, packed, y * width);
            }
        }
    }

    private static void sum(long[] packed, Taps taps, byte[] row) {
        int[] across = taps.across.whole();
        int[] down = taps.down.whole();
        int[] at = taps.at;
        int stride = taps.columns.count();
        for (int x = 0; x < at.length; x++) {
            int a = taps.weightsAcross[x];
            int d = taps.weightsDown[x];
            long w0 = across[a];
            long w1 = across[a + 1];
            long w2 = across[a + 2];
            long w3 = across[a + 3];
            long w4 = across[a + 4];
            long w5 = across[a + 5];
            long outer = 0;
            int inner = 0;
            int p = at[x];
            for (int k = 0; k < SixTaps.COUNT; k++) {
                long line = w0 * packed[p]
                        + w1 * packed[p + 1]
                        + w2 * packed[p + 2]
                        + (w3 * packed[p + 3] + w4 * packed[p + 4] + w5 * packed[p + 5])
                        + PackedColours.ABOVE_ZERO;
                int weight = down[d + k];
                outer += weight * PackedColours.outer(line);
                inner += weight * PackedColours.inner(line);
                p += stride;
            }
            PackedColours.unpack(outer, inner, row, x * PackedColours.COUNT);
        }
    }
}
