package nexa.imaging.pictures;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.awt.image.IndexColorModel;
import java.nio.file.Path;
import java.util.List;
import nexa.core.format.Format;
import nexa.core.format.Ratio;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.facts.ShootReading;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What only pixels tell: a file that may hold something see-through, and one that does. */
class PixelLookTest {
    @TempDir
    Path folder;

    private boolean isSeeThrough(String name) {
        List<Format> formats = List.of(Format.of("own", "Own", Ratio.PHOTO));
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, formats, List.of(Photo.untouched(name)));
        ShootReading reading = ShootReading.of(shoot, folder);
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.isSeeThrough(shoot.photo(name))).as("before looking").isFalse();
        return PixelLook.of(new PhotoFolder(folder), shoot.photos(), reading, formats)
                .isSeeThrough(shoot.photo(name));
    }

    @ParameterizedTest
    @CsvSource({
        "png, 8, 254, true",
        "png, 8, 255, false",
        "png, 16, 65534, true",
        "png, 16, 65535, false",
        "tif, 8, 0, true",
        "tif, 8, 255, false",
        "webp, 8, 7, true",
        "webp, 8, 255, false"
    })
    void onePixelIsEnough(String ending, int bits, int alpha, boolean isSeen) {
        int most = bits == 8 ? 255 : 65_535;
        Mat pixels =
                new Mat(40, 60, bits == 8 ? opencv_core.CV_8UC4 : opencv_core.CV_16UC4, new Scalar(90, 80, 70, most));
        try (Mat one = pixels.row(20).col(30)) {
            one.put(new Scalar(90, 80, 70, alpha));
        }
        opencv_imgcodecs.imwrite(folder.resolve("a." + ending).toString(), pixels);
        assertThat(isSeeThrough("a." + ending)).isEqualTo(isSeen);
    }

    @ParameterizedTest
    @CsvSource({"0, true", "255, false"})
    void aColourOfAPaletteMayBe(int alpha, boolean isSeen) {
        byte[] levels = {10, 100};
        IndexColorModel palette =
                new IndexColorModel(8, 2, levels, levels, levels, new byte[] {(byte) alpha, (byte) 255});
        BufferedImage image = new BufferedImage(60, 40, BufferedImage.TYPE_BYTE_INDEXED, palette);
        TestPhotos.write(image, folder.resolve("p.png"));
        assertThat(isSeeThrough("p.png")).isEqualTo(isSeen);
    }

    @ParameterizedTest
    @CsvSource({"jpg", "png", "tif"})
    void aPhotoWithoutAnyIsNotEvenLookedAt(String ending) {
        TestPhotos.write(TestPhotos.scene(60, 40), folder.resolve("s." + ending));
        assertThat(isSeeThrough("s." + ending)).isFalse();
    }
}
