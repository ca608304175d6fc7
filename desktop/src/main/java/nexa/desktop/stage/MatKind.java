package nexa.desktop.stage;

/** The veil over what the crop leaves out. */
public enum MatKind {
    PAPER,
    GREY,
    DARK,
    NONE;

    public MatKind next() {
        return values()[(ordinal() + 1) % values().length];
    }
}
