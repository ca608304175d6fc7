package nexa.desktop.tool.guide;

/** When the guide is seen. */
enum GuideShow {
    STEADY,
    MOVING,
    OFF;

    public GuideShow next() {
        return values()[(ordinal() + 1) % values().length];
    }
}
