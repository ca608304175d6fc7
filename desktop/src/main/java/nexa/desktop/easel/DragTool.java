package nexa.desktop.easel;

import java.util.Optional;
import javafx.scene.input.MouseEvent;
import nexa.core.geometry.Point;

/**
 * Something that is drawn on the photo once, from one place to another. Where two clicks are taken as well as a drag, a
 * press that does not move begins and the next one ends.
 */
final class DragTool {
    private static final double STILL = 4;

    /** What is drawn; places are in the room. */
    interface Use {
        void during(Point from, Point to, MouseEvent event);

        void done(Point from, Point to, MouseEvent event);
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

    void moved(Point to, MouseEvent event) {
        start.ifPresent(from -> use.during(from, to, event));
    }

    /** Whether it is done. */
    boolean released(Point at, MouseEvent event) {
        if (start.isEmpty()) {
            return false;
        }
        Point from = start.get();
        if (takesTwoClicks && !isSecondClick && from.distance(at) < STILL) {
            return false;
        }
        start = Optional.empty();
        use.done(from, at, event);
        return true;
    }
}
