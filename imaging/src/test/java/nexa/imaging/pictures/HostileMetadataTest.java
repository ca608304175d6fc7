package nexa.imaging.pictures;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Stream;
import nexa.core.format.PixelSize;
import nexa.core.shoot.Photo;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.ExifOrientation;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.ShootReading;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whatever a photo says of itself, its pixels are read; what is passed over of it is told. */
class HostileMetadataTest {
    private static final PixelSize SIZE = new PixelSize(240, 160);
    private static final byte[] XMP = "http://ns.adobe.com/xap/1.0/\0".getBytes(StandardCharsets.ISO_8859_1);
    private static final byte[] MORE_XMP = "http://ns.adobe.com/xmp/extension/\0".getBytes(StandardCharsets.ISO_8859_1);

    @TempDir
    Path folder;

    private byte[] jpeg;

    @BeforeEach
    void writeGoodPhoto() throws Exception {
        Path file = TestPhotos.write(TestPhotos.scene(SIZE.width(), SIZE.height()), folder.resolve("good.jpg"));
        TestPhotos.addMetadata(file, TestPhotos.exif(6, SIZE), null);
        jpeg = Files.readAllBytes(file);
    }

    private ShootReading read(String... names) {
        return ShootReading.of(Stream.of(names).map(Photo::untouched).toList(), folder);
    }

    private static void segment(ByteArrayOutputStream out, byte[]... parts) {
        int length = 2 + Stream.of(parts).mapToInt(part -> part.length).sum();
        out.write(0xFF);
        out.write(0xE1);
        out.write(length >> 8);
        out.write(length);
        Stream.of(parts).forEach(out::writeBytes);
    }

    /** The good photo with segments in front of all it has. */
    private byte[] with(byte[] segments) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        out.writeBytes(segments);
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    private byte[] withXmp(String inside) {
        String packet = "<x:xmpmeta xmlns:x='adobe:ns:meta/'>"
                + "<rdf:RDF xmlns:rdf='http://www.w3.org/1999/02/22-rdf-syntax-ns#'>"
                + "<rdf:Description rdf:about='' xmlns:k='http://fernhill.example/'>" + inside
                + "</rdf:Description></rdf:RDF></x:xmpmeta>";
        ByteArrayOutputStream segments = new ByteArrayOutputStream();
        segment(segments, XMP, packet.getBytes(StandardCharsets.UTF_8));
        return with(segments.toByteArray());
    }

    private void assertGood(String name, boolean isCut) throws Exception {
        ShootReading reading = read(name);
        assertThat(reading.problems()).isEmpty();
        PhotoFacts facts = reading.facts().get(name);
        assertThat(facts.stored().size()).isEqualTo(SIZE);
        assertThat(facts.isCut()).isEqualTo(isCut);
        assertThat(reading.passedOver().isPresent()).isEqualTo(isCut);
        Path file = folder.resolve(name);
        assertThat(new PhotoPixels(file, TestPhotos.photo(file)).picture(500).height())
                .isEqualTo(SIZE.width());
    }

    @ParameterizedTest
    @CsvSource({"20, false", "30, false", "200, true", "1500, true"})
    void structuresInsideOneAnotherAreReadAsFarAsTheyGo(int deep, boolean isCut) throws Exception {
        Files.write(
                folder.resolve("deep.jpg"),
                withXmp("<k:a><rdf:Description>".repeat(deep / 2)
                        + "<k:a rdf:parseType='Resource'>".repeat(deep / 2) + "<k:b>1</k:b>"
                        + "</k:a>".repeat(deep / 2)
                        + "</rdf:Description></k:a>".repeat(deep / 2)));
        assertGood("deep.jpg", isCut);
    }

    @Test
    void elementsInsideOneAnotherAndAllBesideOneAnotherArePassedOver() throws Exception {
        Files.write(folder.resolve("deep.jpg"), withXmp("<a>".repeat(7500) + "</a>".repeat(7500)));
        assertGood("deep.jpg", true);
        StringBuilder many = new StringBuilder();
        for (int i = 0; i < 3000; i++) {
            many.append("<k:a").append(i).append(">1</k:a").append(i).append('>');
        }
        Files.write(folder.resolve("many.jpg"), withXmp(many.toString()));
        assertGood("many.jpg", false);
    }

