package nexa.imaging.render;

/** Lanczos' kernel of three lobes: a sinc under the middle lobe of a wider one (C. E. Duchon, 1979). */
final class Lanczos {
    /** How far it reaches to each side. */
    static final int LOBES = 3;

    private Lanczos() {}

    /** What weighs a sample so far from the place that is wanted, in samples; 1 at the place itself. */
    static double weight(double off) {
        return Math.abs(off) >= LOBES ? 0 : sinc(off) * sinc(off / LOBES);
    }

    /** sin πx / πx. */
    static double sinc(double x) {
        return x == 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
    }

    /**
     * Weights that show an even slope so much further, changed as little as can be. Where Lanczos' kernel is looked at only here and
     * there, it shows slopes a little before or behind where they lie.
     */
    static double[] shifted(double[] weights, double shift) {
        // Σ (k − middle)² over all k.
        double spread = weights.length * (weights.length * (double) weights.length - 1) / 12;
        double middle = (weights.length - 1) / 2.0;
        double[] shifted = new double[weights.length];
        for (int k = 0; k < weights.length; k++) {
            shifted[k] = weights[k] + shift * (k - middle) / spread;
        }
        return shifted;
    }
}
