package nexa.desktop.stage;

import javafx.scene.Cursor;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import nexa.core.geometry.Point;
import nexa.core.message.EnumName;
import nexa.desktop.parts.Words;

/** A handle on the stage: a square that is seen, in the middle of a larger one that is taken hold of. */
final class Grip extends StackPane {
    private static final double SIZE = 24;

    /**
     * A handle of something.
     *
     * @param part what it moves, which is its user data
     * @param id before the part's name
     * @param words the prefix of the key of what it is called
     */
    static Grip of(Enum<?> part, String id, String words, Cursor cursor) {
        return new Grip(part, id + EnumName.of(part), Words.of(words, part), cursor);
    }

    /**
     * A handle of something.
     *
     * @param part what it moves, which is its user data
     * @param name what it is called
     */
    Grip(Object part, String id, String name, Cursor cursor) {
        Region square = new Region();
        square.getStyleClass().add("handle-square");
        getChildren().add(square);
        getStyleClass().add("handle");
        setUserData(part);
        setId(id);
        setPrefSize(SIZE, SIZE);
        setFocusTraversable(true);
        setAccessibleText(name);
        setCursor(cursor);
    }

    /** Lays it about a place of the stage. */
    void layAbout(Point place) {
        resizeRelocate(Math.round(place.x() - SIZE / 2), Math.round(place.y() - SIZE / 2), SIZE, SIZE);
    }
}
