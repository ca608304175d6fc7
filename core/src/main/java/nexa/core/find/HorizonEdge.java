package nexa.core.find;

import nexa.core.geometry.Segment;

/**
 * A horizon seen as an edge: in strips across the picture, how the edge lies to one straight line. Lengths are in pixels of a
 * picture whose long side is 1600.
 *
 * @param height as a share of the picture's height, from the top
 * @param cover the share of the strips in which the edge is on the line, 0 … 1
 * @param span the share of the width from the first such strip to the last
 * @param purity the share of the strips that have an edge near the line in which it is on it
 * @param continuity the share of the strips on the line whose neighbour is on it too
 * @param rms by how much the edge leaves the line
 * @param error the standard error of the lean, in degrees
 * @param sag by how much it is bent, at its end
 * @param halves by how many degrees its halves differ
 * @param thirds by how many degrees a third of it differs at the most
 * @param step how much the colours above and below differ, against how much that difference varies
 * @param contrast of the colours just above and just below, in levels
 * @param fall how much brighter it is above than below, in levels
 * @param calmAbove the lower quartile of the texture just above it, in levels a pixel
 * @param calmBelow the same below
 * @param textureAbove the median of the texture just above
 * @param textureBelow the same below
 */
public record HorizonEdge(
        Segment segment,
        double lean,
        double height,
        double cover,
        double span,
        double purity,
        double continuity,
        double rms,
        double error,
        double sag,
        double halves,
        double thirds,
        double step,
        double contrast,
        double fall,
        double calmAbove,
        double calmBelow,
        double textureAbove,
        double textureBelow)
        implements Horizon {
    private static final double MOST_LEAN = 5.5;
    /** Hardly a photo leans by more. */
    private static final double FAR = 9;

    private static final double LEAST_CONTRAST = 5;
    /** The sky is brighter than the land; what is darker above may be snow, or the edge of a table. */
    private static final double LEAST_FALL = -3;

    private static final double EDGE = 0.06;

    @Override
    public double strength() {
        return cover * purity;
    }

    @Override
    public boolean isClear() {
        return isOneStraightEdge(MOST_LEAN)
                && hasCalmSide()
                && fall >= LEAST_FALL
                && (isPlain() || hasGaps() || isUnderSky());
    }

    private boolean isOneStraightEdge(double mostLean) {
        return Math.abs(lean) <= mostLean
                && height >= EDGE
                && height <= 1 - EDGE
                && isAStep()
                && halves <= 0.3
                && thirds <= 0.4
                && sag <= 2;
    }

    /** What only gets darker little by little, as a sky does, is no edge; a faint one may come from how the file was stored. */
    private boolean isAStep() {
        return step >= 0.8 && contrast >= LEAST_CONTRAST;
    }

    /** Sky or water on one side: much smoother than the other. */
    private boolean hasCalmSide() {
        double calm = Math.min(calmAbove, calmBelow);
        double busy = Math.max(calmAbove, calmBelow);
        return calm <= 1.2 || calm <= (step >= 4.5 ? 0.55 : 0.33) * busy;
    }

    private boolean isPlain() {
        return cover >= 0.55 && purity >= 0.75 && continuity >= 0.7 && rms <= 1.3 && error <= 0.04;
    }

    /** Something stands before it here and there. */
    private boolean hasGaps() {
        return cover >= 0.4
                && span >= 0.7
                && purity >= 0.55
                && continuity >= 0.75
                && rms <= 0.75
                && error <= 0.03
                && halves <= 0.25
                && step >= 2;
    }

    private boolean isUnderSky() {
        return cover >= 0.35
                && span >= 0.7
                && purity >= 0.4
                && continuity >= 0.7
                && rms <= 0.75
                && error <= 0.03
                && halves <= 0.2
                && step >= 3
                && textureAbove <= 0.3 * textureBelow;
    }

    @Override
    public boolean isWorthALook() {
        boolean isStraight = cover >= 0.4 && purity >= 0.57 && span >= 0.6 && halves <= 0.6 && thirds <= 0.45;
        boolean isAnEdge = height >= EDGE && height <= 1 - EDGE && isAStep() && rms <= 2 && error <= 0.1;
        return isStraight && isAnEdge && Math.abs(lean) <= (isOneStraightEdge(FAR) && hasCalmSide() ? FAR : MOST_LEAN);
    }
}
