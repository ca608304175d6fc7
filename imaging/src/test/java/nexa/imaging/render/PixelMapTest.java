package nexa.imaging.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.function.UnaryOperator;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.Homography;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;

/** The three kinds of map give the same pixels for the same places. */
class PixelMapTest {
    private static final int WIDTH = 640;
    private static final int HEIGHT = 480;
    private static final Homography.Row DEPTH = new Homography.Row(1e-4, -2e-4, 1);
    private static final ProjectiveMap TILTED = new ProjectiveMap(
            new Homography(new Homography.Row(0.98, 0.03, 4), new Homography.Row(-0.02, 0.95, 11), DEPTH));
    private static final Crop CROP = new Crop(new Point(300, 230), new Size(320, 240));
    private static final Angle ANGLE = new Angle(7);

    /** Soft waves, which every way of interpolating shows alike. */
    private static Mat photo() {
        Mat photo = new Mat(HEIGHT, WIDTH, opencv_core.CV_8UC1);
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                photo.ptr(y, x).put((byte) Math.round(brightness(x + 0.5, y + 0.5)));
            }
        }
        return photo;
    }

    private static double brightness(double x, double y) {
        return 128 + 60 * Math.sin(x / 17) + 50 * Math.cos(y / 23 + x / 90);
    }

    private static void assertShows(UnaryOperator<Point> places, Mat result, PixelSize size) {
        double squares = 0;
        for (int y = 0; y < size.height(); y++) {
            for (int x = 0; x < size.width(); x++) {
                Point place = places.apply(new Point(x + 0.5, y + 0.5));
                double off = (result.ptr(y, x).get() & 255) - brightness(place.x(), place.y());
                squares += off * off;
            }
        }
        assertThat(Math.sqrt(squares / size.width() / size.height())).isLessThan(1);
    }

    @Test
    void aTiltedCropShowsThePlacesItsMapTells() {
        for (PixelMap map : new PixelMap[] {TILTED, new GridMap(TILTED::at, 16, 0.02)}) {
            for (PixelSize size : new PixelSize[] {new PixelSize(320, 240), new PixelSize(200, 150)}) {
                AffineMap first = AffineMap.of(CROP, ANGLE, size.size());
                try (Mat photo = photo();
                        Mat result = CropRenderer.render(new Canvas(photo, 0, 0), map, CROP, ANGLE, size)) {
                    assertShows(place -> TILTED.at(first.at(place)), result, size);
                }
            }
        }
    }

    @Test
    void itIsKnownHowPixelsLieInACrop() {
        PixelMap wider = new AffineMap(new Point(0, 0), new Point(2, 0), new Point(0, 0.5));
        Crop half = new Crop(new Point(150, 115), new Size(160, 120));
        LocalScale drawn = LocalScale.over(wider, half, Angle.NONE);
        assertThat(drawn.most()).isCloseTo(2, within(1e-9));
        assertThat(drawn.least()).isCloseTo(0.5, within(1e-9));
        assertThat(drawn.turn()).isCloseTo(0, within(1e-9));
        for (double degrees : new double[] {7, -7, 44}) {
            LocalScale turned = LocalScale.over(PixelMap.SAME, half, new Angle(degrees));
            assertThat(turned.most()).isCloseTo(1, within(1e-9));
            assertThat(turned.least()).isCloseTo(1, within(1e-9));
            assertThat(turned.turn()).isCloseTo(Math.abs(degrees), within(1e-9));
        }
        LocalScale tilted = LocalScale.over(TILTED, CROP, ANGLE);
        assertThat(tilted.most()).isBetween(1.0, 1.2);
        assertThat(tilted.least()).isBetween(0.8, tilted.most());
        LocalScale grid = LocalScale.over(new GridMap(TILTED::at, 16, 0.02), CROP, ANGLE);
        assertThat(grid.most()).isCloseTo(tilted.most(), within(1e-9));
    }

    @Test
    void everyKindIsTheSameThroughAnotherMapAPartAndASmallerPhoto() {
        AffineMap first = AffineMap.of(CROP, ANGLE, new Size(100, 75));
        AffineMap plain = new AffineMap(new Point(4, 11), new Point(0.98, -0.02), new Point(0.03, 0.95));
        ProjectiveMap level = new ProjectiveMap(new Homography(
                new Homography.Row(0.98, 0.03, 4), new Homography.Row(-0.02, 0.95, 11), new Homography.Row(0, 0, 1)));
        for (PixelMap map : new PixelMap[] {plain, level, new GridMap(plain::at, 8, 0.02)}) {
            Point place = new Point(31.5, 20.25);
            Point direct = plain.at(first.at(place));
            assertNear(map.after(first).at(place), direct);
            assertNear(map.after(first).within(7, 9).at(place), direct.minus(new Point(7, 9)));
            assertNear(map.after(first).inPhotoScaledBy(0.25).at(place), direct.times(0.25));
            assertNear(map.after(first).shifted(5, 3).at(place), plain.at(first.at(place.plus(new Point(5, 3)))));
            try (Rect needed = map.after(first).needed(new PixelSize(100, 75), 4, WIDTH, HEIGHT)) {
                assertThat(direct.x()).isBetween((double) needed.x(), (double) needed.x() + needed.width());
                assertThat(direct.y()).isBetween((double) needed.y(), (double) needed.y() + needed.height());
            }
        }
    }

    @Test
    void aGridIsMadeFineEnoughForWhatBends() {
        UnaryOperator<Point> bent = place -> new Point(place.x() + 20 * Math.sin(place.y() / 12), place.y());
        PixelSize size = new PixelSize(300, 200);
        try (Mat photo = photo();
                Mat result = new Mat()) {
            new GridMap(bent, 64, 0.1).warp(photo, result, size, opencv_imgproc.INTER_CUBIC, PixelMap.Beyond.EDGE);
            for (int y = 0; y < size.height(); y++) {
                for (int x = 30; x < size.width(); x++) {
                    Point place = bent.apply(new Point(x + 0.5, y + 0.5));
                    assertThat(result.ptr(y, x).get() & 255)
                            .isCloseTo((int) Math.round(brightness(place.x(), place.y())), within(4));
                }
            }
        }
    }

    @Test
    void beyondThePhotoIsNothingOrItsEdge() {
        PixelMap farOut = TILTED.after(new AffineMap(new Point(2000, 100), new Point(1, 0), new Point(0, 1)));
        PixelSize size = new PixelSize(8, 6);
        try (Mat even = new Mat(HEIGHT, WIDTH, opencv_core.CV_8UC1, new Scalar(90));
                Mat nothing = new Mat();
                Mat edge = new Mat()) {
            farOut.warp(even, nothing, size, opencv_imgproc.INTER_LINEAR, PixelMap.Beyond.NOTHING);
            farOut.warp(even, edge, size, opencv_imgproc.INTER_LINEAR, PixelMap.Beyond.EDGE);
            assertThat(opencv_core.countNonZero(nothing)).isZero();
            assertThat(opencv_core.mean(edge).get(0)).isEqualTo(90);
        }
    }

    private static void assertNear(Point actual, Point expected) {
        assertThat(actual.distance(expected)).isLessThan(1e-9);
    }
}