    @Test
    void seventyMegabytesOfMoreXmpBeforeThePicturesOwnDataKeepNothingFromBeingRead() throws Exception {
        ByteArrayOutputStream segments = new ByteArrayOutputStream();
        byte[] part = new byte[65_000];
        for (int i = 0; i < 1_150; i++) {
            segment(segments, MORE_XMP, part);
        }
        Files.write(folder.resolve("long.jpg"), with(segments.toByteArray()));
        ShootReading reading = read("long.jpg");
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.facts().get("long.jpg").stored().size()).isEqualTo(SIZE);
        assertThat(reading.facts().get("long.jpg").isCut()).isTrue();
    }

    @Test
    void aPngWithFiftyMegabytesOfExifIsAPhoto() throws Exception {
        Map<String, byte[]> chunks = new LinkedHashMap<>();
        chunks.put("IHDR", TestPhotos.pngHeader(8, 8, 8, 0));
        chunks.put("eXIf", new byte[50 * 1024 * 1024]);
        chunks.put("IDAT", TestPhotos.deflated(new byte[9 * 8]));
        Files.write(folder.resolve("long.png"), TestPhotos.png(chunks));
        ShootReading reading = read("long.png");
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.facts().get("long.png").pixels()).isEqualTo(new PixelSize(8, 8));
        assertThat(reading.passedOver()).isPresent();
    }

    /** Two thousand entries of 4 MB each, all of the same bytes. */
    @Test
    void entriesThatLieInOneAnotherDoNotMakeAPhotoTooLarge() throws Exception {
        int count = 2000;
        int bytes = 4 * 1024 * 1024;
        ByteBuffer tiff = ByteBuffer.allocate(bytes + 2 * count * 12).order(ByteOrder.LITTLE_ENDIAN);
        tiff.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
        tiff.putShort((short) count);
        tiff.putShort((short) 256).putShort((short) 3).putInt(1).putInt(30);
        tiff.putShort((short) 257).putShort((short) 3).putInt(1).putInt(20);
        tiff.putShort((short) 274).putShort((short) 3).putInt(1).putInt(6);
        for (int i = 3; i < count; i++) {
            tiff.putShort((short) (1000 + i)).putShort((short) 7).putInt(bytes).putInt(i);
        }
        Files.write(folder.resolve("overlap.tif"), tiff.array());
        PhotoFacts facts = read("overlap.tif").facts().get("overlap.tif");
        assertThat(facts.stored().size()).isEqualTo(new PixelSize(30, 20));
        assertThat(facts.orientation()).isEqualTo(new ExifOrientation(6));
    }

    /** A raw file of a kind whose pictures are looked for, made of nothing but one thing again and again. */
    private Path raw(String name, int length, byte[] again) throws Exception {
        ByteBuffer file = ByteBuffer.allocate(length);
        file.put("FUJIFILMCCD-RAW 0201".getBytes(StandardCharsets.ISO_8859_1));
        while (file.remaining() >= again.length) {
            file.put(again);
        }
        return Files.write(folder.resolve(name), file.array());
    }

    @ParameterizedTest
    @CsvSource({
        "FFD8FF",
        "FFD8FFE1",
        "FFD8FFE00002",
        "FFD8FFE00002FFE00002FFE00002FFE00002",
        "FFD8FFC000110800400040030122000211010311",
        "FFD8FFC0001108004000400301220002110103110100FFD9"
    })
    void aRawFileOfNothingButBeginningsIsGoneThroughOnce(String again) throws Exception {
        byte[] bytes = HexFormat.of().parseHex(again);
        raw("begins.raf", 23 * 1024 * 1024, bytes);
        ShootReading reading = read("begins.raf", "good.jpg");
        assertThat(reading.facts()).containsKey("good.jpg");
        assertThat(reading.problems().values())
                .allMatch(problem -> problem.reason() == PhotoProblem.Reason.CUT_OFF
                        || problem.reason() == PhotoProblem.Reason.DAMAGED
                        || problem.reason() == PhotoProblem.Reason.NO_PICTURE);
    }

    @Test
    void aPictureBehindManyBeginningsIsFound() throws Exception {
        ByteBuffer file = ByteBuffer.allocate(1 << 20);
        file.put("FUJIFILMCCD-RAW 0201".getBytes(StandardCharsets.ISO_8859_1));
        for (int i = 0; i < 3000; i++) {
            file.put(new byte[] {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF, (byte) 0xE1, 0, 1, 0});
        }
        file.put(jpeg);
        Files.write(folder.resolve("behind.raf"), file.array());
        assertThat(PhotoFacts.read(folder.resolve("behind.raf")).stored().size())
                .isEqualTo(SIZE);
    }
}
