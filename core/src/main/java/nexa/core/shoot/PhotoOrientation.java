package nexa.core.shoot;

/**
 * How a photo's pixels are turned and mirrored, for every format alike: they are other pixels then, and all that is said of places
 * in the photo is said of those.
 *
 * @param turn before anything else
 * @param isMirrored left to right, after the quarter turn
 */
public record PhotoOrientation(QuarterTurn turn, boolean isMirrored) {
    /** As the photo is stored upright. */
    public static final PhotoOrientation UPRIGHT = new PhotoOrientation(QuarterTurn.NONE, false);

    /** The same, seen a quarter further clockwise. */
    PhotoOrientation turnedRight() {
        // The quarter turn comes before mirroring, and a picture that is mirrored turns the other way.
        int way = isMirrored ? 270 : 90;
        return new PhotoOrientation(QuarterTurn.of((turn.degrees() + way) % 360), isMirrored);
    }

    /** The same, seen in a mirror that stands beside it. */
    PhotoOrientation mirrored() {
        return new PhotoOrientation(turn, !isMirrored);
    }
}
