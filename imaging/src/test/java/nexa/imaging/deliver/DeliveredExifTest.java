package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifReader;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.exif.ExifThumbnailDirectory;
import com.drew.metadata.exif.GpsDirectory;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.PixelSize;
import nexa.core.message.Rejected;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.TiffDirectory;
import nexa.imaging.decode.TiffWriting;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** EXIF blocks made true for delivered files, read back by another reader. */
class DeliveredExifTest {
    private static final PixelSize SIZE = new PixelSize(300, 200);
    private static final DeliveryTerms WITH_LINES = DeliveryTerms.USUAL.withLines("© Fernhill", "Ada");

    private static Metadata read(byte[] block) {
        Metadata told = new Metadata();
        new ExifReader().extract(new ByteArrayReader(block), told);
        return told;
    }

    private static byte[] delivered(byte[] source, DeliveryTerms terms) {
        return DeliveredExif.of(Optional.of(source), SIZE, terms, false).orElseThrow();
    }

    @Test
    void itIsUprightAndAsLargeAsTheFile() {
        Metadata told = read(delivered(TestPhotos.exif(6, new PixelSize(6000, 4000)), DeliveryTerms.USUAL));
        ExifIFD0Directory main = told.getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertThat(main.getInteger(ExifIFD0Directory.TAG_ORIENTATION)).isEqualTo(1);
        ExifSubIFDDirectory exif = told.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
        assertThat(exif.getInteger(ExifSubIFDDirectory.TAG_EXIF_IMAGE_WIDTH)).isEqualTo(300);
        assertThat(exif.getInteger(ExifSubIFDDirectory.TAG_EXIF_IMAGE_HEIGHT)).isEqualTo(200);
    }

    @Test
    void theThumbnailOfTheWholePhotoStaysBehind() {
        byte[] jpeg = new byte[500];
        new Random(1).nextBytes(jpeg);
        byte[] block = delivered(TestPhotos.exifWithThumbnail(3, jpeg), DeliveryTerms.USUAL);
        assertThat(read(block).getFirstDirectoryOfType(ExifThumbnailDirectory.class))
                .isNull();
        assertThat(indexOf(block, Arrays.copyOf(jpeg, 40))).as("nor its bytes").isNegative();
    }

    @Test
    void linesOfAnyLengthAreWrittenInPlaceOfTheCamerasOwn() {
        byte[] once = delivered(TestPhotos.exif(1, SIZE), WITH_LINES);
        byte[] twice = delivered(once, DeliveryTerms.USUAL.withLines("C", "A much longer name than before, überall"));
        ExifIFD0Directory main = read(twice).getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertThat(main.getString(ExifIFD0Directory.TAG_COPYRIGHT)).isEqualTo("C");
        assertThat(main.getString(ExifIFD0Directory.TAG_ARTIST)).isEqualTo("A much longer name than before, überall");
        assertThat(main.getString(ExifIFD0Directory.TAG_MAKE)).isEqualTo("Kilnaro");
    }

    @Test
    void thereIsNoBlockWhereThereIsNothingToSay() {
        assertThat(DeliveredExif.of(Optional.empty(), SIZE, DeliveryTerms.USUAL, false))
                .isEmpty();
        DeliveryTerms silent = DeliveryTerms.USUAL.withCameraData(false, false);
        assertThat(DeliveredExif.of(Optional.of(TestPhotos.exif(1, SIZE)), SIZE, silent, false))
                .isEmpty();
        assertThat(DeliveredExif.of(Optional.empty(), SIZE, WITH_LINES, false)).isPresent();
    }

