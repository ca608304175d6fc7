package nexa.core.format;

import nexa.core.geometry.Require;

/**
 * How many pixels an inch a print needs to look sharp from a distance: one arc minute a pixel, which is what a good eye
 * resolves, so 1 / (2 d tan ½′) with the distance d in inches.
 */
public final class ViewingDistance {
    private static final double HALF_ARC_MINUTE = Math.toRadians(1 / 120.0);
    private static final double CM_PER_INCH = 2.54;

    /** What a print is for, and how far off it is looked at. */
    public enum Use {
        CARD(30),
        MAGAZINE(40),
        POSTER(150),
        BANNER(1000);

        private final double centimetres;

        Use(double centimetres) {
            this.centimetres = centimetres;
        }

        /** How far off it is usually looked at, in centimetres. */
        public double centimetres() {
            return centimetres;
        }
    }

    private ViewingDistance() {}

    /** The pixels an inch needed at a distance in centimetres. */
    public static double neededPpi(double centimetres) {
        double inches = Require.positive("viewingDistance", centimetres) / CM_PER_INCH;
        return 1 / (2 * inches * Math.tan(HALF_ARC_MINUTE));
    }

    /** The distance in centimetres from which on so many pixels an inch look sharp. */
    public static double sharpFrom(double ppi) {
        return CM_PER_INCH / (2 * Require.positive("ppi", ppi) * Math.tan(HALF_ARC_MINUTE));
    }
}
