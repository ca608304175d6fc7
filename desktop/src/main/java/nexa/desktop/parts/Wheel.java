package nexa.desktop.parts;

import javafx.scene.input.ScrollEvent;

/** The mouse's wheel. */
public final class Wheel {
    /** What JavaFX tells of a notch, in pixels. */
    private static final double NOTCH = 40;

    private Wheel() {}

    /** How many notches it was turned up, or by a negative number down. */
    public static double notches(ScrollEvent event) {
        return event.getDeltaY() / NOTCH;
    }
}
