package nexa.imaging.read;

/** How large a picture of a photo is asked for. The coarser ones come first: they are seen first. */
public enum PictureLevel {
    /** The small picture that the camera put into the photo, if it did; see {@link PictureLibrary#embedded}. */
    EMBEDDED(160),
    /** For the sheet and the proof strip. */
    THUMBNAIL(400),
    /** For the easel at fit. */
    PREVIEW(2048),
    /** Every pixel. */
    FULL(Integer.MAX_VALUE);

    private final int longSide;

    PictureLevel(int longSide) {
        this.longSide = longSide;
    }

    /** The most pixels along the long side. */
    public int longSide() {
        return longSide;
    }
}
