package nexa.core.geometry;

/** Which way a photo or a crop lies. A square counts as wide. */
public enum Orientation {
    WIDE,
    TALL;

    public Orientation other() {
        return this == WIDE ? TALL : WIDE;
    }

    /** A ratio of width over height, turned so that it lies this way. */
    public double turn(double ratio) {
        return this == WIDE ? Math.max(ratio, 1 / ratio) : Math.min(ratio, 1 / ratio);
    }
}
