package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.OutputSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.Lens;
import nexa.core.shape.LensMap;
import nexa.core.shape.LensProfile;
import nexa.core.shape.Vignette;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.Wish;
import nexa.imaging.render.ToneCurve;
import org.bytedeco.javacpp.indexer.UShortIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Light that changes slowly, in files with 16 bits of photos with 8. */
class DeliveredDepthTest extends DeliveredPhoto {
    private static final int WIDTH = 480;
    private static final int HEIGHT = 360;
    private static final Vignette DARKER = new Vignette(-1.2, 0.7);
    private static final Lens LENS = Lens.of(
            new LensProfile("made up", 1.5, 1.5, Optional.empty(), Optional.empty(), List.of(-0.5, 0.15, -0.05)), 1.5);
    private static final Format DEEP = Format.of("own", "Own", Ratio.PHOTO)
            .withFile(FileSpec.usual("")
                    .withType(FileSpec.Type.PNG)
                    .withColour(FileSpec.Colour.KEEP, FileSpec.Depth.SIXTEEN));
    private static final int DARK = 23;

    @BeforeEach
    void makeEvenPhoto() {
        try (Scalar grey = new Scalar(DARK, DARK, DARK, 0);
                Mat even = new Mat(HEIGHT, WIDTH, opencv_core.CV_8UC3, grey)) {
            opencv_imgcodecs.imwrite(source.resolve("even.png").toString(), even);
        }
    }

    private static Photo photo(Preparation preparation) {
        return Photo.untouched("even.png").withPreparation(preparation);
    }

    /** The green numbers of a row in the middle of the file. */
    private int[] middleRow(Photo photo, Format format) throws Exception {
        Path file = deliver(photo, format, DeliveryTerms.USUAL);
        try (Mat read = opencv_imgcodecs.imread(file.toString(), opencv_imgcodecs.IMREAD_UNCHANGED);
                UShortIndexer values = read.createIndexer()) {
            int[] row = new int[read.cols()];
            for (int x = 0; x < row.length; x++) {
                row[x] = values.get(read.rows() / 2, x, 1);
            }
            return row;
        }
    }

    private static double number(double light) {
        return 65_535 * (light <= 0.0031308 ? 12.92 * light : 1.055 * Math.pow(light, 1 / 2.4) - 0.055);
    }

    @Test
    void anEvenPhotoIsAsItsLensAndItsVignetteMakeIt() throws Exception {
        int[] row = middleRow(photo(Preparation.NONE.withLens(Optional.of(LENS)).withVignette(DARKER)), DEEP);
        LensMap lens = new LensMap(LENS, new Size(WIDTH, HEIGHT));
        double light = ToneCurve.lightOfSrgb(DARK / 255.0);
        double before = 0;
        for (int x = 0; x < WIDTH; x++) {
            Point place = new Point(x + 0.5, HEIGHT / 2 + 0.5);
            double gain = lens.gain(place) * DARKER.gain(new Point(place.x() / WIDTH, place.y() / HEIGHT));
            // Between nodes light changes evenly in stops.
            double number = number(light * gain);
            assertThat((double) row[x]).as("column %d", x).isCloseTo(number, within(8.0));
            if (x > 0 && Math.abs(number - before) > 1.2) {
                assertThat(row[x]).as("column %d", x).isNotEqualTo(row[x - 1]);
            }
            before = number;
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 4})
    void noStepsShowWhereLightChangesSlowly(double degrees) throws Exception {
        Preparation slow = Preparation.NONE.withVignette(DARKER).withAngle(new Angle(degrees));
        assertFallsWithoutSteps(middleRow(photo(slow), DEEP));
        assertFallsWithoutSteps(middleRow(photo(slow), DEEP.withSize(new OutputSize.LongEdge(300))));
    }

    @ParameterizedTest
    @EnumSource(Beyond.Fill.class)
    void noStepsShowWhereThePhotoIsFilledEither(Beyond.Fill fill) throws Exception {
        CropEntry out = new CropEntry(
                        new Placement.Own(new Wish(new Point(0.42, 0.5), new Size(0.9, 0.9))), Optional.empty(), false)
                .withReaches(Optional.of(true))
                .withBeyond(new Beyond(fill, Optional.empty(), Optional.empty()));
        Photo photo = photo(Preparation.NONE.withVignette(DARKER)).withEntry(DEEP.id(), out);
        assertFallsWithoutSteps(middleRow(photo, DEEP));
    }

    /** From 60 % to 90 % of the width each number is below that before it. */
    private static void assertFallsWithoutSteps(int[] row) {
        for (int x = row.length * 6 / 10; x < row.length * 9 / 10; x++) {
            assertThat(row[x]).as("column %d", x).isLessThan(row[x - 1]);
        }
    }
}
