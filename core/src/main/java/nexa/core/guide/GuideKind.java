package nexa.core.guide;

import java.util.List;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;

/** All composition guides, in their families. */
public enum GuideKind {
    /** The rule of thirds. */
    THIRDS(Family.DIVISIONS),
    /** Golden sections, at 1 − 1/φ and 1/φ. */
    GOLDEN(Family.DIVISIONS),
    CENTRE(Family.DIVISIONS),
    /** The squares on the short sides. */
    RABATMENT(Family.DIVISIONS),
    /** At 45° from each corner. */
    DIAGONALS(Family.SLANTS),
    /** A diagonal and the perpendiculars to it; mirrored, the other diagonal. */
    TRIANGLES(Family.SLANTS, Way.UNTURNED, Way.MIRRORED),
    /** Both diagonals and each corner to the middles of the far sides. */
    ARMATURE(Family.SLANTS),
    /** The golden spiral stretched to the crop. */
    SPIRAL(Family.CURVE, Way.values()),
    /** The golden spiral in true proportion inside the crop. */
    TRUE_SPIRAL(Family.CURVE, Way.values()),
    /** Evenly spread lines. */
    GRID(Family.CHECKS),
    /** The outlines of other formats and papers, which {@link Nested} lays out. */
    OUTLINES(Family.CHECKS);

    /** What a guide belongs with. */
    public enum Family {
        DIVISIONS,
        SLANTS,
        CURVE,
        CHECKS
    }

    /** The fewest and the most lines of a grid, each way. */
    public static final int FEWEST_LINES = 2;

    public static final int MOST_LINES = 24;

    private final Family family;
    private final List<Way> ways;

    GuideKind(Family family, Way... ways) {
        this.family = family;
        this.ways = ways.length == 0 ? List.of(Way.UNTURNED) : List.of(ways);
    }

    public Family family() {
        return family;
    }

    /** The ways it can be laid that differ. */
    public List<Way> ways() {
        return ways;
    }

    /** The way after another one, the first after the last. */
    public Way after(Way way) {
        return ways.get((ways.indexOf(way) + 1) % ways.size());
    }

    /**
     * The guide laid one way.
     *
     * @param gridLines the lines of a grid each way, 2 … 24
     */
    public Guide laid(Way way, int gridLines) {
        return switch (this) {
            case THIRDS -> crop -> Divisions.at(crop, 1.0 / 3, 2.0 / 3);
            case GOLDEN -> crop -> Divisions.at(crop, 1 - Divisions.GOLDEN, Divisions.GOLDEN);
            case CENTRE -> crop -> Divisions.at(crop, 0.5);
            case RABATMENT -> Divisions::rabatment;
            case DIAGONALS -> Slants::diagonals;
            case TRIANGLES -> way.isMirrored() ? crop -> mirrored(crop, Slants.triangles(crop)) : Slants::triangles;
            case ARMATURE -> Slants::armature;
            case SPIRAL -> crop -> GoldenSpiral.stretched(crop, way);
            case TRUE_SPIRAL -> crop -> GoldenSpiral.inProportion(crop, way);
            case GRID -> crop -> Divisions.grid(crop, Math.max(FEWEST_LINES, Math.min(MOST_LINES, gridLines)));
            case OUTLINES -> crop -> List.of();
        };
    }

    private static List<Segment> mirrored(Size crop, List<Segment> lines) {
        return lines.stream()
                .map(line -> new Segment(mirrored(crop, line.from()), mirrored(crop, line.to())))
                .toList();
    }

    private static Point mirrored(Size crop, Point point) {
        return new Point(crop.width() - point.x(), point.y());
    }
}
