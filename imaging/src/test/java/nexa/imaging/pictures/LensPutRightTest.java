package nexa.imaging.pictures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.lang.reflect.RecordComponent;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import nexa.core.format.FileSpec;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.LateralChromaticAberration;
import nexa.core.shape.Lens;
import nexa.core.shape.LensMap;
import nexa.core.shape.LensProfile;
import nexa.core.shape.Vignette;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Tone;
import nexa.imaging.TestPhotos;
import nexa.imaging.render.CropRenderer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A picture of a plain scene as a lens with fringes and dark corners would draw it, put right again. */
class LensPutRightTest {
    private static final int WIDTH = 900;
    private static final int HEIGHT = 600;
    private static final double PERIOD = 18;
    private static final Lens LENS = Lens.of(
            new LensProfile(
                    "made up",
                    1.5,
                    1.5,
                    Optional.empty(),
                    Optional.of(
                            new LateralChromaticAberration(List.of(1.003, 0.0, 0.001), List.of(0.998, 0.0, -0.001))),
                    List.of(-0.6, 0.15, -0.05)),
            1.5);
    private static final LensMap MAP = new LensMap(LENS, new Size(WIDTH, HEIGHT));
    private static final Photo PHOTO = Photo.untouched("lens.png").withPixels(new PixelSize(WIDTH, HEIGHT));
    private static final Photo PUT_RIGHT =
            PHOTO.withPreparation(PHOTO.preparation().withLens(Optional.of(LENS)));
    private static final Crop WHOLE = new Crop(new Point(WIDTH / 2.0, HEIGHT / 2.0), new Size(WIDTH, HEIGHT));

    @TempDir
    static Path folder;

    private static Path file;

    @BeforeAll
    static void draw() throws Exception {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                Point at = new Point(x + 0.5, y + 0.5);
                int red = drawn(belonging(at, true), at);
                int green = drawn(at, at);
                int blue = drawn(belonging(at, false), at);
                image.setRGB(x, y, red << 16 | green << 8 | blue);
            }
        }
        file = TestPhotos.write(image, folder.resolve("lens.png"));
    }

    /** Where green is of what a colour shows at a place. */
    private static Point belonging(Point drawn, boolean isRed) {
        Point place = drawn;
        for (int i = 0; i < 10; i++) {
            place = place.minus((isRed ? MAP.red(place) : MAP.blue(place)).minus(drawn));
        }
        return place;
    }

    /** Light of upright waves, less towards the corners. */
    private static int drawn(Point place, Point inPhoto) {
        return number((0.25 + 0.1 * Math.sin(2 * Math.PI * place.x() / PERIOD)) / MAP.gain(inPhoto));
    }

    private static int number(double light) {
        double number = light <= 0.0031308 ? 12.92 * light : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
        return (int) Math.round(255 * number);
    }

    private static double light(int value) {
        double number = value / 255.0;
        return number <= 0.04045 ? number / 12.92 : Math.pow((number + 0.055) / 1.055, 2.4);
    }

    /** What upright waves are like in a part of a picture. */
    private record Waves(double mean, double offset) {
        static Waves of(Mat pixels, int channel, int left, int top) {
            int across = (int) (6 * PERIOD);
            double sum = 0;
            double sine = 0;
            double cosine = 0;
            try (UByteIndexer told = pixels.createIndexer()) {
                for (int y = top; y < top + 40; y++) {
                    for (int x = left; x < left + across; x++) {
                        double lit = light(told.get(y, x, channel));
                        double phase = 2 * Math.PI * (x + 0.5) / PERIOD;
                        sum += lit;
                        sine += lit * Math.sin(phase);
                        cosine += lit * Math.cos(phase);
                    }
                }
            }
            return new Waves(sum / 40 / across, Math.atan2(cosine, sine) / (2 * Math.PI) * PERIOD);
        }
    }

    @Test
    void fringesAndDarkCornersAreGone() throws Exception {
        try (FullPixels plain = new PhotoPixels(file, PHOTO).full(WantedDepth.EIGHT);
                FullPixels even = new PhotoPixels(file, PUT_RIGHT).full(WantedDepth.EIGHT);
                Mat result = CropRenderer.render(even.pixels(), PUT_RIGHT, WHOLE, new PixelSize(WIDTH, HEIGHT))) {
            Waves before = Waves.of(plain.pixels(), 2, 8, 8);
            assertThat(Math.abs(before.offset())).as("red is off in the corner").isGreaterThan(0.8);
            assertThat(before.mean()).isLessThan(0.18);
            for (int left : new int[] {8, 200, 396, 600, 784}) {
                for (int top : new int[] {8, 280, 550}) {
                    double green = Waves.of(result, 1, left, top).offset();
                    for (int channel = 0; channel < 3; channel++) {
                        Waves now = Waves.of(result, channel, left, top);
                        assertThat(now.offset() - green).as("fringe").isCloseTo(0, within(0.1));
                        assertThat(now.mean()).as("light").isCloseTo(0.25, within(0.005 * 0.25));
                    }
                }
            }
        }
    }

    /** Whatever can be done to light and colour: another tone is added here. */
    @Test
    void theScreenShowsWhatTheFileIs() throws Exception {
        Tone all = new Tone(new Vignette(-1, 0.7));
        for (RecordComponent tone : Tone.class.getRecordComponents()) {
            assertThat(tone.getAccessor().invoke(all))
                    .as(tone.getName())
                    .isNotEqualTo(tone.getAccessor().invoke(Tone.NONE));
        }
        Photo photo = PUT_RIGHT.withPreparation(PUT_RIGHT.preparation().withTone(all));
        Crop crop = new Crop(new Point(500, 320), new Size(600, 400));
        PixelSize size = new PixelSize(600, 400);
        Picture shown = ScreenRenderer.render(
                new PhotoPixels(file, photo).picture(WIDTH), photo, crop, crop, size.width(), size.height());
        try (FullPixels full = new PhotoPixels(file, photo).full(WantedDepth.EIGHT);
                Mat cropped = CropRenderer.render(full.pixels(), photo, crop, size);
                FullPixels done = PixelStages.toFile(FileSpec.usual("out"), photo.preparation(), false)
                        .apply(new FullPixels(cropped, full.profile()))) {
            try (UByteIndexer told = done.pixels().createIndexer()) {
                for (int y = 3; y < 400; y += 13) {
                    for (int x = 3; x < 600; x += 11) {
                        assertThat(shown.argb().get(y * 600 + x) & 0xFF).isCloseTo(told.get(y, x, 0), within(3));
                    }
                }
            }
        }
    }

    @Test
    void nothingOfItCostsOrChangesAByte() throws Exception {
        Photo none = PHOTO.withPreparation(PHOTO.preparation()
                .withLens(Optional.of(LENS.withColour(0).withVignetting(0)))
                .withVignette(Vignette.NONE.withMiddle(0.8)));
        try (FullPixels plain = new PhotoPixels(file, PHOTO).full(WantedDepth.EIGHT);
                FullPixels same = new PhotoPixels(file, none).full(WantedDepth.EIGHT);
                Mat before = CropRenderer.render(plain.pixels(), PHOTO, WHOLE, new PixelSize(WIDTH, HEIGHT));
                Mat after = CropRenderer.render(same.pixels(), none, WHOLE, new PixelSize(WIDTH, HEIGHT))) {
            byte[] one = new byte[WIDTH * HEIGHT * 3];
            byte[] other = new byte[WIDTH * HEIGHT * 3];
            before.data().get(one);
            after.data().get(other);
            assertThat(other).isEqualTo(one);
        }
    }
}
