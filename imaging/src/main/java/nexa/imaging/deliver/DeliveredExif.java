package nexa.imaging.deliver;

import java.nio.ByteOrder;
import java.util.Optional;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.PixelSize;
import nexa.imaging.decode.TiffDirectory;
import nexa.imaging.decode.TiffWriting;

/**
 * The EXIF block of a delivered file. It is built anew: of what may leave of the photo's own ({@link LeavingTags}), of what is
 * true of the file (upright, its dimensions, its colours), and of the photographer's lines, which are in it whatever the
 * photo's own block is like.
 */
final class DeliveredExif {
    private static final int ORIENTATION = 0x0112;
    private static final int WIDTH = 0xA002;
    private static final int HEIGHT = 0xA003;
    private static final int COLOUR_SPACE = 0xA001;
    private static final int SRGB = 1;
    private static final int INDEX = 0x0001;
    private static final String SRGB_INDEX = "R98";

    private DeliveredExif() {}

    /**
     * The block for a delivered file; empty where there is nothing to say.
     *
     * @param source the photo's own, beginning with its TIFF header; not changed
     * @param isInSrgb whether the file's colours were turned into sRGB, which the block has to say too
     */
    static Optional<byte[]> of(Optional<byte[]> source, PixelSize size, DeliveryTerms terms, boolean isInSrgb) {
        Optional<byte[]> own = source.filter(bytes -> terms.cameraData());
        boolean hasLines = !terms.copyright().isEmpty() || !terms.creator().isEmpty();
        if (own.isEmpty() && !hasLines) {
            return Optional.empty();
        }
        // A block that is none says nothing.
        TiffDirectory said = own.map(bytes -> TiffDirectory.read(bytes)
                        .map(told -> ofFile(LeavingTags.of(told.apart(), terms), size, isInSrgb))
                        .orElseGet(() -> ofFile(empty(), size, isInSrgb)))
                .orElseGet(DeliveredExif::empty);
        return Optional.of(TiffWriting.block(withLines(said, terms)));
    }

    private static TiffDirectory empty() {
        return TiffDirectory.empty(ByteOrder.LITTLE_ENDIAN);
    }

    private static TiffDirectory ofFile(TiffDirectory leaving, PixelSize size, boolean isInSrgb) {
        TiffDirectory exif = leaving.below(TiffDirectory.EXIF)
                .orElseGet(() -> TiffDirectory.empty(leaving.order()))
                .withLong(WIDTH, size.width())
                .withLong(HEIGHT, size.height());
        if (isInSrgb) {
            TiffDirectory own = exif.withShort(COLOUR_SPACE, SRGB);
            exif = exif.below(TiffDirectory.INTEROPERABILITY)
                    .map(colours -> own.withBelow(TiffDirectory.INTEROPERABILITY, colours.withText(INDEX, SRGB_INDEX)))
                    .orElse(own);
        }
        return leaving.withShort(ORIENTATION, 1).withBelow(TiffDirectory.EXIF, exif);
    }

    private static TiffDirectory withLines(TiffDirectory directory, DeliveryTerms terms) {
        TiffDirectory lined = directory;
        lined = terms.copyright().isEmpty() ? lined : lined.withText(LeavingTags.COPYRIGHT, terms.copyright());
        return terms.creator().isEmpty() ? lined : lined.withText(LeavingTags.CREATOR, terms.creator());
    }

    /** A whole TIFF that says of its photo what a block does. */
    static byte[] joined(byte[] tiff, Optional<byte[]> block) {
        return block.flatMap(TiffDirectory::read)
                .map(said -> TiffWriting.joined(said, tiff))
                .orElse(tiff);
    }

    /** A block and whether the maker's notes are still in it, if they were. */
    record Fitted(byte[] block, boolean isWhole) {}

    /**
     * A block with at most so many bytes: where it has more, the maker's notes stay behind.
     *
     * @throws IllegalStateException if what may leave is longer than that
     */
    static Fitted fitted(byte[] block, int most) {
        if (block.length <= most) {
            return new Fitted(block, true);
        }
        byte[] fitted = TiffWriting.block(TiffDirectory.read(block)
                .orElseThrow(() -> new IllegalStateException("a block that was built cannot be read"))
                .withoutInExif(TiffDirectory.MAKER_NOTE));
        if (fitted.length > most) {
            throw new IllegalStateException("an EXIF block of " + fitted.length + " bytes");
        }
        return new Fitted(fitted, false);
    }
}
