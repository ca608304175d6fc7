package nexa.desktop.easel;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;

/** What is drawn on the photo itself and goes with it: traced lines, the subject, a crop or circle being drawn. */
final class PhotoLayer extends Pane {
    private static final double DOT = 3;

    /** The subject in the photo's pixels; a radius of 0 is none. */
    record Spot(Point at, double radius) {}

    private final Path halo = new Path();
    private final Path lines = new Path();
    private final Circle ringHalo = new Circle();
    private final Circle ring = new Circle();
    private final Circle dotHalo = new Circle(DOT + 1.5);
    private final Circle dot = new Circle(DOT);
    private List<Segment> segments = List.of();
    private Optional<Spot> spot = Optional.empty();
    private Optional<Projection> projection = Optional.empty();

    PhotoLayer() {
        setManaged(false);
        setMouseTransparent(true);
        halo.getStyleClass().add("trace-halo");
        lines.getStyleClass().add("trace-line");
        ringHalo.getStyleClass().add("subject-halo");
        ring.getStyleClass().add("subject-ring");
        dotHalo.getStyleClass().add("subject-dot-halo");
        dot.getStyleClass().add("subject-dot");
        getChildren().addAll(halo, lines, ringHalo, ring, dotHalo, dot);
        show(Optional.empty());
    }

    /** Lines in the photo's pixels. */
    void show(List<Segment> newSegments) {
        segments = newSegments;
        projection.ifPresent(this::lay);
    }

    void show(Optional<Spot> newSpot) {
        spot = newSpot;
        projection.ifPresent(this::lay);
        boolean hasRing = spot.map(shown -> shown.radius() > 0).orElse(false);
        ring.setVisible(hasRing);
        ringHalo.setVisible(hasRing);
        dot.setVisible(spot.isPresent());
        dotHalo.setVisible(spot.isPresent());
    }

    void lay(Projection newProjection) {
        projection = Optional.of(newProjection);
        halo.getElements().setAll(elements(newProjection));
        lines.getElements().setAll(elements(newProjection));
        spot.ifPresent(shown -> {
            Point at = newProjection.toScreen(shown.at());
            for (Circle circle : List.of(ringHalo, ring, dotHalo, dot)) {
                circle.setCenterX(at.x());
                circle.setCenterY(at.y());
            }
            ring.setRadius(shown.radius() * newProjection.scale());
            ringHalo.setRadius(shown.radius() * newProjection.scale());
        });
    }

    private List<PathElement> elements(Projection onto) {
        List<PathElement> elements = new ArrayList<>();
        for (Segment segment : segments) {
            Point from = onto.toScreen(segment.from());
            Point to = onto.toScreen(segment.to());
            elements.add(new MoveTo(from.x(), from.y()));
            elements.add(new LineTo(to.x(), to.y()));
        }
        return elements;
    }
}
