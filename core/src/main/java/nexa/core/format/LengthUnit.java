package nexa.core.format;

/** A unit of length on paper. */
public enum LengthUnit {
    CM(2.54),
    MM(25.4),
    IN(1);

    private final double perInch;

    LengthUnit(double perInch) {
        this.perInch = perInch;
    }

    /** How many of it make an inch. */
    public double perInch() {
        return perInch;
    }
}
