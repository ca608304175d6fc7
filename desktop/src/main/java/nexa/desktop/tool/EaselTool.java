package nexa.desktop.tool;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;
import nexa.core.geometry.Point;
import nexa.core.series.PhotoCrop;

/** A tool of the easel: what it lays over the stage, what it shows of the crop worked on, what it offers, and its keys. */
public interface EaselTool {
    /** What it lays over the stage; hidden while there is nothing to say. */
    default List<Node> overStage() {
        return List.of();
    }

    /** Shows the crop worked on, as it is or as a gesture makes it. */
    default void show(PhotoCrop crop) {}

    /** The hand has let go of the crop shown last, or another is worked on. */
    default void settle() {}

    /** There is no crop to work on. */
    default void clear() {}

    /** Withdraws what it looks for or offers: another tool is taken, or another crop is worked on. */
    default void withdraw() {}

    /** Puts all away that it has laid over the photo. */
    default void putAway() {
        withdraw();
    }

    /**
     * A key was pressed that no control needs for itself, without Ctrl, Alt or Meta.
     *
     * @return whether it was meant for this tool and has been dealt with
     */
    default boolean pressed(KeyEvent key) {
        return false;
    }

    /**
     * An arrow moves what has the focus on the stage.
     *
     * @param part what that stands for
     * @param pixels of the photo or the result, right and down positive
     * @return whether it is a part of this tool
     */
    default boolean moves(Object part, Point pixels) {
        return false;
    }

    /** Whether a key that was let go was meant for this tool. */
    default boolean released(KeyEvent key) {
        return false;
    }
}
