package nexa.imaging.pictures;

import java.util.stream.Stream;
import nexa.imaging.fill.EdgeFill;

/** How large a picture of a photo is asked for. The coarser ones come first: they are seen first. */
public enum PictureLevel {
    /** The small picture that the camera put into the photo, if it did; see {@link PictureLibrary#embedded}. */
    EMBEDDED(160),
    /** For the sheet and the proof strip; what lies beyond a photo is solved by it. */
    THUMBNAIL(EdgeFill.SMALL),
    /** For prints on a dense screen. */
    PRINT(1024),
    /** For the easel at fit. */
    PREVIEW(2048),
    /** Every pixel. */
    FULL(Integer.MAX_VALUE);

    /** Up to this, enlarging is not seen in something small. */
    private static final double BLURS = 1.25;

    private final int longSide;

    PictureLevel(int longSide) {
        this.longSide = longSide;
    }

    /**
     * The coarsest of what is read of a whole photo that looks sharp.
     *
     * @param pixels along the photo's long side as it is shown
     */
    public static PictureLevel forPixels(double pixels) {
        return Stream.of(THUMBNAIL, PRINT, PREVIEW)
                .filter(level -> pixels <= BLURS * level.longSide)
                .findFirst()
                .orElse(FULL);
    }

    /** The most pixels along the long side. */
    public int longSide() {
        return longSide;
    }
}
