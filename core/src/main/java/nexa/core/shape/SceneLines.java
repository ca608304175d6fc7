package nexa.core.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;

/**
 * Lines along what is upright and what is level in the scene, as fractions of the photo's width and height.
 *
 * @param uprights in the order they were drawn
 * @param levels likewise
 */
public record SceneLines(List<Segment> uprights, List<Segment> levels) {
    public static final SceneLines NONE = new SceneLines(List.of(), List.of());

    /** @throws nexa.core.message.Rejected for ends outside 0 … 1 */
    public SceneLines {
        uprights = List.copyOf(uprights);
        levels = List.copyOf(levels);
        Stream.concat(uprights.stream(), levels.stream())
                .flatMap(line -> Stream.of(line.from(), line.to()))
                .forEach(end -> {
                    Require.within("lineEndAcross", end.x(), 0, 1);
                    Require.within("lineEndDown", end.y(), 0, 1);
                });
    }

    /**
     * Lines of a photo, sorted by what they are nearer to on screen.
     *
     * @param lines in the photo's pixels
     * @param angle how far the photo is turned
     */
    public static SceneLines sorted(List<Segment> lines, PhotoSpace space, Angle angle) {
        List<Segment> uprights = new ArrayList<>();
        List<Segment> levels = new ArrayList<>();
        for (Segment line : lines) {
            Segment stored = line.mapped(end -> stored(end, space.photo()));
            Segment inPlane = stored.mapped(space::toPlane);
            Point way = angle.toScreen(inPlane.to().minus(inPlane.from()));
            (Math.abs(way.y()) > Math.abs(way.x()) ? uprights : levels).add(stored);
        }
        return new SceneLines(uprights, levels);
    }

    /** What is stored of an end of a line in a photo's pixels, or of the nearest place that it can have. */
    public static Point stored(Point inPhoto, Size photo) {
        return within(new Point(inPhoto.x() / photo.width(), inPhoto.y() / photo.height()));
    }

    /** The nearest place that the end of a line can have. */
    static Point within(Point end) {
        return Bounds.UNIT.nearest(end);
    }

    public boolean isNone() {
        return uprights.isEmpty() && levels.isEmpty();
    }

    /** Whether there are lines of both kinds. */
    public boolean isBoth() {
        return !uprights.isEmpty() && !levels.isEmpty();
    }

    /** All of them, the uprights first. */
    public List<Segment> all() {
        return Stream.concat(uprights.stream(), levels.stream()).toList();
    }

    /** All of them where they lie in a photo of a size, in its pixels. */
    public List<Segment> inPhoto(Size photo) {
        return moved(all(), end -> new Point(end.x() * photo.width(), end.y() * photo.height()));
    }

    /** With another line in the place of one of {@link #all}. */
    public SceneLines with(int index, Segment line) {
        int upright = uprights.size();
        return index < upright
                ? new SceneLines(replaced(uprights, index, line), levels)
                : new SceneLines(uprights, replaced(levels, index - upright, line));
    }

    private static List<Segment> replaced(List<Segment> lines, int index, Segment line) {
        List<Segment> changed = new ArrayList<>(lines);
        changed.set(index, line);
        return changed;
    }

    /** Without one of {@link #all}. */
    public SceneLines without(int index) {
        int upright = uprights.size();
        return index < upright
                ? new SceneLines(fewer(uprights, index), levels)
                : new SceneLines(uprights, fewer(levels, index - upright));
    }

    private static List<Segment> fewer(List<Segment> lines, int index) {
        List<Segment> left = new ArrayList<>(lines);
        left.remove(index);
        return left;
    }

    /** The same lines of the photo seen a quarter further clockwise, where what was upright is level. */
    SceneLines turnedRight() {
        UnaryOperator<Point> turn = place -> new Point(1 - place.y(), place.x());
        return new SceneLines(moved(levels, turn), moved(uprights, turn));
    }

    /** The same lines of the photo seen in a mirror that stands beside it. */
    SceneLines mirrored() {
        UnaryOperator<Point> mirror = place -> new Point(1 - place.x(), place.y());
        return new SceneLines(moved(uprights, mirror), moved(levels, mirror));
    }

    private static List<Segment> moved(List<Segment> lines, UnaryOperator<Point> how) {
        return lines.stream().map(line -> line.mapped(how)).toList();
    }

    /** See {@link Fingerprint}. */
    String fingerprint() {
        return Fingerprint.of("SceneLines")
                .with("uprights", uprights, Segment::fingerprint)
                .with("levels", levels, Segment::fingerprint)
                .letters();
    }
}
