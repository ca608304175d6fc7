package nexa.core.find;

import nexa.core.geometry.Segment;

/**
 * A far shore seen by its reflection: the line about which what is above is the same as what is below, upside down. Lengths are
 * in pixels of a picture whose long side is 1600.
 *
 * @param height as a share of the picture's height, from the top
 * @param cover the share of the strips across the picture whose own such line is on it, 0 … 1
 * @param span the share of the width from the first such strip to the last
 * @param purity the share of the strips with a reflection near the line in which it is on it
 * @param error the standard error of the lean, in degrees
 * @param halves by how many degrees its halves differ
 * @param likeness the median correlation of above and below, up to 1
 */
public record Reflection(
        Segment segment,
        double lean,
        double height,
        double cover,
        double span,
        double purity,
        double error,
        double halves,
        double likeness)
        implements Horizon {
    private static final double MOST_LEAN = 5.5;
    private static final double EDGE = 0.06;

    @Override
    public double strength() {
        return cover * purity;
    }

    @Override
    public boolean isClear() {
        return isWorthALook() && cover >= 0.4 && span >= 0.6 && purity >= 0.6 && error <= 0.05 && halves <= 0.3;
    }

    @Override
    public boolean isWorthALook() {
        return Math.abs(lean) <= MOST_LEAN
                && height >= EDGE
                && height <= 1 - EDGE
                && cover >= 0.35
                && span >= 0.5
                && likeness >= 0.7;
    }
}
