package nexa.desktop.stage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.geometry.Rectangle2D;
import javafx.geometry.VPos;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import javafx.scene.shape.Rectangle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.shape.PhotoSpace;
import nexa.core.shape.Plane;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;

/** What is drawn on the photo itself and goes with it: traced lines, the subject, a crop or circle being drawn. */
public final class PhotoLayer extends Pane {
    private static final double DOT = 3;
    /** What is clear of a line is at least so far from it, in screen pixels. */
    private static final double CLEAR = 8;

    private static final List<Pos> PLACES =
            List.of(Pos.BOTTOM_CENTER, Pos.TOP_CENTER, Pos.BOTTOM_LEFT, Pos.BOTTOM_RIGHT, Pos.TOP_LEFT, Pos.TOP_RIGHT);

    private static final PseudoClass PROPOSED = PseudoClass.getPseudoClass("proposed");

    /**
     * The subject in the photo's pixels.
     *
     * @param radius 0 is none
     * @param box how far it reaches from its point, upright on screen, if that is known; drawn in place of the radius
     * @param eyes from one of its eyes to the other, if it has any
     */
    public record Spot(Point at, double radius, Optional<Bounds> box, Optional<Segment> eyes) {
        /** A point, with a radius. */
        public Spot(Point at, double radius) {
            this(at, radius, Optional.empty(), Optional.empty());
        }

        /** A photo's, if it has a subject. */
        public static Optional<Spot> of(Photo photo) {
            return photo.subject().map(subject -> of(subject, photo));
        }

        /** A subject's of a photo. */
        public static Spot of(Subject subject, Photo photo) {
            PhotoSpace space = photo.space();
            return new Spot(
                    space.inPhoto(subject.at()),
                    subject.radius().orElse(0) * photo.size().shortSide(),
                    subject.extent()
                            .map(any -> subject.box())
                            .map(box -> new Bounds(
                                    space.inPhoto(box.least().minus(subject.at())),
                                    space.inPhoto(box.most().minus(subject.at())))),
                    subject.eyes()
                            .map(eyes -> new Segment(
                                    space.inPhoto(subject.at().plus(eyes.one())),
                                    space.inPhoto(subject.at().plus(eyes.other())))));
        }
    }

    /** Where the plane of a photo lies on the stage. */
    private record Placed(Projection projection, Plane plane) {
        Point onStage(Point inPhoto) {
            return projection.toScreen(plane.toPlane(inPhoto));
        }

        double length(Point at, double inPhoto) {
            return inPhoto * plane.scaleAt(at) * projection.scale();
        }
    }

    private final Path halo = new Path();
    private final Path lines = new Path();
    private final Circle ringHalo = new Circle();
    private final Circle ring = new Circle();
    private final Rectangle boxHalo = new Rectangle();
    private final Rectangle box = new Rectangle();
    private final Circle dotHalo = new Circle(DOT + 1.5);
    private final Circle dot = new Circle(DOT);
    private final Line eyesHalo = new Line();
    private final Line eyes = new Line();
    private List<Segment> segments = List.of();
    private List<Segment> kept = List.of();
    private Optional<Spot> spot = Optional.empty();
    private Optional<Placed> placed = Optional.empty();
    private Runnable laid = () -> {};

    PhotoLayer() {
        setManaged(false);
        setMouseTransparent(true);
        halo.getStyleClass().add("trace-halo");
        lines.getStyleClass().add("trace-line");
        ringHalo.getStyleClass().add("subject-halo");
        ring.getStyleClass().add("subject-ring");
        dotHalo.getStyleClass().add("subject-dot-halo");
        dot.getStyleClass().add("subject-dot");
        boxHalo.getStyleClass().addAll("subject-halo", "subject-box");
        box.getStyleClass().addAll("subject-ring", "subject-box");
        eyesHalo.getStyleClass().add("subject-halo");
        eyes.getStyleClass().add("subject-ring");
        getChildren().addAll(halo, lines, ringHalo, ring, boxHalo, box, eyesHalo, eyes, dotHalo, dot);
        show(Optional.empty());
    }

    /** Lines in the photo's pixels, which were drawn or taken. */
    public void show(List<Segment> newSegments) {
        show(newSegments, false);
    }

    /** Lines in the photo's pixels, which are proposed: dashed. */
    public void propose(List<Segment> newSegments) {
        show(newSegments, true);
    }

    /** Lines in the photo's pixels that stay with it, whatever else is drawn. */
    void keep(List<Segment> lines) {
        kept = lines;
        placed.ifPresent(this::lay);
    }

    private List<Segment> all() {
        return Stream.concat(kept.stream(), segments.stream()).toList();
    }

