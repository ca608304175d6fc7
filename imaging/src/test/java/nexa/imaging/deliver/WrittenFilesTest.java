package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.jfif.JfifDirectory;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import javax.imageio.ImageIO;
import nexa.core.format.FileSpec;
import nexa.core.format.PixelSize;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.ColourProfile;
import nexa.imaging.decode.PhotoKind;
import nexa.imaging.decode.SourceMetadata;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Whatever is written beside the pixels is found again, also by another reader. */
class WrittenFilesTest {
    private static final OptionalDouble PPI = OptionalDouble.of(240);

    @TempDir
    Path folder;

    private Mat pixels;

    @BeforeEach
    void makePixels() {
        Path png = TestPhotos.write(TestPhotos.scene(120, 80), folder.resolve("source.png"));
        pixels = opencv_imgcodecs.imread(png.toString());
    }

    private byte[] encoded(FileSpec spec, Optional<byte[]> profile, Optional<byte[]> exif, OptionalDouble ppi) {
        return FileFormat.of(spec.type())
                .encode(new FileFormat.Contents(pixels, spec, profile, exif, ppi))
                .contents();
    }

    private Path written(FileSpec.Type type, Optional<byte[]> profile, Optional<byte[]> exif) throws Exception {
        byte[] file = encoded(FileSpec.usual("").withType(type), profile, exif, PPI);
        return Files.write(folder.resolve("written." + type.ending()), file);
    }

    @ParameterizedTest
    @EnumSource(FileSpec.Type.class)
    void aLargeProfileAndABlockComeBack(FileSpec.Type type) throws Exception {
        byte[] profile = longProfile();
        byte[] block = TestPhotos.exif(1, new PixelSize(120, 80));
        Path file = written(type, Optional.of(profile), Optional.of(block));
        SourceMetadata read = SourceMetadata.read(file, PhotoKind.valueOf(type.name()));
        assertThat(read.profile().map(ColourProfile::bytes))
                .hasValueSatisfying(bytes -> assertThat(bytes)
                        .as("though one segment of a JPEG could not hold it")
                        .isEqualTo(profile));
        assertThat(read.exif()).isPresent();
        if (type != FileSpec.Type.TIFF) {
            assertThat(read.exif().orElseThrow()).isEqualTo(block);
        }
    }

    /** A profile with room after its tags, which readers pass over. */
    private static byte[] longProfile() {
        byte[] plain = ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
        byte[] padded = Arrays.copyOf(plain, 150_000);
        padded[0] = (byte) (padded.length >> 24);
        padded[1] = (byte) (padded.length >> 16);
        padded[2] = (byte) (padded.length >> 8);
        padded[3] = (byte) padded.length;
        return padded;
    }

    @ParameterizedTest
    @EnumSource(FileSpec.Type.class)
    void withNothingBesideThePixelsTheFileIsStillWhole(FileSpec.Type type) throws Exception {
        Path file = written(type, Optional.empty(), Optional.empty());
        BufferedImage image = ImageIO.read(file.toFile());
        assertThat(image.getWidth()).isEqualTo(120);
        assertThat(image.getHeight()).isEqualTo(80);
        SourceMetadata read = SourceMetadata.read(file, PhotoKind.valueOf(type.name()));
        assertThat(read.profile()).isEmpty();
        assertThat(read.exif()).isEmpty();
    }

    @Test
    void aJpegTellsItsPixelsAnInchOrThatItHasNone() throws Exception {
        Path file = written(FileSpec.Type.JPEG, Optional.empty(), Optional.empty());
        JfifDirectory told =
                ImageMetadataReader.readMetadata(file.toFile()).getFirstDirectoryOfType(JfifDirectory.class);
        assertThat(told.getResX()).isEqualTo(240);
        assertThat(told.getResUnits()).as("an inch").isEqualTo(1);
        byte[] plain = encoded(FileSpec.usual(""), Optional.empty(), Optional.empty(), OptionalDouble.empty());
        Files.write(file, plain);
        JfifDirectory silent =
                ImageMetadataReader.readMetadata(file.toFile()).getFirstDirectoryOfType(JfifDirectory.class);
        assertThat(silent.getResUnits()).as("a ratio only").isZero();
    }

    @Test
    void colourAtEverySecondPixelTakesLessRoom() {
        FileSpec full = FileSpec.usual("").withQuality(92, FileSpec.Sampling.FULL);
        FileSpec half = FileSpec.usual("").withQuality(92, FileSpec.Sampling.HALF);
        FileSpec coarse = FileSpec.usual("").withQuality(60, FileSpec.Sampling.FULL);
        assertThat(length(half)).isLessThan(length(full));
        assertThat(length(coarse)).isLessThan(length(full));
    }

    private int length(FileSpec spec) {
        return encoded(spec, Optional.empty(), Optional.empty(), PPI).length;
    }
}
