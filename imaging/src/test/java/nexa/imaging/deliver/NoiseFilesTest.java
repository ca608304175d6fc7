package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.ShortBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Random;
import java.util.zip.Inflater;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.PixelSize;
import nexa.imaging.TestPhotos;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files of noise, which nothing makes smaller, come out whole, whichever way up their photo is stored. */
class NoiseFilesTest extends DeliveredPhoto {
    private static final int WIDTH = 603;
    private static final int HEIGHT = 401;

    private Mat noise;

    /** A photo of 16 bits that says an orientation. */
    private void photo(int orientation) throws Exception {
        noise = new Mat(HEIGHT, WIDTH, opencv_core.CV_16UC3);
        short[] values = new short[3 * WIDTH * HEIGHT];
        Random random = new Random(orientation);
        for (int i = 0; i < values.length; i++) {
            values[i] = (short) random.nextInt();
        }
        ((ShortBuffer) noise.createBuffer()).put(values);
        Path file = source.resolve("n.png");
        opencv_imgcodecs.imwrite(file.toString(), noise);
        TestPhotos.addMetadata(file, TestPhotos.exif(orientation, new PixelSize(WIDTH, HEIGHT)), null);
        turn(orientation);
    }

    /** As the photo is seen (EXIF 2.32, 4.6.4 A). */
    private void turn(int orientation) {
        boolean isMirrored = orientation == 2 || orientation == 4 || orientation == 5 || orientation == 7;
        if (isMirrored) {
            opencv_core.flip(noise, noise, 1);
        }
        int quarters = new int[] {0, 0, 0, 2, 2, 3, 1, 1, 3}[orientation];
        if (quarters > 0) {
            opencv_core.rotate(noise, noise, quarters - 1);
        }
    }

    private Mat eightBits() {
        Mat eight = new Mat();
        noise.convertTo(eight, opencv_core.CV_8U, 1 / 257.0, 0);
        return eight;
    }

    private static FileSpec spec(FileSpec.Type type, FileSpec.Depth depth) {
        return FileSpec.usual(depth.name().toLowerCase(Locale.ROOT))
                .withType(type)
                .withColour(FileSpec.Colour.KEEP, depth);
    }

    private static void assertSame(Mat actual, Mat expected) {
        assertThat(actual.type()).isEqualTo(expected.type());
        assertThat(actual.cols()).isEqualTo(expected.cols());
        assertThat(opencv_core.norm(actual, expected, opencv_core.NORM_INF, new Mat()))
                .isZero();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void everyKindAndDepthHasThePhotosPixels(int orientation) throws Exception {
        photo(orientation);
        Mat eight = eightBits();
        for (FileSpec.Type type : new FileSpec.Type[] {FileSpec.Type.PNG, FileSpec.Type.TIFF}) {
            assertSame(read(deliver("n.png", spec(type, FileSpec.Depth.SIXTEEN), DeliveryTerms.USUAL)), noise);
            assertSame(read(deliver("n.png", spec(type, FileSpec.Depth.EIGHT), DeliveryTerms.USUAL)), eight);
        }
        Path jpeg = deliver("n.png", FileSpec.usual("jpeg"), DeliveryTerms.USUAL);
        assertSame(read(jpeg), coded(eight));
        assertThat(ImageMetadataReader.readMetadata(jpeg.toFile())
                        .getFirstDirectoryOfType(ExifIFD0Directory.class)
                        .getInteger(ExifIFD0Directory.TAG_ORIENTATION))
                .isEqualTo(1);
    }

    /** What a JPEG makes of pixels. */
    private static Mat coded(Mat pixels) {
        BytePointer file = new BytePointer();
        opencv_imgcodecs.imencode(
                ".jpg",
                pixels,
                file,
                new IntPointer(
                        opencv_imgcodecs.IMWRITE_JPEG_QUALITY,
                        90,
                        opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR,
                        opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR_444));
        return opencv_imgcodecs.imdecode(
                new Mat(1, (int) file.limit(), opencv_core.CV_8U, file), opencv_imgcodecs.IMREAD_UNCHANGED);
    }

    private static Mat read(Path file) {
        return opencv_imgcodecs.imread(
                file.toString(), opencv_imgcodecs.IMREAD_UNCHANGED | opencv_imgcodecs.IMREAD_IGNORE_ORIENTATION);
    }

    @ParameterizedTest
    @ValueSource(strings = {"EIGHT", "SIXTEEN"})
    void everyStripOfATiffUnpacksToAllItsRows(String depth) throws Exception {
        photo(1);
        byte[] tiff = Files.readAllBytes(
                deliver("n.png", spec(FileSpec.Type.TIFF, FileSpec.Depth.valueOf(depth)), DeliveryTerms.USUAL));
        ByteBuffer file = ByteBuffer.wrap(tiff).order(ByteOrder.LITTLE_ENDIAN);
        int[] starts = values(file, 273);
        int[] lengths = values(file, 279);
        int rows = values(file, 278)[0];
        int bytesARow = WIDTH * 3 * (depth.equals("EIGHT") ? 1 : 2);
        assertThat(starts).hasSize((HEIGHT + rows - 1) / rows);
        for (int i = 0; i < starts.length; i++) {
            int expected = Math.min(rows, HEIGHT - i * rows) * bytesARow;
            byte[] unpacked = new byte[expected + 1];
            Inflater inflater = new Inflater();
            inflater.setInput(tiff, starts[i], lengths[i]);
            assertThat(inflater.inflate(unpacked)).as("strip %d", i).isEqualTo(expected);
            assertThat(inflater.finished()).isTrue();
            inflater.end();
        }
    }

    /** The whole numbers of an entry of the first directory. */
    private static int[] values(ByteBuffer tiff, int tag) {
        int first = tiff.getInt(4);
        for (int i = 0; i < tiff.getShort(first); i++) {
            int entry = first + 2 + 12 * i;
            if ((tiff.getShort(entry) & 0xFFFF) == tag) {
                int size = tiff.getShort(entry + 2) == 3 ? 2 : 4;
                int count = tiff.getInt(entry + 4);
                int at = count * size <= 4 ? entry + 8 : tiff.getInt(entry + 8);
                int[] values = new int[count];
                for (int k = 0; k < count; k++) {
                    values[k] = size == 2 ? tiff.getShort(at + 2 * k) & 0xFFFF : tiff.getInt(at + 4 * k);
                }
                return values;
            }
        }
        throw new AssertionError("no entry " + tag);
    }

    @Test
    void aGreyPhotoStaysGrey() throws Exception {
        photo(1);
        Mat grey = new Mat();
        opencv_core.extractChannel(noise, grey, 1);
        opencv_imgcodecs.imwrite(source.resolve("g.png").toString(), grey);
        assertSame(read(deliver("g.png", spec(FileSpec.Type.TIFF, FileSpec.Depth.PHOTO), DeliveryTerms.USUAL)), grey);
    }
}