    private void show(List<Segment> newSegments, boolean isProposed) {
        segments = newSegments;
        lines.pseudoClassStateChanged(PROPOSED, isProposed);
        halo.pseudoClassStateChanged(PROPOSED, isProposed);
        placed.ifPresent(this::lay);
    }

    public void show(Optional<Spot> newSpot) {
        spot = newSpot;
        placed.ifPresent(this::lay);
        boolean hasBox = spot.flatMap(Spot::box).isPresent();
        boolean hasEyes = spot.flatMap(Spot::eyes).isPresent();
        boolean hasRing = !hasBox && spot.map(shown -> shown.radius() > 0).orElse(false);
        ring.setVisible(hasRing);
        ringHalo.setVisible(hasRing);
        box.setVisible(hasBox);
        boxHalo.setVisible(hasBox);
        eyes.setVisible(hasEyes);
        eyesHalo.setVisible(hasEyes);
        dot.setVisible(spot.isPresent());
        dotHalo.setVisible(spot.isPresent());
    }

    /** Hears whenever what is drawn has come to lie elsewhere. */
    public void onLaid(Runnable listener) {
        laid = listener;
    }

    void lay(Projection projection, Plane plane) {
        Placed now = new Placed(projection, plane);
        placed = Optional.of(now);
        lay(now);
    }

    private void lay(Placed now) {
        halo.getElements().setAll(elements(now));
        lines.getElements().setAll(elements(now));
        spot.ifPresent(shown -> {
            Point at = now.onStage(shown.at());
            for (Circle circle : List.of(ringHalo, ring, dotHalo, dot)) {
                circle.setCenterX(at.x());
                circle.setCenterY(at.y());
            }
            ring.setRadius(now.length(shown.at(), shown.radius()));
            ringHalo.setRadius(now.length(shown.at(), shown.radius()));
            double scale = now.length(shown.at(), 1);
            shown.box()
                    .ifPresent(reach -> layBox(
                            at.plus(reach.least().times(scale)), reach.extent().times(scale)));
            shown.eyes().ifPresent(between -> layEyes(now.onStage(between.from()), now.onStage(between.to())));
        });
        laid.run();
    }

    private void layBox(Point least, Point extent) {
        for (Rectangle each : List.of(boxHalo, box)) {
            each.setX(least.x());
            each.setY(least.y());
            each.setWidth(extent.x());
            each.setHeight(extent.y());
        }
    }

    private void layEyes(Point from, Point to) {
        for (Line each : List.of(eyesHalo, eyes)) {
            each.setStartX(from.x());
            each.setStartY(from.y());
            each.setEndX(to.x());
            each.setEndY(to.y());
        }
    }

    /**
     * The place of the stage where the fewest of the lines lie under a bar: below if they leave that free.
     *
     * @param margin between the bar and the stage's edges
     */
    public Pos clearest(Region bar, double margin) {
        if (placed.isEmpty()) {
            return Pos.BOTTOM_CENTER;
        }
        Size stage = placed.get().projection().stage();
        double width = bar.prefWidth(-1);
        double height = bar.prefHeight(-1);
        return PLACES.stream()
                .min(Comparator.comparingLong(
                        place -> crossing(around(place, stage, width, height, margin), placed.get())))
                .orElseThrow();
    }

    private static Rectangle2D around(Pos place, Size stage, double width, double height, double margin) {
        double right = stage.width() - width - margin;
        double x = switch (place.getHpos()) {
            case LEFT -> margin;
            case RIGHT -> right;
            default -> (stage.width() - width) / 2;
        };
        double y = place.getVpos() == VPos.TOP ? margin : stage.height() - height - margin;
        return new Rectangle2D(x - CLEAR, y - CLEAR, width + 2 * CLEAR, height + 2 * CLEAR);
    }

    private long crossing(Rectangle2D bar, Placed onto) {
        return all().stream()
                .filter(segment -> {
                    Point from = onto.onStage(segment.from());
                    Point to = onto.onStage(segment.to());
                    double length = Math.max(1, from.distance(to));
                    for (double along = 0; along <= length; along += CLEAR) {
                        Point at = from.plus(to.minus(from).times(along / length));
                        if (bar.contains(at.x(), at.y())) {
                            return true;
                        }
                    }
                    return false;
                })
                .count();
    }

    private List<PathElement> elements(Placed onto) {
        List<PathElement> elements = new ArrayList<>();
        for (Segment segment : all()) {
            Point from = onto.onStage(segment.from());
            Point to = onto.onStage(segment.to());
            elements.add(new MoveTo(from.x(), from.y()));
            elements.add(new LineTo(to.x(), to.y()));
        }
        return elements;
    }
}
