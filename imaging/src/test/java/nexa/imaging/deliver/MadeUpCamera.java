package nexa.imaging.deliver;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import nexa.imaging.decode.TiffDirectory;

/**
 * EXIF blocks as cameras of several makers, all made up, may write them, with a place in whatever can hold one: as numbers, as
 * text, in a maker's own notes, in kinds of metadata inside the block.
 */
final class MadeUpCamera {
    static final String PLACE = "Hidden-Kiln-Yard";
    private static final int[] LATITUDE = {51, 1, 28, 1, 40_377, 1000};
    private static final int[] LONGITUDE = {2, 1, 36, 1, 55_021, 1000};
    private static final String TEXT = (PLACE + " ").repeat(6);
    private static final List<String> MAKERS = List.of("Kilnaro", "FERNLIGHT CORP.", "Öland Optik", "Bisque & Sons");

    private MadeUpCamera() {}

    /** What its first directory says, and what is below it. */
    static TiffDirectory directory(Random random) {
        ByteOrder order = random.nextBoolean() ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN;
        String maker = MAKERS.get(random.nextInt(MAKERS.size()));
        TiffDirectory place = TiffDirectory.empty(order)
                .withText(1, "N")
                .withFractions(2, LATITUDE)
                .withText(3, "W")
                .withFractions(4, LONGITUDE)
                .withBytes(27, ascii("ASCII\0\0\0" + TEXT))
                .withBytes(28, utf16(TEXT))
                .withText(29, "2026:04:18");
        TiffDirectory exif = TiffDirectory.empty(order)
                .withFractions(0x829A, 1, 60)
                .withFractions(0x829D, 8, 1)
                .withShort(0x8827, 200)
                .withBytes(0x9000, ascii("0231"))
                .withText(0x9003, "2026:04:18 09:30:00")
                .withText(0x9011, "+01:00")
                .withFractions(0x920A, 495, 10)
                .withBytes(0x927C, notes(maker, order))
                .withBytes(0x9286, ascii("ASCII\0\0\0" + TEXT))
                .withShort(0xA001, 1)
                .withText(0xA420, PLACE + "-0173")
                .withText(0xA430, "Of " + PLACE)
                .withFractions(0xA432, 240, 10, 700, 10, 28, 10, 28, 10)
                .withText(0xA434, maker + " 24-70")
                .withBelow(
                        TiffDirectory.INTEROPERABILITY,
                        TiffDirectory.empty(order).withText(1, "R98").withBytes(2, ascii("0100")));
        if (random.nextInt(3) == 0) {
            exif = exif.withBelow(TiffDirectory.PLACE, place);
        }
        TiffDirectory first = TiffDirectory.empty(order)
                .withText(0x010E, TEXT)
                .withText(0x010F, maker)
                .withText(0x0110, maker + " " + random.nextInt(9))
                .withText(0x0131, "by " + PLACE)
                .withText(0x0132, "2026:04:18 09:30:00")
                .withText(0x013B, "A stranger")
                .withText(0x8298, "© a stranger")
                .withBytes(700, ascii("<x:xmpmeta><City>" + TEXT + "</City></x:xmpmeta>"))
                .withBytes(33_723, ascii("\u001c\u0002\u005a\0\u0010" + TEXT))
                .withBytes(0x9C9B, utf16(TEXT))
                .withBytes(0x9C9E, utf16(TEXT))
                .withBelow(TiffDirectory.EXIF, exif);
        return random.nextInt(4) == 0 ? first : first.withBelow(TiffDirectory.PLACE, place);
    }

    /** Notes of a maker's own: a name, texts, a place as numbers, and a small picture of the whole photo. */
    private static byte[] notes(String maker, ByteOrder order) {
        ByteArrayOutputStream notes = new ByteArrayOutputStream();
        notes.writeBytes((maker + "\0\1\2").getBytes(StandardCharsets.UTF_8));
        notes.writeBytes(ascii("City=" + TEXT));
        notes.writeBytes(utf16("Landmark=" + TEXT));
        notes.writeBytes(numbers(LATITUDE, order));
        notes.writeBytes(new byte[] {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF, (byte) 0xE0});
        return notes.toByteArray();
    }

    /** Every way in which the place would show in a file. */
    static List<byte[]> traces() {
        return List.of(
                ascii(PLACE),
                PLACE.getBytes(StandardCharsets.UTF_16LE),
                PLACE.getBytes(StandardCharsets.UTF_16BE),
                numbers(LATITUDE, ByteOrder.LITTLE_ENDIAN),
                numbers(LATITUDE, ByteOrder.BIG_ENDIAN),
                numbers(LONGITUDE, ByteOrder.LITTLE_ENDIAN),
                numbers(LONGITUDE, ByteOrder.BIG_ENDIAN),
                numbers(new int[] {40_377, 1000}, ByteOrder.LITTLE_ENDIAN),
                numbers(new int[] {40_377, 1000}, ByteOrder.BIG_ENDIAN));
    }

    /** Changes a few bytes, and cuts the end off now and then. */
    static byte[] mutated(byte[] bytes, int from, int to, Random random) {
        byte[] broken = bytes.clone();
        for (int i = random.nextInt(8); i >= 0; i--) {
            int at = from + random.nextInt(to - from);
            broken[at] = (byte) (random.nextInt(4) == 0 ? 0 : random.nextInt(256));
        }
        return broken;
    }

    private static byte[] numbers(int[] values, ByteOrder order) {
        ByteBuffer bytes = ByteBuffer.allocate(4 * values.length).order(order);
        for (int value : values) {
            bytes.putInt(value);
        }
        return bytes.array();
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.ISO_8859_1);
    }

    private static byte[] utf16(String text) {
        return text.getBytes(StandardCharsets.UTF_16LE);
    }
}
