package nexa.imaging.find;

/** What a network's answer says of how likely something is. */
final class Likelihood {
    private Likelihood() {}

    /** The logistic function, 0 … 1. */
    static double of(double logit) {
        return 1 / (1 + Math.exp(-logit));
    }
}
