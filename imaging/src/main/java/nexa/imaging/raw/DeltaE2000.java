package nexa.imaging.raw;

import nexa.imaging.render.ToneCurve;

/**
 * How different two colours look: ΔE00 (CIE 142-2001; G. Sharma, W. Wu, E. N. Dalal, "The CIEDE2000 color-difference formula",
 * Color Research and Application 30, 2005), with all weights 1. About 1 can just be seen side by side.
 */
final class DeltaE2000 {
    private static final double LIGHT = 216.0 / 24_389;
    private static final double SLOPE = 24_389.0 / 27;
    /** Linear sRGB to XYZ, by IEC 61966-2-1, a row each. */
    private static final double[][] TO_XYZ = {
        {0.4124, 0.3576, 0.1805}, {0.2126, 0.7152, 0.0722}, {0.0193, 0.1192, 0.9505}
    };

    private static final double[] WHITE = {0.9505, 1, 1.089};
    private static final double TWENTY_FIVE_TO_THE_SEVENTH = Math.pow(25, 7);

    private DeltaE2000() {}

    /** L*, a*, b* under D65 of red, green and blue as sRGB has them, each 0 … 1. */
    static double[] lab(double red, double green, double blue) {
        double[] light = {ToneCurve.lightOfSrgb(red), ToneCurve.lightOfSrgb(green), ToneCurve.lightOfSrgb(blue)};
        double[] f = new double[3];
        for (int i = 0; i < 3; i++) {
            double[] row = TO_XYZ[i];
            double t = (row[0] * light[0] + row[1] * light[1] + row[2] * light[2]) / WHITE[i];
            f[i] = t > LIGHT ? Math.cbrt(t) : (SLOPE * t + 16) / 116;
        }
        return new double[] {116 * f[1] - 16, 500 * (f[0] - f[1]), 200 * (f[1] - f[2])};
    }

    /** ΔE00 of two colours in L*, a*, b*. */
    static double between(double[] one, double[] other) {
        double chroma = (Math.hypot(one[1], one[2]) + Math.hypot(other[1], other[2])) / 2;
        double stretch = 1 + 0.5 * (1 - share(chroma));
        double a1 = one[1] * stretch;
        double a2 = other[1] * stretch;
        double c1 = Math.hypot(a1, one[2]);
        double c2 = Math.hypot(a2, other[2]);
        double h1 = hue(a1, one[2]);
        double h2 = hue(a2, other[2]);
        boolean hasGrey = c1 * c2 == 0;
        double turn = hasGrey ? 0 : h2 - h1 > 180 ? h2 - h1 - 360 : h2 - h1 < -180 ? h2 - h1 + 360 : h2 - h1;
        double hue = hasGrey ? h1 + h2 : middle(h1, h2);
        double dl = other[0] - one[0];
        double dc = c2 - c1;
        double dh = 2 * Math.sqrt(c1 * c2) * sin(turn / 2);
        double fromMiddle = Math.pow((one[0] + other[0]) / 2 - 50, 2);
        double c = (c1 + c2) / 2;
        double t = 1 - 0.17 * cos(hue - 30) + 0.24 * cos(2 * hue) + 0.32 * cos(3 * hue + 6) - 0.20 * cos(4 * hue - 63);
        double inL = dl / (1 + 0.015 * fromMiddle / Math.sqrt(20 + fromMiddle));
        double inC = dc / (1 + 0.045 * c);
        double inH = dh / (1 + 0.015 * c * t);
        double rotation = -2 * share(c) * sin(60 * Math.exp(-Math.pow((hue - 275) / 25, 2)));
        return Math.sqrt(inL * inL + inC * inC + inH * inH + rotation * inC * inH);
    }

    private static double share(double chroma) {
        double seventh = Math.pow(chroma, 7);
        return Math.sqrt(seventh / (seventh + TWENTY_FIVE_TO_THE_SEVENTH));
    }

    private static double hue(double a, double b) {
        double degrees = Math.toDegrees(Math.atan2(b, a));
        return degrees < 0 ? degrees + 360 : degrees;
    }

    private static double middle(double h1, double h2) {
        double sum = h1 + h2;
        if (Math.abs(h1 - h2) <= 180) {
            return sum / 2;
        }
        return sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
    }

    private static double sin(double degrees) {
        return Math.sin(Math.toRadians(degrees));
    }

    private static double cos(double degrees) {
        return Math.cos(Math.toRadians(degrees));
    }
}
