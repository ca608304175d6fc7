package nexa.imaging.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.common.primitives.Doubles;
import java.util.stream.IntStream;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.Homography;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What becomes of fine detail, edges, slopes and borders where a crop keeps the size it has in the photo. */
class LanczosWarpTest {
    private static final int WIDTH = 420;
    private static final int HEIGHT = 360;
    private static final PixelSize RESULT = new PixelSize(200, 150);
    /** Pixels of the result that are not looked at, where a crop's edge may lie. */
    private static final int EDGE = 8;

    /** Something drawn by formula, brightness 0 … 255 at the middle of each pixel. */
    private interface Drawing {
        double brightness(double x, double y);
    }

    private static Mat photo(Drawing drawing, int type) {
        float[] numbers = new float[WIDTH * HEIGHT];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = (float) drawing.brightness(i % WIDTH + 0.5, i / WIDTH + 0.5);
        }
        try (FloatPointer memory = new FloatPointer(numbers);
                Mat grey = new Mat(HEIGHT, WIDTH, opencv_core.CV_32FC1, memory);
                Mat own = new Mat()) {
            grey.convertTo(own, opencv_core.CV_MAT_DEPTH(type), scale(type), 0);
            Mat photo = new Mat(HEIGHT, WIDTH, type);
            for (int channel = 0; channel < photo.channels(); channel++) {
                opencv_core.insertChannel(own, photo, channel);
            }
            return photo;
        }
    }

    private static double scale(int type) {
        return opencv_core.CV_MAT_DEPTH(type) == opencv_core.CV_8U ? 1 : 257;
    }

    /** The brightness of a result, which is the same in all channels. */
    private static float[] brightness(Mat result) {
        float[] numbers = new float[result.cols() * result.rows()];
        try (Mat grey = new Mat();
                Mat floats = new Mat()) {
            opencv_core.extractChannel(result, grey, result.channels() - 1);
            grey.convertTo(floats, opencv_core.CV_32F, 1 / scale(result.type()), 0);
            try (FloatPointer all = new FloatPointer(floats.data())) {
                all.get(numbers);
            }
        }
        return numbers;
    }

    private static float[] cropped(Drawing drawing, int type, Crop crop, Angle angle) {
        return cropped(drawing, type, PixelMap.SAME, crop, angle, RESULT);
    }

    private static float[] cropped(Drawing drawing, int type, PixelMap map, Crop crop, Angle angle, PixelSize size) {
        try (Mat photo = photo(drawing, type);
                Mat result = CropRenderer.render(new Canvas(photo, 0, 0), map, crop, angle, size)) {
            assertThat(result.type()).isEqualTo(type);
            return brightness(result);
        }
    }

    private static Crop crop(double width, double height) {
        return new Crop(new Point(210.3, 180.7), new Size(width, height));
    }

    /** What share of the contrast of a grating is left, on average over twelve directions, at the places where it belongs. */
    private static double contrast(double cycles, int type, Crop crop, Angle angle) {
        return IntStream.range(0, 12)
                .mapToDouble(i -> contrast(cycles, Math.toRadians(15.0 * i), type, crop, angle))
                .average()
                .orElseThrow();
    }

    private static double contrast(double cycles, double direction, int type, Crop crop, Angle angle) {
        double across = 2 * Math.PI * cycles * Math.cos(direction);
        double down = 2 * Math.PI * cycles * Math.sin(direction);
        float[] result = cropped((x, y) -> 128 + 100 * Math.sin(across * x + down * y), type, crop, angle);
        double seen = 0;
        double drawn = 0;
        for (int y = EDGE; y < RESULT.height() - EDGE; y++) {
            for (int x = EDGE; x < RESULT.width() - EDGE; x++) {
                Point place = crop.at((x + 0.5) / RESULT.width(), (y + 0.5) / RESULT.height(), angle);
                double wave = Math.sin(across * place.x() + down * place.y());
                seen += wave * (result[y * RESULT.width() + x] - 128);
                drawn += wave * wave;
            }
        }
        return seen / drawn / 100;
    }

    private static IntStream types() {
        return IntStream.of(opencv_core.CV_8UC1, opencv_core.CV_8UC3, opencv_core.CV_16UC3, opencv_core.CV_32FC3);
    }

    @ParameterizedTest
    @MethodSource("types")
    void aTurnedCropKeepsItsFineDetail(int type) {
        assertKeepsDetail(type, crop(200, 150), new Angle(20));
    }

    /** Nearly every turned crop is a part of a pixel wider or higher than its file. */
    @ParameterizedTest
    @CsvSource({"200.26,150.2", "199.6,150.4", "200.9,150.7", "160,120"})
    void soDoesOneThatIsAPartOfAPixelLargerOrIsEnlarged(double width, double height) {
        assertKeepsDetail(opencv_core.CV_8UC3, crop(width, height), new Angle(20));
    }

    private static void assertKeepsDetail(int type, Crop crop, Angle angle) {
        assertThat(contrast(0.15, type, crop, angle)).isBetween(0.97, 1.03);
        assertThat(contrast(0.375, type, crop, angle)).isGreaterThan(0.93);
        assertThat(contrast(0.425, type, crop, angle)).isGreaterThan(0.85);
    }

    @ParameterizedTest
    @CsvSource({"2.3,0", "20,0", "44,0", "20,90", "20,33"})
    void aStepIsOvershotByATenthOfItsHeightAtMost(double degrees, double stepDegrees) {
        double across = Math.cos(Math.toRadians(stepDegrees));
        double down = Math.sin(Math.toRadians(stepDegrees));
        float[] result = cropped(
                // A pixel that the step goes through has some of both sides.
                (x, y) -> 125 + 150 * Doubles.constrainToRange(across * (x - 210) + down * (y - 180), -0.5, 0.5),
                opencv_core.CV_16UC3,
                crop(200, 150),
                new Angle(degrees));
        for (float brightness : result) {
            assertThat(brightness).isBetween(50 - 15f, 200 + 15f);
        }
    }

    private static final Homography.Row DEPTH = new Homography.Row(4e-4, -3e-4, 1);
    private static final ProjectiveMap TILTED = new ProjectiveMap(
            new Homography(new Homography.Row(1.05, 0.03, -4), new Homography.Row(-0.02, 1.02, 5), DEPTH));

    /** A slope tells by its brightness which place of the photo each pixel shows. */
    @ParameterizedTest
    @CsvSource({"0.7", "1", "1.05", "1.5", "2.1"})
    void everyPixelShowsTheVeryPlaceThatIsIts(double shrink) {
        Angle angle = new Angle(7);
        Crop crop = crop(200.3, 150.2);
        PixelSize size = new PixelSize((int) Math.round(200.3 / shrink), (int) Math.round(150.2 / shrink));
        for (PixelMap map : new PixelMap[] {PixelMap.SAME, TILTED, new GridMap(TILTED::at, 16, 0.01)}) {
            float[] across = cropped((x, y) -> x / 2, opencv_core.CV_32FC1, map, crop, angle, size);
            float[] down = cropped((x, y) -> y / 2, opencv_core.CV_32FC1, map, crop, angle, size);
            for (int i = 0; i < across.length; i++) {
                double column = (i % size.width() + 0.5) / size.width();
                double row = (i / size.width() + 0.5) / size.height();
                Point place = map.at(crop.at(column, row, angle));
                assertThat(new Point(2 * across[i], 2 * down[i]).distance(place))
                        .as("%s, pixel %d", map, i)
                        .isLessThan(0.05);
            }
        }
    }

    @Test
    void threeColoursAtOnceAreAsEachForItself() {
        Drawing busy = (x, y) -> 128 + 90 * Math.sin(x * x / 90) * Math.cos(y * x / 170) + 37 * Math.sin(3 * y);
        Angle angle = new Angle(-13);
        float[] together = cropped(busy, opencv_core.CV_8UC3, crop(200, 150), angle);
        float[] alone = cropped(busy, opencv_core.CV_8UC1, crop(200, 150), angle);
        for (int i = 0; i < alone.length; i++) {
            assertThat(together[i]).isCloseTo(alone[i], within(1f));
        }
    }

    /** Also of a photo that is part of a larger picture: what lies around it there is none of its own. */
    @Test
    void beyondAPhotoItsEdgeGoesOn() {
        PixelMap far = new AffineMap(new Point(-900, -20), new Point(5, 0.2), new Point(-0.2, 1));
        try (Mat whole = new Mat(90, 130, opencv_core.CV_8UC3, new Scalar(10, 20, 30, 0));
                Mat inside = new Mat(whole, new org.bytedeco.opencv.opencv_core.Rect(20, 20, 90, 50));
                Scalar colour = new Scalar(90, 200, 40, 0)) {
            inside.put(colour);
            try (Mat result = LanczosWarp.warped(inside, far, new PixelSize(400, 90), 1);
                    Mat even = new Mat(90, 400, opencv_core.CV_8UC3, colour)) {
                assertThat(opencv_core.norm(result, even)).isZero();
            }
        }
    }
}
