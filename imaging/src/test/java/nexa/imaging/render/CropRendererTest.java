package nexa.imaging.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.Distortion;
import nexa.core.shape.LateralChromaticAberration;
import nexa.core.shape.Lens;
import nexa.core.shape.LensMap;
import nexa.core.shape.LensProfile;
import nexa.core.shape.Perspective;
import nexa.core.shape.Plane;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Photo;
import nexa.imaging.TestPhotos;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CropRendererTest {
    private static final int WIDTH = 1200;
    private static final int HEIGHT = 800;
    /** Of the pixels of a result, one in so many along each side is held against the float reference, which is slow. */
    private static final int STEP = 11;

    @Test
    void anUnturnedCropAtItsOwnSizeIsCopiedPixelForPixel() {
        byte[] photo = pixels(TestPhotos.scene(WIDTH, HEIGHT));
        Crop crop = new Crop(new Point(500.3, 400.2), new Size(600.2, 449.9));
        byte[] result = render(photo, 3, crop, Angle.NONE, new PixelSize(600, 450));
        int left = 200;
        int top = 175;
        for (int y = 0; y < 450; y++) {
            int row = ((top + y) * WIDTH + left) * 3;
            assertThat(Arrays.copyOfRange(result, y * 600 * 3, (y + 1) * 600 * 3))
                    .as("row %d", y)
                    .isEqualTo(Arrays.copyOfRange(photo, row, row + 600 * 3));
        }
    }

    @ParameterizedTest
    @CsvSource({"2.3,1.5", "2.3,2.77", "-17,2", "44,1.5", "0,2.77", "2.3,6", "20,3.5", "9,2.6", "2.3,1", "20,1.003"})
    void aShrunkCropIsAsTheFloatReference(double degrees, double scale) {
        byte[] photo = pixels(TestPhotos.scene(WIDTH, HEIGHT));
        Angle angle = new Angle(degrees);
        PixelSize result = new PixelSize((int) Math.round(480 / scale), (int) Math.round(360 / scale));
        Crop crop = new Crop(new Point(600, 400), new Size(480, 360));
        byte[] rendered = render(photo, 3, crop, angle, result);
        double squares = 0;
        int count = 0;
        for (int y = 0; y < result.height(); y += STEP) {
            for (int x = 0; x < result.width(); x += STEP) {
                for (int c = 0; c < 3; c++) {
                    double expected = reference(photo, crop, angle, result, x, y, c);
                    double off = (rendered[(y * result.width() + x) * 3 + c] & 0xFF) - expected;
                    squares += off * off;
                    count++;
                }
            }
        }
        double psnr = 20 * Math.log10(255 / Math.sqrt(squares / count));
        assertThat(psnr).isGreaterThan(48);
    }

    /** A Lanczos filter of three lobes over the result pixel's footprint, along the result's axes. */
    private static double reference(byte[] photo, Crop crop, Angle angle, PixelSize result, int i, int j, int channel) {
        double scale = crop.size().width() / result.width();
        Point middle = crop.at((i + 0.5) / result.width(), (j + 0.5) / result.height(), angle);
        int reach = (int) Math.ceil(3 * scale * 1.5) + 1;
        double sum = 0;
        double weights = 0;
        for (int y = (int) middle.y() - reach; y <= middle.y() + reach; y++) {
            for (int x = (int) middle.x() - reach; x <= middle.x() + reach; x++) {
                Point way = angle.toScreen(new Point(x + 0.5 - middle.x(), y + 0.5 - middle.y()));
                double weight = lanczos(way.x() / scale) * lanczos(way.y() / scale);
                if (weight != 0) {
                    int at = Math.max(0, Math.min(HEIGHT - 1, y)) * WIDTH + Math.max(0, Math.min(WIDTH - 1, x));
                    sum += weight * (photo[at * 3 + channel] & 0xFF);
                    weights += weight;
                }
            }
        }
        return Math.max(0, Math.min(255, sum / weights));
    }

    private static double lanczos(double x) {
        if (Math.abs(x) >= 3) {
            return 0;
        }
        double px = Math.PI * x;
        return x == 0 ? 1 : 3 * Math.sin(px) * Math.sin(px / 3) / (px * px);
    }

    /** From a quarter beyond the finest grating that the result can show, in any direction, to the finest that the photo can. */
    @ParameterizedTest
    @CsvSource({
        "0,0,2.77,0.319",
        "2.3,0,2.77,0.319",
        "2.3,90,2.77,0.319",
        "17,30,2.77,0.319",
        "44,45,2.77,0.319",
        "44,0,2.77,0.319",
        "-44,89,2.77,0.319",
        "2.3,0,1.8,0.491",
        "2.3,90,2.47,0.498",
        "20,15,1.8,0.491",
        "44,45,2,0.475",
        "44,45,2.47,0.498",
        "10,0,2.4,0.49"
    })
    void whatTheSmallerPictureCannotShowVanishes(
            double degrees, double gratingDegrees, double shrink, double frequency) {
        byte[] photo = grating(frequency, gratingDegrees);
        Crop crop = new Crop(new Point(600, 400), new Size(480, 360));
        PixelSize size = new PixelSize((int) Math.round(480 / shrink), (int) Math.round(360 / shrink));
        byte[] result = render(photo, 1, crop, new Angle(degrees), size);
        assertThat(leftOver(result)).isLessThan(2);
    }

    private static Photo tilted(double tilt) {
        Perspective perspective = new Perspective(tilt, -tilt / 3, 100, 1.05, 28, SceneLines.NONE);
        return Photo.untouched("tilted.jpg")
                .withPixels(new PixelSize(WIDTH, HEIGHT))
                .withAngle(new Angle(2.3))
                .withPerspective(Optional.of(perspective));
    }

    private static Lens lens(double bending) {
        return Lens.of(
                new LensProfile(
                        "made up",
                        1.5,
                        1.5,
                        Optional.of(new Distortion(Distortion.Model.POLY3, List.of(bending))),
                        Optional.of(new LateralChromaticAberration(
                                List.of(1.0015, 0.0, 0.0004), List.of(0.999, 0.0, -0.0003))),
                        List.of()),
                1.5);
    }

    /**
     * Against a filter over the photo's own pixels, each weighed by where it lies in the plane and how much of it it takes, and
     * each colour from where the lens drew it.
     */
    @ParameterizedTest
    @CsvSource({
        "3,1.5,0",
        "12,2,0",
        "25,2.77,0",
        "-12,1.5,0",
        "0,1.5,-0.04",
        "12,2,-0.04",
        "-12,1.5,0.03",
        "12,1,0",
        "25,1,-0.04",
        "3,3.5,0.03"
    })
    void whatReshapesAPhotoIsTakenOutAsInTheFloatReference(double tilt, double scale, double bending) {
        byte[] pixels = pixels(TestPhotos.scene(WIDTH, HEIGHT));
        Photo tilted = tilted(tilt);
        Photo photo = bending == 0
                ? tilted
                : tilted.withPreparation(tilted.preparation().withLens(Optional.of(lens(bending))));
        Crop crop = photo.outline().settle(new Crop(new Point(600, 400), new Size(480, 360)));
        PixelSize size = new PixelSize((int) Math.round(480 / scale), (int) Math.round(360 / scale));
        byte[] rendered = render(pixels, 3, photo, crop, size);
        double squares = 0;
        int count = 0;
        Optional<LensMap> lens = photo.preparation().lens().map(one -> new LensMap(one, photo.size()));
        for (int y = 0; y < size.height(); y += STEP) {
            for (int x = 0; x < size.width(); x += STEP) {
                for (int c = 0; c < 3; c++) {
                    double expected = inPlane(pixels, photo, lens, crop, size, x, y, c);
                    double off = (rendered[(y * size.width() + x) * 3 + c] & 0xFF) - expected;
                    squares += off * off;
                    count++;
                }
            }
        }
        assertThat(20 * Math.log10(255 / Math.sqrt(squares / count))).isGreaterThan(45);
    }

    private static double inPlane(
            byte[] pixels,
            Photo photo,
            Optional<LensMap> lens,
            Crop crop,
            PixelSize result,
            int i,
            int j,
            int channel) {
        double scale = crop.size().width() / result.width();
        Plane plane = photo.plane();
        Point middle = crop.at((i + 0.5) / result.width(), (j + 0.5) / result.height(), photo.angle());
        Point inPhoto = plane.toPhoto(middle);
        int reach = (int) Math.ceil(3 * scale * 1.5 / plane.scaleAt(inPhoto) * 1.3) + 1;
        double sum = 0;
        double weights = 0;
        for (int y = (int) inPhoto.y() - reach; y <= inPhoto.y() + reach; y++) {
            for (int x = (int) inPhoto.x() - reach; x <= inPhoto.x() + reach; x++) {
                Point place = whereItBelongs(lens, new Point(x + 0.5, y + 0.5), channel);
                Point way = photo.angle().toScreen(plane.toPlane(place).minus(middle));
                double weight = lanczos(way.x() / scale) * lanczos(way.y() / scale) * Math.pow(plane.scaleAt(place), 2);
                int at = Math.max(0, Math.min(HEIGHT - 1, y)) * WIDTH + Math.max(0, Math.min(WIDTH - 1, x));
                sum += weight * (pixels[at * 3 + channel] & 0xFF);
                weights += weight;
            }
        }
        return Math.max(0, Math.min(255, sum / weights));
    }

    /** Where green is of the place at which a lens drew a colour. */
    private static Point whereItBelongs(Optional<LensMap> lens, Point drawn, int channel) {
        if (lens.isEmpty() || channel == 1) {
            return drawn;
        }
        Point again = channel == 0 ? lens.get().blue(drawn) : lens.get().red(drawn);
        return drawn.minus(again.minus(drawn));
    }

    @ParameterizedTest
    @CsvSource({"3,0", "12,30", "12,90", "25,45"})
    void whatTheSmallerPictureCannotShowVanishesWithAPerspectiveToo(double tilt, double gratingDegrees) {
        Photo photo = tilted(tilt);
        Crop crop = photo.outline().settle(new Crop(new Point(600, 400), new Size(480, 360)));
        double scale = 2.77;
        // A quarter beyond the finest grating the result can show, where the plane is drawn out most.
        double frequency = 1.25 * 0.5 * Math.sqrt(2) / scale / photo.plane().effective(crop);
        byte[] result = render(grating(frequency, gratingDegrees), 1, photo, crop, new PixelSize(173, 130));
        assertThat(leftOver(result)).isLessThan(2);
    }

    private static byte[] grating(double frequency, double degrees) {
        double fx = frequency * Math.cos(Math.toRadians(degrees));
        double fy = frequency * Math.sin(Math.toRadians(degrees));
        byte[] photo = new byte[WIDTH * HEIGHT];
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                photo[y * WIDTH + x] = (byte) Math.round(128 + 80 * Math.sin(2 * Math.PI * (fx * x + fy * y)));
            }
        }
        return photo;
    }

    private static double leftOver(byte[] result) {
        double squares = 0;
        for (byte value : result) {
            double off = (value & 0xFF) - 128;
            squares += off * off;
        }
        return Math.sqrt(squares / result.length);
    }

    private static byte[] pixels(BufferedImage image) {
        return ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
    }

    private static byte[] render(byte[] photo, int channels, Crop crop, Angle angle, PixelSize size) {
        return render(
                photo,
                channels,
                size,
                mat -> CropRenderer.render(new Canvas(mat, 0, 0), PixelMap.SAME, crop, angle, size));
    }

    private static byte[] render(byte[] pixels, int channels, Photo photo, Crop crop, PixelSize size) {
        return render(pixels, channels, size, mat -> CropRenderer.render(mat, photo, crop, size));
    }

    private static byte[] render(byte[] photo, int channels, PixelSize size, Function<Mat, Mat> rendering) {
        try (BytePointer memory = new BytePointer(photo);
                Mat mat = new Mat(HEIGHT, WIDTH, opencv_core.CV_8UC(channels), memory);
                Mat result = rendering.apply(mat)) {
            assertThat(result.cols()).isEqualTo(size.width());
            assertThat(result.rows()).isEqualTo(size.height());
            byte[] bytes = new byte[size.width() * size.height() * channels];
            result.data().get(bytes);
            return bytes;
        }
    }
}
