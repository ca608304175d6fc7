package nexa.core.shoot;

import nexa.core.geometry.Require;

/**
 * How a follower was nudged away from what its lead gives.
 *
 * @param dx to the right on screen, as a share of the crop's width, at most {@link #FARTHEST} either way
 * @param dy downwards on screen, as a share of the crop's height, likewise
 * @param zoom above 1 tighter, below 1 looser, from 1 / {@link #FARTHEST} to {@link #FARTHEST}
 */
public record Tune(double dx, double dy, double zoom) {
    /** No photo has so many pixels a side that more could be meant; and what is computed from less stays finite. */
    public static final double FARTHEST = 1e6;

    public static final Tune NONE = new Tune(0, 0, 1);

    /** @throws IllegalArgumentException for NaN and what is out of range */
    public Tune {
        Require.within("tuneDx", dx, -FARTHEST, FARTHEST);
        Require.within("tuneDy", dy, -FARTHEST, FARTHEST);
        Require.within("tuneZoom", zoom, 1 / FARTHEST, FARTHEST);
    }
}
