package nexa.desktop.desk;

/** When the guide is seen. */
public enum GuideShow {
    STEADY,
    MOVING,
    OFF;

    public GuideShow next() {
        return values()[(ordinal() + 1) % values().length];
    }
}
