package nexa.imaging.deliver;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.PixelSize;
import nexa.imaging.decode.SourceMetadata;
import nexa.imaging.decode.TiffDirectory;

/**
 * An EXIF block made true for a delivered file: upright, with the file's own dimensions, without the source's thumbnail,
 * with the photographer's lines, and with the camera's data and the place only as asked. Everything else stays byte for
 * byte where it is, since a maker's notes may not be moved; only the first directory is written anew, at the end. A block
 * that is broken is left as far as it can be followed.
 */
final class ExifBlock {
    private static final int ORIENTATION = 0x0112;
    private static final int CREATOR = 0x013B;
    private static final int COPYRIGHT = 0x8298;
    private static final int EXIF_DIRECTORY = TiffDirectory.EXIF;
    private static final int PLACE_DIRECTORY = TiffDirectory.PLACE;
    private static final int WIDTH = 0xA002;
    private static final int HEIGHT = 0xA003;
    private static final int THUMBNAIL_OFFSET = 0x0201;
    private static final int THUMBNAIL_LENGTH = 0x0202;
    /** What an image file says of its own pixels has no place in a block: some photos are their own block. */
    private static final Set<Integer> OF_PIXELS =
            Set.of(256, 257, 258, 259, 262, 273, 277, 278, 279, 282, 283, 284, 296, 317, 338, 339, 34_675);

    private static final int COLOUR_SPACE = 0xA001;
    private static final int SRGB = 1;
    private static final int INDEX = 0x0001;
    private static final byte[] SRGB_INDEX = {'R', '9', '8', 0};

    private static final int SHORT = 3;
    private static final int ENTRY = 12;
    private static final int HEADER = 8;
    /** How many bytes a value of each type takes, by the type's number. */
    private static final int[] BYTES = {0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8};

    private final ByteBuffer block;

    private ExifBlock(byte[] bytes) {
        block = ByteBuffer.wrap(bytes);
        block.order(block.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
    }

    /**
     * The block for a delivered file; empty where there is nothing to say.
     *
     * @param source the photo's own, beginning with its TIFF header; not changed
     * @param isInSrgb whether the file's colours were turned into sRGB, which the block has to say too
     */
    static Optional<byte[]> delivered(Optional<byte[]> source, PixelSize size, DeliveryTerms terms, boolean isInSrgb) {
        Optional<byte[]> kept = source.filter(bytes -> terms.cameraData() && bytes.length > HEADER);
        boolean hasLines = !terms.copyright().isEmpty() || !terms.creator().isEmpty();
        if (kept.isEmpty() && !hasLines) {
            return Optional.empty();
        }
        byte[] bytes = kept.map(byte[]::clone).orElseGet(ExifBlock::empty);
        return Optional.of(new ExifBlock(bytes).mended(size, terms, isInSrgb));
    }

    /**
     * A whole TIFF that says of its photo what a block does, and the photographer's lines: Java's own writer does not know
     * all of it, and knows only plain letters.
     */
    static byte[] joined(byte[] tiff, Optional<byte[]> block, DeliveryTerms terms) {
        ExifBlock file = new ExifBlock(tiff);
        TiffDirectory said = block.flatMap(TiffDirectory::read)
                .map(directory -> directory.only(SourceMetadata.OF_THE_PHOTO::contains))
                .orElse(TiffDirectory.empty(file.block.order()));
        return withLines(said, terms).appendedTo(tiff, file.block.order(), file.entries(file.block.getInt(4)));
    }

    private static TiffDirectory withLines(TiffDirectory directory, DeliveryTerms terms) {
        TiffDirectory lined = directory;
        lined = terms.copyright().isEmpty() ? lined : lined.withText(COPYRIGHT, terms.copyright());
        return terms.creator().isEmpty() ? lined : lined.withText(CREATOR, terms.creator());
    }

    /** A block and what had to be left out of it. */
    record Fitted(byte[] block, boolean hasNotes, boolean isWhole) {}

    /**
     * A block with at most so many bytes: where it has more, first the room that nothing uses goes, then the maker's notes,
     * then whatever is largest; the lines that say whose the photo is stay to the last.
     */
    static Fitted fitted(byte[] block, int most) {
        if (block.length <= most) {
            return new Fitted(block, true, true);
        }
        TiffDirectory whole = TiffDirectory.read(block).orElseGet(() -> TiffDirectory.empty(ByteOrder.LITTLE_ENDIAN));
        byte[] fitted = whole.block();
        if (fitted.length <= most) {
            return new Fitted(fitted, true, true);
        }
        TiffDirectory kept = without(whole, TiffDirectory.MAKER_NOTE);
        fitted = kept.block();
        boolean isWhole = fitted.length <= most;
        while (fitted.length > most) {
            kept = withoutLargest(kept);
            fitted = kept.block();
        }
        return new Fitted(fitted, false, isWhole);
    }

    private static TiffDirectory without(TiffDirectory directory, int tagOfExif) {
        return directory
                .below(EXIF_DIRECTORY)
                .map(exif -> directory.withBelow(EXIF_DIRECTORY, exif.only(tag -> tag != tagOfExif)))
                .orElse(directory);
    }

    private static TiffDirectory withoutLargest(TiffDirectory directory) {
        Optional<Integer> inExif = directory.below(EXIF_DIRECTORY).flatMap(exif -> exif.largest(tag -> true));
        if (inExif.isPresent()) {
            return without(directory, inExif.get());
        }
        Optional<Integer> other = directory.largest(tag -> tag != COPYRIGHT && tag != CREATOR);
        Optional<Integer> goes = other.or(() -> directory.largest(tag -> true));
        return goes.map(gone -> directory.only(tag -> !tag.equals(gone)))
                .orElseGet(() -> directory.only(tag -> tag == COPYRIGHT || tag == CREATOR));
    }

    private static byte[] empty() {
        return ByteBuffer.allocate(HEADER + 6)
                .order(ByteOrder.LITTLE_ENDIAN)
                .put((byte) 'I')
                .put((byte) 'I')
                .putShort((short) 42)
                .putInt(HEADER)
                .array();
    }

    private byte[] mended(PixelSize size, DeliveryTerms terms, boolean isInSrgb) {
        int first = block.getInt(4);
        set(first, ORIENTATION, 1);
        int exif = value(first, EXIF_DIRECTORY);
        set(exif, WIDTH, size.width());
        set(exif, HEIGHT, size.height());
        if (isInSrgb) {
            sayInSrgb(exif);
        }
        dropThumbnail(first);
        if (!isInside(first, 2 + count(first) * ENTRY + 4)) {
            return block.array();
        }
        TreeMap<Integer, byte[]> entries = entries(first);
        entries.keySet().removeAll(OF_PIXELS);
        if (!terms.place() && entries.remove(PLACE_DIRECTORY) != null) {
            wipe(value(first, PLACE_DIRECTORY));
        }
        return withLines(TiffDirectory.empty(block.order()), terms).appendedTo(block.array(), block.order(), entries);
    }

    private void sayInSrgb(int exif) {
        set(exif, COLOUR_SPACE, SRGB);
        int index = find(value(exif, TiffDirectory.INTEROPERABILITY), INDEX);
        if (index > 0) {
            block.put(index + 8, SRGB_INDEX);
        }
    }

    private TreeMap<Integer, byte[]> entries(int directory) {
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
    private void wipe(int directory) {
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

    private void dropThumbnail(int first) {
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
        return at >= HEADER && length >= 0 && (long) at + length <= block.capacity();
    }
}
