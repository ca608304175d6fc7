package nexa.desktop.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Cursor;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.shape.Plane;
import nexa.desktop.parts.Words;

/** Handles at the ends of the lines by which a photo's perspective was put right. */
public final class LineEnds extends Pane {
    /** An end of one of the lines, by its place among them. */
    public record End(int line, boolean isFirst) {
        /** Where it lies on a line. */
        public Point of(Segment segment) {
            return isFirst ? segment.from() : segment.to();
        }

        /** A line with this end elsewhere. */
        public Segment moved(Segment segment, Point to) {
            return isFirst ? new Segment(to, segment.to()) : new Segment(segment.from(), to);
        }
    }

    private final List<Grip> grips = new ArrayList<>();
    private Consumer<StackPane> made = grip -> {};
    private List<Segment> lines = List.of();
    private Optional<Projection> projection = Optional.empty();
    private Optional<Plane> plane = Optional.empty();

    LineEnds() {
        setPickOnBounds(false);
    }

    /** Hears of every handle that is made; each has its {@link End} as user data. */
    void onMade(Consumer<StackPane> listener) {
        made = listener;
    }

    /** Shows the handles of lines in the photo's pixels; none for no lines. */
    void show(List<Segment> newLines) {
        lines = List.copyOf(newLines);
        while (grips.size() < 2 * lines.size()) {
            int line = grips.size() / 2;
            boolean isFirst = grips.size() % 2 == 0;
            Grip grip = new Grip(
                    new End(line, isFirst),
                    "line-" + (line + 1) + (isFirst ? "-first" : "-second"),
                    Words.get(isFirst ? "line.first" : "line.second", line + 1),
                    Cursor.CROSSHAIR);
            grips.add(grip);
            getChildren().add(grip);
            made.accept(grip);
        }
        for (int i = 0; i < grips.size(); i++) {
            grips.get(i).setVisible(i < 2 * lines.size());
        }
        lay();
    }

    void lay(Projection newProjection, Plane newPlane) {
        projection = Optional.of(newProjection);
        plane = Optional.of(newPlane);
        lay();
    }

    private void lay() {
        if (projection.isPresent()) {
            for (int i = 0; i < 2 * lines.size(); i++) {
                Point end = ((End) grips.get(i).getUserData()).of(lines.get(i / 2));
                grips.get(i)
                        .layAbout(projection.get().toScreen(plane.orElseThrow().toPlane(end)));
            }
        }
    }
}
