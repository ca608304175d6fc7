package nexa.desktop.easel;

/** When the guide is seen. */
enum GuideShow {
    STEADY,
    MOVING,
    OFF;

    GuideShow next() {
        return values()[(ordinal() + 1) % values().length];
    }
}
