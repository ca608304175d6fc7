package nexa.core.lens;

/** Focal lengths in millimetres. */
final class Focal {
    static final double LONGEST = 10_000;

    private Focal() {}

    static void requireLength(double focal) {
        if (!(focal > 0 && focal <= LONGEST)) {
            throw new IllegalArgumentException("a focal length lies between 0 and " + LONGEST + " mm: " + focal);
        }
    }
}
