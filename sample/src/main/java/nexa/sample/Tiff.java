package nexa.sample;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;

/** Directories as a TIFF has them, little-endian: of an EXIF block and of a raw photo alike. */
final class Tiff {
    private static final int BYTE = 1;
    private static final int ASCII = 2;
    private static final int SHORT = 3;
    private static final int LONG = 4;
    private static final int RATIONAL = 5;
    private static final int SIGNED_RATIONAL = 10;
    private static final int HEADER = 8;
    private static final int ENTRY = 12;

    /** One entry of a directory. */
    record Entry(int tag, int type, int count, byte[] value) {}

    private Tiff() {}

    static Entry bytes(int tag, int... values) {
        byte[] bytes = new byte[values.length];
        for (int i = 0; i < values.length; i++) {
            bytes[i] = (byte) values[i];
        }
        return new Entry(tag, BYTE, bytes.length, bytes);
    }

    static Entry text(int tag, String text) {
        byte[] bytes = (text + "\0").getBytes(StandardCharsets.US_ASCII);
        return new Entry(tag, ASCII, bytes.length, bytes);
    }

    static Entry shorts(int tag, int... values) {
        ByteBuffer bytes = buffer(2 * values.length);
        for (int value : values) {
            bytes.putShort((short) value);
        }
        return new Entry(tag, SHORT, values.length, bytes.array());
    }

    static Entry longs(int tag, int... values) {
        ByteBuffer bytes = buffer(4 * values.length);
        for (int value : values) {
            bytes.putInt(value);
        }
        return new Entry(tag, LONG, values.length, bytes.array());
    }

    static Entry rational(int tag, int above, int below) {
        return new Entry(tag, RATIONAL, 1, buffer(8).putInt(above).putInt(below).array());
    }

    /** Numbers to six places, which may be negative. */
    static Entry fractions(int tag, boolean isSigned, double... values) {
        int below = 1_000_000;
        ByteBuffer bytes = buffer(8 * values.length);
        for (double value : values) {
            bytes.putInt((int) Math.round(value * below)).putInt(below);
        }
        return new Entry(tag, isSigned ? SIGNED_RATIONAL : RATIONAL, values.length, bytes.array());
    }

    private static ByteBuffer buffer(int size) {
        return ByteBuffer.allocate(size).order(ByteOrder.LITTLE_ENDIAN);
    }

    /** Where each directory begins in a block that holds them one after the other. */
    static int[] places(List<List<Entry>> directories) {
        int[] places = new int[directories.size()];
        int at = HEADER;
        for (int i = 0; i < places.length; i++) {
            places[i] = at;
            at += 2 + directories.get(i).size() * ENTRY + 4;
        }
        return places;
    }

    /** A block that holds these directories, the entries of each by their tags; the first one is the first. */
    static byte[] block(List<List<Entry>> directories) {
        int last = directories.size() - 1;
        int dataAt = places(directories)[last] + 2 + directories.get(last).size() * ENTRY + 4;
        ByteArrayOutputStream data = new ByteArrayOutputStream();
        ByteBuffer head = buffer(dataAt)
                .put((byte) 'I')
                .put((byte) 'I')
                .putShort((short) 42)
                .putInt(HEADER);
        directories.forEach(directory -> write(head, directory, data, dataAt));
        byte[] all = Arrays.copyOf(head.array(), dataAt + data.size());
        System.arraycopy(data.toByteArray(), 0, all, dataAt, data.size());
        return all;
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
}
