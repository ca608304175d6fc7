package nexa.imaging.decode;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import nexa.core.format.PixelSize;
import nexa.core.shoot.Photo;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.Picture;
import nexa.imaging.raw.RawAvailability;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The ways in which makers put a picture and what they say of it into their raw files, made up here as small as can be. */
class RawFileTest {
    private static final PixelSize PICTURE = new PixelSize(120, 80);

    @TempDir
    Path folder;

    private byte[] jpeg;
    private byte[] turned;

    @BeforeEach
    void makeJpegs() throws Exception {
        Path plain = TestPhotos.write(TestPhotos.scene(120, 80), folder.resolve("plain.jpg"));
        jpeg = Files.readAllBytes(plain);
        TestPhotos.addMetadata(plain, TestPhotos.exif(6, PICTURE), new byte[0]);
        turned = Files.readAllBytes(plain);
    }

    private Path file(byte[]... parts) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        for (byte[] part : parts) {
            out.writeBytes(part);
        }
        return Files.write(folder.resolve("photo"), out.toByteArray());
    }

    private static byte[] text(String text) {
        return text.getBytes(StandardCharsets.ISO_8859_1);
    }

    /** A directory of numbers at the beginning of a file, and no other one after it. */
    private static ByteBuffer tiff(ByteOrder order, int magic, int[][] entries) {
        ByteBuffer out = ByteBuffer.allocate(8 + 2 + 12 * entries.length + 4).order(order);
        out.put(text(order == ByteOrder.BIG_ENDIAN ? "MM" : "II"))
                .putShort((short) magic)
                .putInt(8);
        out.putShort((short) entries.length);
        for (int[] entry : entries) {
            out.putShort((short) entry[0]).putShort((short) 4).putInt(1).putInt(entry[1]);
        }
        return out;
    }

    /** What is shown of it, with a command that is not there: the picture inside. */
    private Picture shown(Path file) throws Exception {
        return new PhotoPixels(file, Photo.untouched(file.getFileName().toString())).picture(400);
    }

    @Test
    void aFileThatTellsOfItselfOnlyInItsPicturesExif() throws Exception {
        Path file = file(text("FUJIFILMCCD-RAW 0201"), new byte[100], turned, new byte[5000]);
        PhotoFacts facts = PhotoFacts.read(file);
        assertThat(facts.kind()).isEqualTo(PhotoKind.RAW);
        assertThat(facts.pixels()).isEqualTo(PICTURE.swapped());
        assertThat(facts.raw()).contains(RawAvailability.READY);
        assertThat(List.of(shown(file).width(), shown(file).height())).containsExactly(80, 120);
    }

    @Test
    void aFileOfBoxesTellsInABoxForEachDirectory() throws Exception {
        byte[] first = tiff(ByteOrder.LITTLE_ENDIAN, 42, new int[][] {{256, 1200}, {257, 800}, {274, 8}})
                .array();
        byte[] exif =
                tiff(ByteOrder.LITTLE_ENDIAN, 42, new int[][] {{0x8827, 400}}).array();
        Path file = file(box("ftyp", text("crx \0\0\0\1")), box("CMT1", first), box("CMT2", exif), new byte[40], jpeg);
        PhotoFacts facts = PhotoFacts.read(file);
        assertThat(facts.pixels()).as("in the sensor's pixels").isEqualTo(new PixelSize(800, 1200));
        assertThat(facts.orientation().value()).isEqualTo(8);
        assertThat(facts.camera().iso()).contains(400);
        assertThat(shown(file).height()).as("as large as the picture inside").isEqualTo(120);
    }

    private static byte[] box(String name, byte[] contents) {
        return ByteBuffer.allocate(8 + contents.length)
                .putInt(8 + contents.length)
                .put(text(name))
                .put(contents)
                .array();
    }

    @Test
    void aTiffButForItsNumberTellsWhereTheSensorsEdgesAre() throws Exception {
        byte[] head = tiff(ByteOrder.LITTLE_ENDIAN, 0x55, new int[][] {{4, 10}, {5, 20}, {6, 810}, {7, 1220}, {274, 3}})
                .array();
        Path file = file(head, jpeg, new byte[900]);
        PhotoFacts facts = PhotoFacts.read(file);
        assertThat(facts.pixels()).isEqualTo(new PixelSize(1200, 800));
        assertThat(facts.orientation().value()).isEqualTo(3);
        assertThat(shown(file).width()).isEqualTo(120);
    }

    @Test
    void inATiffThePictureAboutAsLargeAsTheSensorFramesThePhoto() throws Exception {
        int at = 8 + 2 + 12 * 7 + 4;
        byte[] head = tiff(ByteOrder.BIG_ENDIAN, 42, new int[][] {
                    {256, 126},
                    {257, 84},
                    {262, 32_803},
                    {273, at + jpeg.length},
                    {279, 500},
                    {513, at},
                    {514, jpeg.length}
                })
                .array();
        Path whole = file(head, jpeg, new byte[500]);
        assertThat(PhotoFacts.read(whole).pixels()).isEqualTo(PICTURE);
        assertThat(PhotoFacts.read(whole).raw()).contains(RawAvailability.READY);
        Path cut = file(head, jpeg, new byte[499]);
        assertThat(PhotoFacts.read(cut).raw()).contains(RawAvailability.CUT_SHORT);
    }

    @Test
    void aTiffThatSaysAtItsBeginningThatItIsRawNeedNotSaySoAgain() throws Exception {
        ByteBuffer head = ByteBuffer.allocate(16 + 2 + 12 * 4 + 4).order(ByteOrder.LITTLE_ENDIAN);
        head.put(text("II*\0")).putInt(16).put(text("CR")).putShort((short) 2).putInt(0);
        head.putShort((short) 4);
        for (int[] entry : new int[][] {{256, 120}, {257, 80}, {513, 70}, {514, jpeg.length}}) {
            head.putShort((short) entry[0]).putShort((short) 4).putInt(1).putInt(entry[1]);
        }
        Path file = file(head.array(), jpeg, new byte[300]);
        assertThat(PhotoFacts.read(file).kind()).isEqualTo(PhotoKind.RAW);
        assertThat(PhotoFacts.read(file).pixels()).isEqualTo(PICTURE);
        assertThat(shown(file).width()).isEqualTo(120);
    }

    @Test
    void aTiffWithoutSamplesOfASensorIsNone() throws Exception {
        Path tiff = TestPhotos.write(TestPhotos.scene(60, 40), folder.resolve("plain.tif"));
        assertThat(PhotoKind.of(tiff)).contains(PhotoKind.TIFF);
        assertThat(RawFile.read(file(text("II*\0"), new byte[40]))).isEqualTo(Optional.empty());
        assertThat(PhotoKind.of(folder.resolve("plain.jpg"))).contains(PhotoKind.JPEG);
    }

    @Test
    void ofSeveralPicturesTheSmallestThatIsLargeEnoughIsRead() throws Exception {
        byte[] small = Files.readAllBytes(TestPhotos.write(TestPhotos.scene(96, 64), folder.resolve("s.jpg")));
        byte[] otherwise = Files.readAllBytes(TestPhotos.write(TestPhotos.scene(100, 96), folder.resolve("o.jpg")));
        RawFile raw = RawFile.read(file(text("FUJIFILMCCD-RAW 0201"), otherwise, small, turned))
                .orElseThrow();
        assertThat(raw.pictureSize()).contains(PICTURE);
        assertThat(raw.picture(90).orElseThrow().longSide()).isEqualTo(96);
        assertThat(raw.picture(100).orElseThrow().longSide())
                .as("the one that frames otherwise is passed over")
                .isEqualTo(120);
    }
}