    @Test
    void theSourceIsLeftAsItIs() {
        byte[] source = TestPhotos.exifWithPlace(SIZE);
        byte[] before = source.clone();
        delivered(source, WITH_LINES);
        assertThat(source).isEqualTo(before);
        assertThat(read(source).getFirstDirectoryOfType(GpsDirectory.class)).isNotNull();
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void ofABrokenBlockNoPlaceLeavesAndTheLinesAreAlwaysThere(boolean isCutAtItsEnd) {
        for (int seed = 0; seed < 2000; seed++) {
            Random random = new Random(seed);
            byte[] whole = TiffWriting.block(MadeUpCamera.directory(random));
            byte[] broken = MadeUpCamera.mutated(whole, 0, whole.length, random);
            byte[] cut = isCutAtItsEnd ? Arrays.copyOf(broken, 9 + random.nextInt(broken.length - 9)) : broken;
            byte[] block = delivered(cut, WITH_LINES);
            for (byte[] trace : MadeUpCamera.traces()) {
                assertThat(indexOf(block, trace)).as("seed %d", seed).isNegative();
            }
            ExifIFD0Directory main = read(block).getFirstDirectoryOfType(ExifIFD0Directory.class);
            assertThat(main.getString(ExifIFD0Directory.TAG_COPYRIGHT)).isEqualTo("© Fernhill");
            assertThat(main.getString(ExifIFD0Directory.TAG_ARTIST)).isEqualTo("Ada");
            assertThat(DeliveredExif.fitted(block, JpegFile.MOST_EXIF).isWhole())
                    .isTrue();
        }
    }

    @Test
    void cameraLensExposureTimeRightsAndColourLeave() {
        Metadata told = read(delivered(TiffWriting.block(MadeUpCamera.directory(new Random(3))), DeliveryTerms.USUAL));
        ExifIFD0Directory main = told.getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertThat(main.getString(ExifIFD0Directory.TAG_MODEL)).startsWith(main.getString(ExifIFD0Directory.TAG_MAKE));
        assertThat(main.getString(ExifIFD0Directory.TAG_COPYRIGHT)).isEqualTo("© a stranger");
        ExifSubIFDDirectory exif = told.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
        assertThat(exif.getString(ExifSubIFDDirectory.TAG_LENS_MODEL)).endsWith(" 24-70");
        assertThat(exif.getRationalArray(ExifSubIFDDirectory.TAG_LENS_SPECIFICATION))
                .hasSize(4);
        assertThat(exif.getString(ExifSubIFDDirectory.TAG_DATETIME_ORIGINAL)).isEqualTo("2026:04:18 09:30:00");
        assertThat(exif.getInteger(ExifSubIFDDirectory.TAG_ISO_EQUIVALENT)).isEqualTo(200);
        assertThat(exif.getInteger(ExifSubIFDDirectory.TAG_COLOR_SPACE)).isEqualTo(1);
        assertThat(exif.containsTag(ExifSubIFDDirectory.TAG_MAKERNOTE)).isFalse();
        assertThat(exif.containsTag(ExifSubIFDDirectory.TAG_USER_COMMENT)).isFalse();
        assertThat(told.getFirstDirectoryOfType(GpsDirectory.class)).isNull();
    }

    @Test
    void asAskedThePlaceLeavesAndTheMakersNotesWhereTheyLay() {
        TiffDirectory camera = MadeUpCamera.directory(new Random(3));
        byte[] source = TiffWriting.block(camera);
        byte[] notes = camera.below(TiffDirectory.EXIF)
                .orElseThrow()
                .bytes(TiffDirectory.MAKER_NOTE)
                .orElseThrow();
        DeliveryTerms all = WITH_LINES.withCameraData(true, true).withMakerNotes(true);
        byte[] block = delivered(source, all);
        assertThat(read(block).getFirstDirectoryOfType(GpsDirectory.class).getGeoLocation())
                .isNotNull();
        assertThat(indexOf(block, notes))
                .as("they tell places from the beginning of the block")
                .isEqualTo(indexOf(source, notes));
        assertThat(delivered(source, all.withMakerNotes(false)).length).isLessThan(block.length - notes.length);
        assertThat(indexOf(delivered(source, all.withMakerNotes(false)), notes)).isNegative();
    }

    @Test
    void aDirectoryWithoutItsEndAndOneThatCountsTooManyKeepTheLines() {
        byte[] plain = TestPhotos.exif(1, SIZE);
        byte[] endless = Arrays.copyOf(plain, 8 + 2 + 3 * 12);
        byte[] counting = plain.clone();
        counting[8] = (byte) 0xFF;
        counting[9] = (byte) 0xFF;
        for (byte[] broken : List.of(endless, counting, new byte[] {1, 2, 3}, new byte[0])) {
            ExifIFD0Directory main =
                    read(delivered(broken, WITH_LINES)).getFirstDirectoryOfType(ExifIFD0Directory.class);
            assertThat(main.getString(ExifIFD0Directory.TAG_COPYRIGHT)).isEqualTo("© Fernhill");
            assertThat(main.getString(ExifIFD0Directory.TAG_ARTIST)).isEqualTo("Ada");
        }
    }

    @Test
    void theLongestLinesStillFitIntoAJpeg() {
        String line = "ツ".repeat(DeliveryTerms.LONGEST_LINE);
        byte[] block = delivered(
                TiffWriting.block(MadeUpCamera.directory(new Random(1))),
                DeliveryTerms.USUAL
                        .withCameraData(true, true)
                        .withMakerNotes(true)
                        .withLines(line, line));
        ExifIFD0Directory main = read(DeliveredExif.fitted(block, JpegFile.MOST_EXIF)
                        .block())
                .getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertThat(main.getString(ExifIFD0Directory.TAG_ARTIST)).isEqualTo(line);
        assertThatExceptionOfType(Rejected.class).isThrownBy(() -> DeliveryTerms.USUAL.withLines(line + "x", ""));
    }

    private static int indexOf(byte[] bytes, byte[] part) {
        for (int at = 0; at + part.length <= bytes.length; at++) {
            if (Arrays.equals(bytes, at, at + part.length, part, 0, part.length)) {
                return at;
            }
        }
        return -1;
    }
}
