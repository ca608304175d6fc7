package nexa.core.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;

/**
 * Works out from lines how a camera looked at a scene. Lines that are parallel in the scene run together in one point of the
 * picture; the camera is turned until that point lies endlessly far away, level or upright.
 */
public final class FromLines {
    /** A line shorter than this share of the photo's long side says nothing. */
    private static final double SHORT = 0.03;
    /** Lines of which the second singular value is less than this share of the first are one and the same. */
    private static final double SAME = 0.01;
    /** Uprights and levels whose directions in space differ by less, as the sine of their angle, are the same. */
    private static final double SAME_DIRECTION = 0.1;
    /** Lines that run together as little as this tell nothing of the focal length. */
    private static final double TELLS_FOCAL = 0.05;
    /** By what factor a known focal length is at most corrected, and its inverse. */
    private static final double MOST_CORRECTED = 1.25;

    private static final double SHORTEST_UNKNOWN = 12;
    private static final double LONGEST_UNKNOWN = 400;
    private static final double FARTHEST_ANGLE = 45;

    private final Size photo;
    private final Optional<Lens> lens;
    private final Optional<LensMap> map;
    private final OptionalDouble focal35;

    /**
     * For one photo.
     *
     * @param focal35 the focal length it was taken with, in millimetres on 36 × 24 mm, if it is known
     */
    public FromLines(Size photo, Optional<Lens> lens, OptionalDouble focal35) {
        this.photo = photo;
        this.lens = lens;
        this.map = lens.map(one -> new LensMap(one, photo));
        this.focal35 = focal35;
    }

    /** What came of it. */
    public sealed interface Answer permits Solved, Refused {}

    /**
     * How the camera looked.
     *
     * @param tilt in degrees, as in {@link Perspective}
     * @param swing in degrees, as in {@link Perspective}
     * @param angle by which the photo is level then
     * @param focal35 with which uprights and levels come out square, or nearest to it
     * @param off by how many degrees uprights and levels stay off square, 0 … 90; 0 with one kind
     */
    public record Solved(double tilt, double swing, Angle angle, double focal35, double off) implements Answer {}

    /** That it cannot be told. */
    public record Refused(Reason why) implements Answer {}

    /** Why it cannot be told. */
    public enum Reason {
        /** One line of a kind tells no direction. */
        ONE_LINE,
        /** A line is too short. */
        SHORT,
        /** The lines of a kind lie on one another, or both kinds run the same way. */
        SAME,
        /** The lines of a kind meet inside the picture. */
        MEET_INSIDE,
        /** The camera would have to be turned too far. */
        BEYOND_60,
        /** The lines are nearer to the other kind. */
        WRONG_WAY
    }

    /** Where lines of a kind run together: a direction in space. */
    private record Vanishing(double x, double y, double depth) {
        double[] vector() {
            return new double[] {x, y, depth};
        }

        Vanishing deeper(double factor) {
            return new Vanishing(x, y, depth * factor);
        }
    }

    /** Works it out. */
    public Answer solve(SceneLines lines) {
        double focal = PerspectiveMap.focal(focal35.orElse(Perspective.ASSUMED), photo);
        Optional<Reason> refusal = asDrawn(lines);
        if (refusal.isPresent()) {
            return new Refused(refusal.get());
        }
        List<Vanishing> found = new ArrayList<>();
        for (List<Segment> kind : kinds(lines)) {
            SymmetricMatrix.Eigen eigen = eigen(kind, focal);
            // A singular value is the root of an eigenvalue.
            if (eigen.values()[1] < SAME * SAME * eigen.values()[0]) {
                return new Refused(Reason.SAME);
            }
            double[] least = eigen.vectors()[2];
            found.add(new Vanishing(least[0], least[1], least[2]));
        }
        if (found.size() == 2
                && length(cross(found.get(0).vector(), found.get(1).vector())) < SAME_DIRECTION) {
            return new Refused(Reason.SAME);
        }
        if (found.stream().anyMatch(one -> isInside(one, focal))) {
            return new Refused(Reason.MEET_INSIDE);
        }
        return faced(found, !lines.uprights().isEmpty());
    }

    /**
     * By how many degrees tilt and swing may be off when each end of each line may be off a little; empty where it cannot be
     * told.
     *
     * @param off by how much, in the photo's pixels
     */
    public OptionalDouble uncertainty(SceneLines lines, double off) {
        if (!(solve(lines) instanceof Solved solved)) {
            return OptionalDouble.empty();
        }
        double square = 0;
        for (int i = 0; i < lines.all().size(); i++) {
            Segment line = lines.all().get(i);
            Point way = inPhoto(line.to()).minus(inPhoto(line.from()));
            double length = Math.hypot(way.x(), way.y());
            Point aside = new Point(-way.y() / length * off / photo.width(), way.x() / length * off / photo.height());
            for (Segment moved : List.of(
                    new Segment(SceneLines.within(line.from().plus(aside)), line.to()),
                    new Segment(line.from(), SceneLines.within(line.to().plus(aside))))) {
                if (!(solve(lines.with(i, moved)) instanceof Solved other)) {
                    return OptionalDouble.empty();
                }
                double change = Math.hypot(other.tilt() - solved.tilt(), other.swing() - solved.swing());
                square += change * change;
            }
        }
        return OptionalDouble.of(Math.sqrt(square));
    }

    /** Those kinds of which there are any, the uprights first. */
    private static List<List<Segment>> kinds(SceneLines lines) {
        return List.of(lines.uprights(), lines.levels()).stream()
                .filter(kind -> !kind.isEmpty())
                .toList();
    }

