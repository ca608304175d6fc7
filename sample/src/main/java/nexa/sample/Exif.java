package nexa.sample;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** What the made-up camera writes into a photo: an EXIF block with orientation, time, camera, lens, exposure, subject. */
final class Exif {
    private static final byte[] HEAD = "Exif\0\0".getBytes(StandardCharsets.US_ASCII);
    private static final int ASCII = 2;
    private static final int SHORT = 3;
    private static final int LONG = 4;
    private static final int RATIONAL = 5;
    private static final int ENTRY = 12;

    /** One entry of a directory. */
    private record Entry(int tag, int type, int count, byte[] value) {}

    private Exif() {}

    /** The block for a shot whose pixels are stored at this size. */
    static byte[] of(Shot shot, int width, int height) {
        boolean isFirst = shot.photo().width() * shot.photo().height() > 3_000_000;
        List<Entry> main = new ArrayList<>();
        main.add(text(0x010F, "Kilnaro"));
        main.add(text(0x0110, isFirst ? "Kilnaro K2" : "Kilnaro Pocket"));
        main.add(shorts(0x0112, shot.orientation()));
        List<Entry> exif = new ArrayList<>();
        exif.add(rational(0x829A, 1, isFirst ? 60 : 125));
        exif.add(rational(0x829D, isFirst ? 80 : 56, 10));
        exif.add(shorts(0x8827, isFirst ? 200 : 400));
        exif.add(text(0x9003, shot.taken().format(DateTimeFormatter.ofPattern("yyyy:MM:dd HH:mm:ss"))));
        double angle = Math.toRadians(shot.photo().camera().fieldOfView());
        exif.add(rational(0x920A, (int) Math.round(10 * 18 / Math.tan(angle / 2)), 10));
        if (shot.tellsSubject()) {
            double[] seen = shot.subjectPlace().orElseThrow();
            double[] stored = stored(seen[0], seen[1], shot.orientation());
            exif.add(shorts(0x9214, (int) Math.round(stored[0] * width), (int) Math.round(stored[1] * height), (int)
                    Math.round(2 * seen[2] * Math.min(width, height))));
        }
        exif.add(longs(0xA002, width));
        exif.add(longs(0xA003, height));
        exif.add(text(0xA434, isFirst ? "Fernlight 50 mm f/2" : "Fernlight 35 mm f/2.8"));
        return block(main, exif);
    }

    /** Where a place of the photo as seen lies in the pixels as stored: EXIF tells places before turning. */
    private static double[] stored(double x, double y, int orientation) {
        return switch (orientation) {
            case 3 -> new double[] {1 - x, 1 - y};
            case 6 -> new double[] {y, 1 - x};
            case 8 -> new double[] {1 - y, x};
            default -> new double[] {x, y};
        };
    }

    private static Entry text(int tag, String text) {
        byte[] bytes = (text + "\0").getBytes(StandardCharsets.US_ASCII);
        return new Entry(tag, ASCII, bytes.length, bytes);
    }

    private static Entry shorts(int tag, int... values) {
        ByteBuffer bytes = buffer(2 * values.length);
        for (int value : values) {
            bytes.putShort((short) value);
        }
        return new Entry(tag, SHORT, values.length, bytes.array());
    }

    private static Entry longs(int tag, int value) {
        return new Entry(tag, LONG, 1, buffer(4).putInt(value).array());
    }

    private static Entry rational(int tag, int above, int below) {
        return new Entry(tag, RATIONAL, 1, buffer(8).putInt(above).putInt(below).array());
    }

    private static ByteBuffer buffer(int size) {
        return ByteBuffer.allocate(size).order(ByteOrder.LITTLE_ENDIAN);
    }

    private static byte[] block(List<Entry> main, List<Entry> exif) {
        int exifAt = 8 + directorySize(main.size() + 1);
        main.add(longs(0x8769, exifAt));
        int dataAt = exifAt + directorySize(exif.size());
        ByteArrayOutputStream data = new ByteArrayOutputStream();
        ByteBuffer head = buffer(dataAt)
                .put((byte) 'I')
                .put((byte) 'I')
                .putShort((short) 42)
                .putInt(8);
        write(head, main, data, dataAt);
        write(head, exif, data, dataAt);
        byte[] all = Arrays.copyOf(head.array(), dataAt + data.size());
        System.arraycopy(data.toByteArray(), 0, all, dataAt, data.size());
        return all;
    }

    private static int directorySize(int entries) {
        return 2 + entries * ENTRY + 4;
    }

    private static void write(ByteBuffer head, List<Entry> entries, ByteArrayOutputStream data, int dataAt) {
        head.putShort((short) entries.size());
        for (Entry entry : entries) {
            head.putShort((short) entry.tag()).putShort((short) entry.type()).putInt(entry.count());
            if (entry.value().length <= 4) {
                head.put(Arrays.copyOf(entry.value(), 4));
            } else {
                head.putInt(dataAt + data.size());
                data.writeBytes(entry.value());
                if (data.size() % 2 == 1) {
                    data.write(0);
                }
            }
        }
        head.putInt(0);
    }

    /** A JPEG with the block, and a colour profile if there is one, right after its start. */
    static byte[] intoJpeg(byte[] jpeg, byte[] block, byte[] profile) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        segment(out, 0xE1, HEAD, block);
        if (profile.length > 0) {
            segment(out, 0xE2, "ICC_PROFILE\0\1\1".getBytes(StandardCharsets.ISO_8859_1), profile);
        }
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    private static void segment(ByteArrayOutputStream out, int marker, byte[] head, byte[] contents) {
        int length = 2 + head.length + contents.length;
        if (length > 0xFFFF) {
            throw new IllegalArgumentException(String.format(Locale.ROOT, "a segment of %d bytes is too long", length));
        }
        out.writeBytes(new byte[] {(byte) 0xFF, (byte) marker, (byte) (length >> 8), (byte) length});
        out.writeBytes(head);
        out.writeBytes(contents);
    }
}
