package nexa.desktop.tool;

import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import nexa.core.geometry.Point;

/** Something that is drawn on the photo, from one place to another; places are on the stage. */
public interface Drawing {
    /** The keys held while something is drawn. */
    record Held(boolean control, boolean alt) {
        static Held with(MouseEvent event) {
            return new Held(event.isControlDown(), event.isAltDown());
        }

        static Held with(KeyEvent event) {
            return new Held(event.isControlDown(), event.isAltDown());
        }
    }

    void during(Point from, Point to, Held held);

    void done(Point from, Point to, Held held);

    /** Whether two clicks are taken as well as a drag: a press that does not move begins, and the next one ends. */
    default boolean takesTwoClicks() {
        return false;
    }

    /** Whether it stays in the hand when something has been drawn. */
    default boolean staysInHand() {
        return false;
    }

    /** It was put down. */
    default void putDown() {}
}
