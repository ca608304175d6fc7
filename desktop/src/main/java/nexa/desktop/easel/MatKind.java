package nexa.desktop.easel;

/** The veil over what the crop leaves out. */
enum MatKind {
    PAPER,
    GREY,
    DARK,
    NONE;

    MatKind next() {
        return values()[(ordinal() + 1) % values().length];
    }
}
