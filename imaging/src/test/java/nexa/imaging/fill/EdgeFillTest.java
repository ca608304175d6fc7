package nexa.imaging.fill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.ForkJoinPool;
import java.util.function.IntBinaryOperator;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.series.FillPlan;
import nexa.core.shape.Margins;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Colour;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.ColourProfile;
import nexa.imaging.decode.MatImages;
import nexa.imaging.render.Canvas;
import org.bytedeco.javacpp.indexer.Indexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is put beyond a photo's edge. */
class EdgeFillTest {
    private static final Margins LEFT = new Margins(60, 0, 0, 0);
    private static final Margins AROUND = new Margins(40, 30, 50, 20);

    /** Grey pixels of 8 bits. */
    private static Mat grey(int width, int height, IntBinaryOperator value) {
        Mat pixels = new Mat(height, width, opencv_core.CV_8UC3);
        try (UByteIndexer numbers = pixels.createIndexer()) {
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    int grey = value.applyAsInt(x, y);
                    for (int c = 0; c < 3; c++) {
                        numbers.put(y, x, c, grey);
                    }
                }
            }
        }
        return pixels;
    }

    /** Something with lines, patches and colours. */
    private static Mat scene() {
        return MatImages.mat(TestPhotos.scene(600, 400).getRaster(), false);
    }

    private static Photo photo(Mat pixels) {
        return Photo.untouched("a.jpg").withPixels(new PixelSize(pixels.cols(), pixels.rows()));
    }

    private static FillPlan plan(Photo photo, Margins margins, Beyond beyond) {
        return new FillPlan(
                photo.withEntry("f", CropEntry.UNTOUCHED.withBeyond(beyond)), margins, beyond, Optional.empty());
    }

    private static FillPlan plan(Mat pixels, Margins margins, Beyond.Fill fill) {
        return plan(photo(pixels), margins, Beyond.USUAL.withFill(fill));
    }

    private static EdgeFill fill(FillPlan plan, Mat pixels) {
        double factor = Math.min(1, (double) EdgeFill.SMALL / Math.max(pixels.cols(), pixels.rows()));
        try (Mat small = new Mat();
                Mat bgra = new Mat();
                Size size = new Size((int) Math.max(1, Math.round(pixels.cols() * factor)), (int)
                        Math.max(1, Math.round(pixels.rows() * factor)))) {
            opencv_imgproc.resize(pixels, small, size, 0, 0, opencv_imgproc.INTER_AREA);
            opencv_imgproc.cvtColor(small, bgra, opencv_imgproc.COLOR_BGR2BGRA);
            return EdgeFill.of(plan, bgra);
        }
    }

    private static Canvas canvas(FillPlan plan, Mat pixels) {
        return fill(plan, pixels).canvas(pixels, Optional.empty());
    }

    private static byte[] bytes(Mat pixels) {
        try (Mat whole = pixels.clone()) {
            byte[] bytes = new byte[(int) (whole.total() * whole.elemSize())];
            whole.data().get(bytes);
            return bytes;
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = Beyond.Fill.class,
            names = {"COLOUR", "PICTURE"})
    void thePhotosOwnPixelsStayBitForBitAndTheRoomIsThere(Beyond.Fill how) {
        try (Mat pixels = scene();
                Canvas canvas = canvas(plan(pixels, AROUND, how), pixels);
                Rect own = new Rect(-canvas.left(), -canvas.top(), pixels.cols(), pixels.rows());
                Mat inside = new Mat(canvas.pixels(), own)) {
            assertThat(Arrays.equals(bytes(inside), bytes(pixels))).isTrue();
            assertThat(-canvas.left()).isGreaterThanOrEqualTo(40);
            assertThat(-canvas.top()).isGreaterThanOrEqualTo(30);
            assertThat(canvas.pixels().cols() - pixels.cols() + canvas.left()).isGreaterThanOrEqualTo(50);
            assertThat(canvas.pixels().rows() - pixels.rows() + canvas.top()).isGreaterThanOrEqualTo(20);
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = Beyond.Fill.class,
            names = {"COLOUR", "PICTURE"})
    void aConstantPictureGoesOnExactly(Beyond.Fill how) {
        try (Mat pixels = new Mat(300, 500, opencv_core.CV_8UC3, new Scalar(12, 130, 251, 0));
                Canvas canvas = canvas(plan(pixels, AROUND, how), pixels);
                Mat wanted = new Mat(canvas.pixels().size(), opencv_core.CV_8UC3, new Scalar(12, 130, 251, 0))) {
            assertThat(Arrays.equals(bytes(canvas.pixels()), bytes(wanted))).isTrue();
        }
    }

    @Test
    void aRampStaysWithinTheRangeOfItsEdgeBand() {
        try (Mat pixels = grey(600, 400, (x, y) -> 20 + x / 3);
                Canvas canvas = canvas(plan(pixels, new Margins(60, 0, 60, 0), Beyond.Fill.PICTURE), pixels);
                UByteIndexer numbers = canvas.pixels().createIndexer()) {
            int band = 60 / 3;
            for (int y = 0; y < 400; y += 3) {
                for (int x = 0; x < -canvas.left(); x++) {
                    assertThat(numbers.get(y, x, 0)).isBetween(20 - 1, 20 + band + 1);
                }
                for (int x = 600 - canvas.left(); x < canvas.pixels().cols(); x++) {
                    assertThat(numbers.get(y, x, 2)).isBetween(219 - band - 1, 219 + 1);
                }
            }
        }
    }

    @Test
    void aCalmEdgeGoesOnWithTheGrainThatIsInsideIt() {
        try (Mat pixels = grey(1200, 800, (x, y) -> 120 + Math.floorMod(x * 7919 + y * 104_729 + x * y * 31, 17) - 8);
                Canvas canvas = canvas(plan(pixels, new Margins(120, 0, 0, 0), Beyond.Fill.PICTURE), pixels);
                Rect room = new Rect(0, 0, 100, 800);
                Rect inside = new Rect(-canvas.left() + 100, 0, 100, 800);
                Mat filled = new Mat(canvas.pixels(), room);
                Mat known = new Mat(canvas.pixels(), inside)) {
            double[] one = meanAndSpread(filled);
            double[] other = meanAndSpread(known);
            assertThat(one[0]).isCloseTo(other[0], within(1.0));
            assertThat(one[1]).isCloseTo(other[1], within(0.15 * other[1]));
        }
    }

    private static double[] meanAndSpread(Mat pixels) {
        try (Mat mean = new Mat();
                Mat spread = new Mat()) {
            opencv_core.meanStdDev(pixels, mean, spread);
            try (Indexer means = mean.createIndexer();
                    Indexer spreads = spread.createIndexer()) {
                return new double[] {means.getDouble(0, 0), spreads.getDouble(0, 0)};
            }
        }
    }

    @Test
    void aBusyEdgeGoesOnWithItsTextureAndNotAsASmear() {
        try (Mat pixels = grey(600, 400, (x, y) -> (x / 9 + y / 7) % 2 == 0 ? 60 : 190);
                Canvas canvas = canvas(plan(pixels, LEFT, Beyond.Fill.PICTURE), pixels);
                Rect room = new Rect(0, 0, 50, 400);
                Mat filled = new Mat(canvas.pixels(), room)) {
            assertThat(meanAndSpread(filled)[1]).isGreaterThan(45);
        }
    }

    @Test
    void itIsTheSameInEveryRunAndWithAnyNumberOfThreads() throws Exception {
        try (Mat pixels = scene();
                Canvas first = canvas(plan(pixels, AROUND, Beyond.Fill.PICTURE), pixels)) {
            byte[] wanted = bytes(first.pixels());
            for (int threads : new int[] {1, 3}) {
                ForkJoinPool pool = new ForkJoinPool(threads);
                byte[] again = pool.submit(() -> {
                            try (Canvas canvas = canvas(plan(pixels, AROUND, Beyond.Fill.PICTURE), pixels)) {
                                return bytes(canvas.pixels());
                            }
                        })
                        .get();
                pool.shutdown();
                assertThat(Arrays.equals(again, wanted))
                        .as(threads + " threads")
                        .isTrue();
            }
        }
    }

    @Test
    void sixteenBitsAreFilledAsFinely() {
        try (Mat pixels = scene();
                Mat deep = new Mat()) {
            pixels.convertTo(deep, opencv_core.CV_16U, 257, 0);
            EdgeFill fill = fill(plan(pixels, AROUND, Beyond.Fill.PICTURE), pixels);
            try (Canvas eight = fill.canvas(pixels, Optional.empty());
                    Canvas sixteen = fill.canvas(deep, Optional.empty());
                    Mat rounded = new Mat();
                    Mat off = new Mat()) {
                assertThat(sixteen.pixels().depth()).isEqualTo(opencv_core.CV_16U);
                sixteen.pixels().convertTo(rounded, opencv_core.CV_8U, 1 / 257.0, 0);
                opencv_core.absdiff(rounded, eight.pixels(), off);
                assertThat(meanAndSpread(off)[0]).isLessThan(0.51);
                byte[] differences = bytes(off);
                assertThat(differences).satisfies(all -> {
                    for (byte one : all) {
                        assertThat(one & 0xFF).isLessThanOrEqualTo(1);
                    }
                });
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 9})
    void theSmallestPhotosAreFilledToo(int side) {
        Scalar colour = new Scalar(9, 99, 199, 0);
        try (Mat pixels = new Mat(side, side, opencv_core.CV_8UC3, colour);
                Canvas canvas = canvas(plan(pixels, new Margins(side, side, side, side), Beyond.Fill.PICTURE), pixels);
                Mat wanted = new Mat(canvas.pixels().size(), opencv_core.CV_8UC3, colour)) {
            assertThat(canvas.pixels().cols()).isGreaterThanOrEqualTo(3 * side);
            assertThat(Arrays.equals(bytes(canvas.pixels()), bytes(wanted))).isTrue();
        }
    }

    @Test
    void aTrimmedPhotoIsFilledFromWhatCountsAlone() {
        try (Mat pixels = grey(600, 400, (x, y) -> x < 60 ? 255 : 80);
                Canvas canvas =
                        canvas(plan(photo(pixels).withTrim(new Trim(0.1, 0, 0, 0)), LEFT, Beyond.USUAL), pixels)) {
            byte[] all = bytes(canvas.pixels());
            byte[] wanted = new byte[all.length];
            Arrays.fill(wanted, (byte) 80);
            assertThat(Arrays.equals(all, wanted)).isTrue();
            assertThat(canvas.left()).isLessThanOrEqualTo(0);
        }
    }

    @Test
    void whatIsSparedIsNotCopied() {
        // One bright spot beside the edge, on a pattern that is too busy to be just drawn out.
        try (Mat pixels = grey(
                600, 400, (x, y) -> Math.hypot(x - 60, y - 200) < 30 ? 255 : (x / 8 + y / 8) % 2 == 0 ? 40 : 120)) {
            Subject spot = new Subject(new Point(0.1, 0.5), OptionalDouble.of(0.1));
            try (Canvas canvas = canvas(plan(photo(pixels), LEFT, Beyond.USUAL.withSpared(Optional.of(spot))), pixels);
                    UByteIndexer numbers = canvas.pixels().createIndexer()) {
                for (int y = 0; y < 400; y++) {
                    for (int x = 0; x < -canvas.left() - 8; x++) {
                        assertThat(numbers.get(y, x, 1)).isLessThan(200);
                    }
                }
            }
        }
    }

    @Test
    void aChosenColourIsThatColourInThePhotosOwnNumbers() {
        Beyond red = Beyond.USUAL.withColour(Optional.of(new Colour(200, 20, 30)));
        try (Mat pixels = grey(60, 40, (x, y) -> 100);
                Canvas plain = canvas(plan(photo(pixels), LEFT, red), pixels);
                Canvas srgb =
                        fill(plan(photo(pixels), LEFT, red), pixels).canvas(pixels, Optional.of(ColourProfile.srgb()));
                UByteIndexer numbers = plain.pixels().createIndexer();
                UByteIndexer others = srgb.pixels().createIndexer()) {
            int[] wanted = {30, 20, 200};
            for (int c = 0; c < 3; c++) {
                assertThat(numbers.get(5, 5, c)).isEqualTo(wanted[c]);
                assertThat(others.get(5, 5, c)).isCloseTo(wanted[c], within(1));
            }
        }
    }

    @Test
    void theEdgesOwnColourIsTheUsualOneOfItsOutermostPixels() {
        try (Mat pixels = grey(600, 400, (x, y) -> x > 5 && y > 4 && x < 594 && y < 395 ? 20 : x % 50 == 0 ? 250 : 90);
                Canvas canvas = canvas(plan(pixels, LEFT, Beyond.Fill.COLOUR), pixels);
                UByteIndexer numbers = canvas.pixels().createIndexer()) {
            assertThat(numbers.get(200, 3, 0)).isEqualTo(90);
        }
    }
}