    /** What can be said against lines as they were drawn. */
    private Optional<Reason> asDrawn(SceneLines lines) {
        if (lines.isNone() || kinds(lines).stream().anyMatch(kind -> kind.size() == 1)) {
            return Optional.of(Reason.ONE_LINE);
        }
        boolean isShort = lines.all().stream()
                .anyMatch(line -> inPhoto(line.from()).distance(inPhoto(line.to())) < SHORT * photo.longSide());
        return isShort ? Optional.of(Reason.SHORT) : Optional.empty();
    }

    private Point inPhoto(Point stored) {
        return new Point(stored.x() * photo.width(), stored.y() * photo.height());
    }

    /** The directions to the ends of each line span a plane; where the lines run together lies in all of these planes. */
    private SymmetricMatrix.Eigen eigen(List<Segment> kind, double focal) {
        SymmetricMatrix normals = new SymmetricMatrix();
        for (Segment line : kind) {
            normals.add(cross(ray(line.from(), focal), ray(line.to(), focal)));
        }
        return normals.eigen();
    }

    private double[] ray(Point stored, double focal) {
        Point place = inPhoto(stored);
        Point straight = map.map(one -> one.toStraightWithin(place)).orElse(place);
        Point offset = straight.minus(photo.middle()).times(1 / focal);
        return new double[] {offset.x(), offset.y(), 1};
    }

    private boolean isInside(Vanishing point, double focal) {
        if (point.depth() == 0) {
            return false;
        }
        Point place = photo.middle().plus(new Point(point.x(), point.y()).times(focal / point.depth()));
        return straightOutline().edges().stream().allMatch(edge -> edge.beyond(place) <= 0);
    }

    private Outline straightOutline() {
        return new Plane(photo, Angle.NONE, lens, Optional.empty()).outline();
    }

    private Answer faced(List<Vanishing> found, boolean hasUprights) {
        double factor = found.size() == 2 ? focalFactor(found.get(0), found.get(1)) : 1;
        double focal = focal35.orElse(Perspective.ASSUMED) * factor;
        List<double[]> vanishing =
                found.stream().map(one -> one.deeper(factor).vector()).toList();
        double[] view =
                found.size() == 2 ? cross(vanishing.get(1), vanishing.get(0)) : acrossTo(unit(vanishing.get(0)));
        double[] normal = unit(view[2] < 0 ? times(view, -1) : view);
        double aside = Math.hypot(normal[0], normal[1]);
        double by = Math.atan2(aside, normal[2]);
        double tilt = aside == 0 ? 0 : normal[1] * by / aside;
        double swing = aside == 0 ? 0 : -normal[0] * by / aside;
        if (Math.toDegrees(by) > Perspective.MOST) {
            return new Refused(Reason.BEYOND_60);
        }
        double[][] turn = PerspectiveMap.rotation(tilt, swing);
        double first = angle(turn, vanishing.get(0), hasUprights);
        double between = found.size() == 2 ? around(angle(turn, vanishing.get(1), false) - first) : 0;
        double angle = around(first + between / 2);
        return Math.abs(angle) > FARTHEST_ANGLE
                ? new Refused(Reason.WRONG_WAY)
                : new Solved(Math.toDegrees(tilt), Math.toDegrees(swing), new Angle(angle), focal, Math.abs(between));
    }

    /** What the focal length has to be multiplied by for uprights and levels to be square; 1 where that is not to be told. */
    private double focalFactor(Vanishing one, Vanishing other) {
        if (Math.min(Math.abs(one.depth()), Math.abs(other.depth())) <= TELLS_FOCAL) {
            return 1;
        }
        double square = -(one.x() * other.x() + one.y() * other.y()) / (one.depth() * other.depth());
        double factor = Math.sqrt(square);
        double least = focal35.isPresent() ? 1 / MOST_CORRECTED : SHORTEST_UNKNOWN / Perspective.ASSUMED;
        double most = focal35.isPresent() ? MOST_CORRECTED : LONGEST_UNKNOWN / Perspective.ASSUMED;
        double focal = factor * focal35.orElse(Perspective.ASSUMED);
        // Where the square is below 0 no focal length makes them so, and the root is no number.
        boolean isLikely = factor >= least && factor <= most;
        return isLikely && focal >= Perspective.SHORTEST && focal <= Perspective.LONGEST ? factor : 1;
    }

    /** What of the way into the picture lies across a direction. */
    private static double[] acrossTo(double[] unit) {
        return new double[] {-unit[2] * unit[0], -unit[2] * unit[1], 1 - unit[2] * unit[2]};
    }

    /** The angle that makes a direction of the scene upright, or level, once the camera faces it; −90 … 90. */
    private static double angle(double[][] turn, double[] direction, boolean isUpright) {
        double x = turn[0][0] * direction[0] + turn[0][1] * direction[1] + turn[0][2] * direction[2];
        double y = turn[1][0] * direction[0] + turn[1][1] * direction[1] + turn[1][2] * direction[2];
        return around((isUpright ? 90 : 0) - Math.toDegrees(Math.atan2(y, x)));
    }

    /** The same direction of a line as an angle of −90 … 90. */
    private static double around(double degrees) {
        return degrees - 180 * Math.rint(degrees / 180);
    }

    private static double[] cross(double[] a, double[] b) {
        return new double[] {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
    }

    private static double length(double[] vector) {
        return Math.sqrt(vector[0] * vector[0] + vector[1] * vector[1] + vector[2] * vector[2]);
    }

    private static double[] unit(double[] vector) {
        return times(vector, 1 / length(vector));
    }

    private static double[] times(double[] vector, double factor) {
        return new double[] {factor * vector[0], factor * vector[1], factor * vector[2]};
    }
}
