package nexa.imaging.deliver;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.TreeMap;

/**
 * An EXIF block whose entries are read and changed where they lie: a maker's notes may not be moved. Directories are named by
 * where they begin. A block that is broken is followed as far as that can be done.
 */
final class ExifBlock {
    private static final int THUMBNAIL_OFFSET = 0x0201;
    private static final int THUMBNAIL_LENGTH = 0x0202;
    private static final int SHORT = 3;
    private static final int ENTRY = 12;
    /** The least bytes of a block: what says where its first directory is. */
    static final int HEADER = 8;
    /** How many bytes a value of each type takes, by the type's number. */
    private static final int[] BYTES = {0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8};

    private final ByteBuffer block;

    /** @param bytes of the block, which are changed */
    ExifBlock(byte[] bytes) {
        block = ByteBuffer.wrap(bytes);
        block.order(block.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
    }

    /** A block that says nothing. */
    static byte[] empty() {
        return ByteBuffer.allocate(HEADER + 6)
                .order(ByteOrder.LITTLE_ENDIAN)
                .put((byte) 'I')
                .put((byte) 'I')
                .putShort((short) 42)
                .putInt(HEADER)
                .array();
    }

    byte[] bytes() {
        return block.array();
    }

    ByteOrder order() {
        return block.order();
    }

    /** The first directory. */
    int first() {
        return block.getInt(4);
    }

    /** Whether all of a directory's entries are there. */
    boolean isWhole(int directory) {
        return isInside(directory, 2 + count(directory) * ENTRY + 4);
    }

    /** Sets a text of four letters, if there is an entry for it. */
    void setShortText(int directory, int tag, byte[] text) {
        int at = find(directory, tag);
        if (at > 0) {
            block.put(at + 8, text);
        }
    }

    /** The entries of a directory, by tag, as they stand in the block. */
    TreeMap<Integer, byte[]> entries(int directory) {
        TreeMap<Integer, byte[]> entries = new TreeMap<>();
        for (int i = 0; i < count(directory); i++) {
            int at = directory + 2 + i * ENTRY;
            byte[] entry = new byte[ENTRY];
            block.get(at, entry);
            entries.put(block.getShort(at) & 0xFFFF, entry);
        }
        return entries;
    }

    /** Leaves nothing of a directory and of the values it points to. */
    void wipe(int directory) {
        if (!isInside(directory, 2)) {
            return;
        }
        for (int i = 0; i < count(directory); i++) {
            int at = directory + 2 + i * ENTRY;
            if (!isInside(at, ENTRY)) {
                return;
            }
            int type = block.getShort(at + 2) & 0xFFFF;
            long length = type < BYTES.length ? (long) BYTES[type] * (block.getInt(at + 4) & 0xFFFF_FFFFL) : 0;
            if (length > 4 && length <= block.capacity()) {
                clear(block.getInt(at + 8), (int) length);
            }
            clear(at, ENTRY);
        }
    }

    /** Takes the thumbnail away that follows a directory. */
    void dropThumbnail(int first) {
        int link = first + 2 + count(first) * ENTRY;
        if (!isInside(first, 2) || !isInside(link, 4)) {
            return;
        }
        int thumbnail = block.getInt(link);
        int length = value(thumbnail, THUMBNAIL_LENGTH);
        if (length > 0) {
            clear(value(thumbnail, THUMBNAIL_OFFSET), length);
        }
        block.putInt(link, 0);
    }

    private void clear(int start, int length) {
        if (isInside(start, length)) {
            block.put(start, new byte[length]);
        }
    }

    /** Sets a number, if there is an entry for it. */
    void set(int directory, int tag, int value) {
        int at = find(directory, tag);
        if (at > 0 && block.getShort(at + 2) == SHORT) {
            block.putShort(at + 8, (short) value);
        } else if (at > 0) {
            block.putInt(at + 8, value);
        }
    }

    /** A number, or where a directory below lies; 0 if there is none. */
    int value(int directory, int tag) {
        int at = find(directory, tag);
        if (at == 0) {
            return 0;
        }
        return block.getShort(at + 2) == SHORT ? block.getShort(at + 8) & 0xFFFF : block.getInt(at + 8);
    }

    /** Where an entry begins, or 0. */
    private int find(int directory, int tag) {
        if (directory <= 0 || !isInside(directory, 2)) {
            return 0;
        }
        for (int i = 0; i < count(directory); i++) {
            int at = directory + 2 + i * ENTRY;
            if (!isInside(at, ENTRY)) {
                return 0;
            }
            if ((block.getShort(at) & 0xFFFF) == tag) {
                return at;
            }
        }
        return 0;
    }

    private int count(int directory) {
        return isInside(directory, 2) ? block.getShort(directory) & 0xFFFF : 0;
    }

    private boolean isInside(int at, int length) {
        return at >= HEADER && length >= 0 && (long) at + length <= block.capacity();
    }
}
