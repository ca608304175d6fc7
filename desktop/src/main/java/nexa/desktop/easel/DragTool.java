package nexa.desktop.easel;

import java.util.Optional;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import nexa.core.geometry.Point;

/**
 * Something that is drawn on the photo once, from one place to another. Where two clicks are taken as well as a drag, a
 * press that does not move begins and the next one ends.
 */
final class DragTool {
    private static final double STILL = 4;

    /** The keys held while something is drawn. */
    record Held(boolean control, boolean alt) {
        static Held with(MouseEvent event) {
            return new Held(event.isControlDown(), event.isAltDown());
        }

        static Held with(KeyEvent event) {
            return new Held(event.isControlDown(), event.isAltDown());
        }
    }

    /** What is drawn; places are on the stage. */
    interface Use {
        void during(Point from, Point to, Held held);

        void done(Point from, Point to, Held held);
    }

    private final Use use;
    private final boolean takesTwoClicks;
    private Optional<Point> start = Optional.empty();
    private boolean isSecondClick;

    DragTool(Use use, boolean takesTwoClicks) {
        this.use = use;
        this.takesTwoClicks = takesTwoClicks;
    }

    void pressed(Point at) {
        isSecondClick = start.isPresent();
        if (start.isEmpty()) {
            start = Optional.of(at);
        }
    }

    /** Whether it is being drawn. */
    boolean hasBegun() {
        return start.isPresent();
    }

    void moved(Point to, Held held) {
        start.ifPresent(from -> use.during(from, to, held));
    }

    /** Whether it is done. */
    boolean released(Point at, Held held) {
        if (start.isEmpty()) {
            return false;
        }
        Point from = start.get();
        if (takesTwoClicks && !isSecondClick && from.distance(at) < STILL) {
            return false;
        }
        start = Optional.empty();
        use.done(from, at, held);
        return true;
    }
}
