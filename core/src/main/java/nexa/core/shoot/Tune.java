package nexa.core.shoot;

import nexa.core.geometry.Require;

/**
 * How a follower was nudged away from what its lead gives.
 *
 * @param dx to the right on screen, as a share of the crop's width
 * @param dy downwards on screen, as a share of the crop's height
 * @param zoom above 1 tighter, below 1 looser
 */
public record Tune(double dx, double dy, double zoom) {
    public static final Tune NONE = new Tune(0, 0, 1);

    /** @throws IllegalArgumentException for NaN, infinities and a zoom of 0 or less */
    public Tune {
        Require.finite("tune dx", dx);
        Require.finite("tune dy", dy);
        Require.positive("tune zoom", zoom);
    }
}
