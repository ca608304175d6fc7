package nexa.desktop.stage;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.TextAlignment;
import nexa.core.geometry.Point;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** What is said on the stage: how much of the photo is kept, what is waited for, and where the keys have moved the pointer. */
final class StageNotes {
    /** Keeps the words below the crop clear of its corner's handle. */
    private static final double BESIDE_HANDLE = 12;

    private static final double POINTER = 9;
    /** Room at both sides of what is said in place of a photo, which goes on in further lines. */
    private static final double BESIDE_WAITING = 24;

    private final Region stage;
    private final Label kept = Parts.label("", "stage-tag");
    private final Label waiting = Parts.label("", "quiet", "stage-waiting");
    private final Path pointer =
            new Path(new MoveTo(-POINTER, 0), new LineTo(POINTER, 0), new MoveTo(0, -POINTER), new LineTo(0, POINTER));

    StageNotes(Region stage) {
        this.stage = stage;
        kept.setMouseTransparent(true);
        kept.setVisible(false);
        waiting.setWrapText(true);
        waiting.setTextAlignment(TextAlignment.CENTER);
        pointer.getStyleClass().add("key-pointer");
        pointer.setManaged(false);
        pointer.setMouseTransparent(true);
        pointer.setVisible(false);
    }

    List<Node> nodes() {
        return List.of(kept, waiting, pointer);
    }

    /** Says what is waited for, in place of a photo. */
    void say(String why) {
        kept.setVisible(false);
        waiting.setText(why);
        waiting.setVisible(true);
    }

    /** Says below the crop what share of the photo it keeps. */
    void showKept(double share, Rectangle frame) {
        waiting.setVisible(false);
        kept.setText(Words.get("easel.kept", Words.number(100 * share, 0)));
        kept.autosize();
        double below = Math.min(frame.getY() + frame.getHeight(), stage.getHeight() - kept.getHeight() - 2);
        kept.relocate(Math.round(frame.getX() + BESIDE_HANDLE), Math.round(below));
    }

    void setKeptShown(boolean shown) {
        kept.setVisible(shown);
    }

    void showPointer(Optional<Point> at) {
        pointer.setVisible(at.isPresent());
        at.ifPresent(point -> pointer.relocate(point.x() - POINTER, point.y() - POINTER));
    }

    void layOut() {
        double width = Math.min(waiting.prefWidth(-1), Math.max(0, stage.getWidth() - 2 * BESIDE_WAITING));
        waiting.resize(width, waiting.prefHeight(width));
        waiting.relocate(
                Math.round((stage.getWidth() - waiting.getWidth()) / 2),
                Math.round((stage.getHeight() - waiting.getHeight()) / 2));
    }
}
