package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifReader;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.exif.ExifThumbnailDirectory;
import com.drew.metadata.exif.GpsDirectory;
import java.util.Arrays;
import java.util.Optional;
import java.util.Random;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.PixelSize;
import nexa.imaging.TestPhotos;
import org.junit.jupiter.api.Test;

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

    @Test
    void aBrokenBlockIsFollowedAsFarAsItGoesAndNoFurther() {
        byte[] whole = TestPhotos.exifWithPlace(SIZE);
        for (int seed = 0; seed < 2000; seed++) {
            Random random = new Random(seed);
            byte[] broken = whole.clone();
            for (int i = 0; i <= random.nextInt(4); i++) {
                broken[random.nextInt(broken.length)] = (byte) random.nextInt(256);
            }
            byte[] cut = random.nextInt(3) == 0 ? Arrays.copyOf(broken, 9 + random.nextInt(broken.length - 9)) : broken;
            assertThat(delivered(cut, WITH_LINES).length)
                    .as("seed %d", seed)
                    .isGreaterThanOrEqualTo(cut.length)
                    .isLessThan(cut.length + 900_000);
        }
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
