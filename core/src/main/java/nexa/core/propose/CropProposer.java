package nexa.core.propose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.find.Found;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.Plane;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;

/**
 * Proposes crops of a photo: many are tried, scored by what is seen in them, and the best that differ are told, the best first.
 * The same photo and scene always give the same ones. A subject that was marked stands above what was found. No proposal cuts
 * it, or one that is surely found, if any crop can hold it; where none can, none cuts a head, if that can be had.
 */
public final class CropProposer {
    /** Widths that are tried, as shares of the largest crop's. */
    private static final double[] SIZES = {1, 0.94, 0.87, 0.8, 0.72, 0.64, 0.56, 0.48};

    /** How many steps a crop's width and height have. */
    private static final int STEPS = 28;

    /** What two proposals share of what they cover together, at most; the later ones where there are too few else. */
    private static final double[] OVERLAPS = {0.62, 0.72, 0.82, 0.9};

    /** One that is so much worse than the best is not proposed. */
    private static final double WORSE = 1.2;

    /** A mark without a radius is about this large, as a share of the photo's short side. */
    private static final double USUAL_RADIUS = 0.08;

    /** A box may end just where its photo does; in cells. */
    private static final double CELL_ROUNDING = 1e-7;

    /** Crops may reach beyond the outline by so many pixels of rounding. */
    private static final double ROUNDING = 1e-6;

    private final Outline outline;
    private final ScreenMap map;
    private final Optional<Scene.Thing> thing;
    private final List<Double> edges;

    /** One that was tried. */
    private record Tried(Crop crop, Bounds cells, CropScore score) {}

    /**
     * For a photo as it is now.
     *
     * @param photo one that has been read
     */
    public CropProposer(Scene scene, Photo photo) {
        // A border that nobody trimmed yet is no picture either.
        boolean isTrimmed = !photo.preparation().trim().isNone();
        Plane plane = photo.plane();
        this.outline = isTrimmed ? photo.outline() : plane.outline(scene.mapped());
        this.map = new ScreenMap(scene, plane, outline);
        this.thing = photo.subject()
                .map(subject -> marked(subject, photo))
                .or(() -> scene.thing().map(found -> found.in(plane)))
                .map(this::inCells);
        this.edges = LevelEdges.of(scene, plane, map);
    }

    private static Scene.Thing marked(Subject subject, Photo photo) {
        boolean hasSize = subject.radius().isPresent() || subject.extent().isPresent();
        Subject sized = hasSize
                ? subject
                : new Subject(subject.at(), OptionalDouble.of(USUAL_RADIUS), Optional.empty(), subject.eyes());
        return Scene.Thing.of(sized, photo.space(), 1);
    }

    private Scene.Thing inCells(Scene.Thing inPlane) {
        return inPlane.placed(map::toCells, box -> {
            // Boxes stay as large as they are: turned, they would take in what is beside them.
            Point middle = map.toCells(box.middle());
            Point half = box.extent().times(0.5 / map.cell());
            return new Bounds(middle.minus(half), middle.plus(half));
        });
    }

    /**
     * The best crops of a ratio.
     *
     * @param ratio width over height
     * @param most how many at most
     */
    public List<Proposal> propose(double ratio, int most) {
        List<Tried> best = new ArrayList<>(whole(tried(ratio)));
        best.sort(Comparator.comparingDouble(one -> -one.score().score()));
        List<Tried> picked = new ArrayList<>();
        for (double overlap : OVERLAPS) {
            for (Tried one : best) {
                boolean isGood = picked.isEmpty()
                        || one.score().score() > picked.get(0).score().score() - WORSE;
                if (picked.size() < most
                        && isGood
                        && picked.stream().allMatch(other -> one.cells().overlap(other.cells()) < overlap)) {
                    picked.add(one);
                }
            }
        }
        return picked.stream()
                .map(one -> new Proposal(one.crop(), one.score().reasons()))
                .toList();
    }

    /** Those that cut nothing of what the photo surely is about, or no head; all, where there are none. */
    private List<Tried> whole(List<Tried> tried) {
        if (thing.isEmpty() || thing.get().confidence() < Found.SURE) {
            return tried;
        }
        List<Tried> whole = tried.stream()
                .filter(one -> holds(one.cells(), thing.get().box()))
                .toList();
        if (!whole.isEmpty()) {
            return whole;
        }
        List<Tried> withHeads = tried.stream()
                .filter(one -> thing.get().heads().stream().allMatch(head -> holds(one.cells(), head)))
                .toList();
        return withHeads.isEmpty() ? tried : withHeads;
    }

    private static boolean holds(Bounds crop, Bounds box) {
        return box.least().x() >= crop.least().x() - CELL_ROUNDING
                && box.least().y() >= crop.least().y() - CELL_ROUNDING
                && box.most().x() <= crop.most().x() + CELL_ROUNDING
                && box.most().y() <= crop.most().y() + CELL_ROUNDING;
    }

    private List<Tried> tried(double ratio) {
        List<Tried> tried = new ArrayList<>();
        Crop untouched = outline.untouched(ratio);
        add(untouched, 1, tried);
        for (double share : SIZES) {
            Size size = untouched.size().times(share);
            double width = size.width() / map.cell();
            double height = size.height() / map.cell();
            List<Double> across = places(map.width(), width);
            for (double y : places(map.height(), height)) {
                for (double x : across) {
                    add(new Crop(map.toPlane(x + width / 2, y + height / 2), size), share, tried);
                }
            }
            thing.ifPresent(one -> addAround(one.box(), size, share, tried));
        }
        return tried;
    }

    /** One with a box in its middle, or as near to that as the photo lets it: what hardly fits lies between the steps. */
    private void addAround(Bounds box, Size size, double share, List<Tried> tried) {
        Point half = new Point(size.width(), size.height()).times(0.5 / map.cell());
        Point middle = box.middle();
        double x = Math.max(half.x(), Math.min(map.width() - half.x(), middle.x()));
        double y = Math.max(half.y(), Math.min(map.height() - half.y(), middle.y()));
        add(new Crop(map.toPlane(x, y), size), share, tried);
    }

    /** Where a crop may begin, from one end to the other. */
    private static List<Double> places(double length, double crop) {
        List<Double> places = new ArrayList<>();
        double last = Math.max(0, length - crop);
        double step = Math.max(1, crop / STEPS);
        for (double at = 0; at < last; at += step) {
            places.add(at);
        }
        places.add(last);
        return places;
    }

    private void add(Crop crop, double share, List<Tried> tried) {
        if (outline.contains(crop, ROUNDING)) {
            Bounds cells = map.toCells(crop);
            CropScore.of(map, thing, edges, cells, share).ifPresent(score -> tried.add(new Tried(crop, cells, score)));
        }
    }
}
