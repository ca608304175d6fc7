package nexa.imaging.deliver;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import nexa.core.format.PixelSize;

/**
 * An EXIF block made true for a delivered file: upright, with the file's own dimensions, and without the source's
 * thumbnail. Everything else stays byte for byte. A block that is broken is left as far as it can be followed.
 */
final class ExifBlock {
    private static final int ORIENTATION = 0x0112;
    private static final int EXIF_DIRECTORY = 0x8769;
    private static final int WIDTH = 0xA002;
    private static final int HEIGHT = 0xA003;
    private static final int THUMBNAIL_OFFSET = 0x0201;
    private static final int THUMBNAIL_LENGTH = 0x0202;
    private static final int SHORT = 3;
    private static final int ENTRY = 12;

    private final ByteBuffer block;

    private ExifBlock(byte[] bytes) {
        block = ByteBuffer.wrap(bytes);
    }

    /** @param bytes beginning with the TIFF header; not changed */
    static byte[] upright(byte[] bytes, PixelSize size) {
        byte[] copy = bytes.clone();
        if (copy.length >= 8) {
            new ExifBlock(copy).mend(size);
        }
        return copy;
    }

    private void mend(PixelSize size) {
        block.order(block.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
        int first = block.getInt(4);
        set(first, ORIENTATION, 1);
        int exif = value(first, EXIF_DIRECTORY);
        set(exif, WIDTH, size.width());
        set(exif, HEIGHT, size.height());
        dropThumbnail(first);
    }

    private void dropThumbnail(int first) {
        int link = first + 2 + count(first) * ENTRY;
        if (!isInside(first, 2) || !isInside(link, 4)) {
            return;
        }
        int thumbnail = block.getInt(link);
        int start = value(thumbnail, THUMBNAIL_OFFSET);
        int length = value(thumbnail, THUMBNAIL_LENGTH);
        if (length > 0 && isInside(start, length)) {
            for (int i = start; i < start + length; i++) {
                block.put(i, (byte) 0);
            }
        }
        block.putInt(link, 0);
    }

    private void set(int directory, int tag, int value) {
        int at = find(directory, tag);
        if (at > 0 && block.getShort(at + 2) == SHORT) {
            block.putShort(at + 8, (short) value);
        } else if (at > 0) {
            block.putInt(at + 8, value);
        }
    }

    private int value(int directory, int tag) {
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
        return at >= 0 && length >= 0 && (long) at + length <= block.capacity();
    }
}
