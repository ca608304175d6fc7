package nexa.imaging.deliver;

import java.nio.ByteOrder;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.PixelSize;
import nexa.imaging.decode.SourceMetadata;
import nexa.imaging.decode.TiffDirectory;

/**
 * The EXIF block of a delivered file, made true for it: upright, with the file's own dimensions, without the source's
 * thumbnail, with the photographer's lines, and with the camera's data and the place only as asked. Everything else stays
 * byte for byte where it is; only the first directory is written anew, at the end.
 */
final class DeliveredExif {
    private static final int ORIENTATION = 0x0112;
    private static final int CREATOR = 0x013B;
    private static final int COPYRIGHT = 0x8298;
    private static final int WIDTH = 0xA002;
    private static final int HEIGHT = 0xA003;
    /** What an image file says of its own pixels has no place in a block: some photos are their own block. */
    private static final Set<Integer> OF_PIXELS =
            Set.of(256, 257, 258, 259, 262, 273, 277, 278, 279, 282, 283, 284, 296, 317, 338, 339, 34_675);

    private static final int COLOUR_SPACE = 0xA001;
    private static final int SRGB = 1;
    private static final int INDEX = 0x0001;
    private static final byte[] SRGB_INDEX = {'R', '9', '8', 0};

    private DeliveredExif() {}

    /**
     * The block for a delivered file; empty where there is nothing to say.
     *
     * @param source the photo's own, beginning with its TIFF header; not changed
     * @param isInSrgb whether the file's colours were turned into sRGB, which the block has to say too
     */
    static Optional<byte[]> of(Optional<byte[]> source, PixelSize size, DeliveryTerms terms, boolean isInSrgb) {
        Optional<byte[]> kept = source.filter(bytes -> terms.cameraData() && bytes.length > ExifBlock.HEADER);
        boolean hasLines = !terms.copyright().isEmpty() || !terms.creator().isEmpty();
        if (kept.isEmpty() && !hasLines) {
            return Optional.empty();
        }
        byte[] bytes = kept.map(byte[]::clone).orElseGet(ExifBlock::empty);
        return Optional.of(mended(new ExifBlock(bytes), size, terms, isInSrgb));
    }

    /**
     * A whole TIFF that says of its photo what a block does, and the photographer's lines: Java's own writer does not know
     * all of it, and knows only plain letters.
     */
    static byte[] joined(byte[] tiff, Optional<byte[]> block, DeliveryTerms terms) {
        ExifBlock file = new ExifBlock(tiff);
        TiffDirectory said = block.flatMap(TiffDirectory::read)
                .map(directory -> directory.only(SourceMetadata.OF_THE_PHOTO::contains))
                .orElse(TiffDirectory.empty(file.order()));
        return withLines(said, terms).appendedTo(tiff, file.order(), file.entries(file.first()));
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
        TiffDirectory kept = whole.withoutInExif(TiffDirectory.MAKER_NOTE);
        fitted = kept.block();
        boolean isWhole = fitted.length <= most;
        while (fitted.length > most) {
            kept = withoutLargest(kept);
            fitted = kept.block();
        }
        return new Fitted(fitted, false, isWhole);
    }

    private static TiffDirectory withoutLargest(TiffDirectory directory) {
        Optional<Integer> inExif = directory.below(TiffDirectory.EXIF).flatMap(exif -> exif.largest(tag -> true));
        if (inExif.isPresent()) {
            return directory.withoutInExif(inExif.get());
        }
        Optional<Integer> other = directory.largest(tag -> tag != COPYRIGHT && tag != CREATOR);
        Optional<Integer> goes = other.or(() -> directory.largest(tag -> true));
        return goes.map(gone -> directory.only(tag -> !tag.equals(gone)))
                .orElseGet(() -> directory.only(tag -> tag == COPYRIGHT || tag == CREATOR));
    }

    private static byte[] mended(ExifBlock block, PixelSize size, DeliveryTerms terms, boolean isInSrgb) {
        int first = block.first();
        block.set(first, ORIENTATION, 1);
        int exif = block.value(first, TiffDirectory.EXIF);
        block.set(exif, WIDTH, size.width());
        block.set(exif, HEIGHT, size.height());
        if (isInSrgb) {
            block.set(exif, COLOUR_SPACE, SRGB);
            block.setShortText(block.value(exif, TiffDirectory.INTEROPERABILITY), INDEX, SRGB_INDEX);
        }
        block.dropThumbnail(first);
        if (!block.isWhole(first)) {
            return block.bytes();
        }
        TreeMap<Integer, byte[]> entries = block.entries(first);
        entries.keySet().removeAll(OF_PIXELS);
        if (!terms.place() && entries.remove(TiffDirectory.PLACE) != null) {
            block.wipe(block.value(first, TiffDirectory.PLACE));
        }
        return withLines(TiffDirectory.empty(block.order()), terms).appendedTo(block.bytes(), block.order(), entries);
    }
}
