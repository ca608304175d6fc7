package nexa.imaging.find;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.find.EdgeLine;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Finds long edges that are straight but for what a lens bent of them: straight pieces that follow one another nearly in one
 * direction, then the edge itself at places along them.
 */
final class BentLineFinder {
    /** As shares of the picture's long side. */
    private static final double SHORTEST_PIECE = 0.02;

    private static final double WIDEST_GAP = 0.05;
    private static final double SHORTEST_LINE = 0.4;
    private static final double STEP = 0.04;

    /** A piece may turn by so much from the one before, and begin so far aside of it, as a share of the gap and in pixels. */
    private static final double MOST_TURN = Math.toRadians(5);

    private static final double ASIDE = 0.06;
    private static final double ASIDE_PIXELS = 1.5;

    private static final int FEWEST_PLACES = 5;
    private static final int MOST_LINES = 24;

    private BentLineFinder() {}

    /** Places along each line, in the picture's pixels; the longest lines first. */
    static List<List<Point>> find(Mat grey) {
        double longSide = Math.max(grey.cols(), grey.rows());
        List<Segment> pieces = new ArrayList<>(EdgeSegments.of(grey).stream()
                .filter(piece -> piece.length() >= SHORTEST_PIECE * longSide)
                .sorted(Comparator.comparingDouble(Segment::length).reversed())
                .toList());
        SegmentRefit refit = new SegmentRefit(Gradient.of(grey));
        List<List<Point>> lines = new ArrayList<>();
        while (!pieces.isEmpty()) {
            List<Segment> chain = chain(pieces, WIDEST_GAP * longSide);
            Point from = chain.get(0).from();
            Point to = chain.get(chain.size() - 1).to();
            if (from.distance(to) >= SHORTEST_LINE * longSide) {
                List<Point> places = places(chain, refit, STEP * longSide);
                if (places.size() >= FEWEST_PLACES) {
                    lines.add(places);
                }
            }
        }
        lines.sort(Comparator.<List<Point>>comparingDouble(line -> line.get(0).distance(line.get(line.size() - 1)))
                .reversed());
        return lines.subList(0, Math.min(MOST_LINES, lines.size()));
    }

    /** The longest piece left with what follows it at both ends; all of these are taken away. */
    private static List<Segment> chain(List<Segment> pieces, double gap) {
        Deque<Segment> chain = new ArrayDeque<>();
        chain.add(pieces.remove(0));
        boolean grows = true;
        while (grows) {
            Optional<Segment> next = following(chain.getLast(), pieces, gap);
            next.ifPresent(chain::addLast);
            Optional<Segment> before = following(turned(chain.getFirst()), pieces, gap);
            before.ifPresent(piece -> chain.addFirst(turned(piece)));
            grows = next.isPresent() || before.isPresent();
        }
        return List.copyOf(chain);
    }

    /** The nearest piece that goes on where one ends, the same way round; it is taken away. */
    private static Optional<Segment> following(Segment last, List<Segment> pieces, double gap) {
        Optional<Segment> nearest = pieces.stream()
                .flatMap(piece -> Stream.of(piece, turned(piece)))
                .filter(piece -> goesOn(last, piece, gap))
                .min(Comparator.comparingDouble(piece -> piece.from().distance(last.to())));
        nearest.ifPresent(piece -> pieces.removeIf(one -> one.equals(piece) || one.equals(turned(piece))));
        return nearest;
    }

    private static boolean goesOn(Segment last, Segment piece, double gap) {
        Point between = piece.from().minus(last.to());
        double distance = Math.hypot(between.x(), between.y());
        if (distance > gap) {
            return false;
        }
        Point way = last.to().minus(last.from()).times(1 / last.length());
        double ahead = between.x() * way.x() + between.y() * way.y();
        double aside = Math.abs(between.y() * way.x() - between.x() * way.y());
        return ahead > -ASIDE_PIXELS
                && aside <= ASIDE_PIXELS + ASIDE * distance
                && Math.abs(Math.IEEEremainder(direction(piece) - direction(last), 2 * Math.PI)) < MOST_TURN;
    }

    private static double direction(Segment piece) {
        return Math.atan2(
                piece.to().y() - piece.from().y(), piece.to().x() - piece.from().x());
    }

    private static Segment turned(Segment piece) {
        return new Segment(piece.to(), piece.from());
    }

    /** Where the edge lies, in the middle of each of many short steps. */
    private static List<Point> places(List<Segment> chain, SegmentRefit refit, double step) {
        List<Point> places = new ArrayList<>();
        for (Segment piece : chain) {
            int steps = (int) Math.max(1, Math.round(piece.length() / step));
            Point way = piece.to().minus(piece.from()).times(1.0 / steps);
            for (int i = 0; i < steps; i++) {
                Point from = piece.from().plus(way.times(i));
                refit.of(new Segment(from, from.plus(way)))
                        .map(EdgeLine::segment)
                        .map(edge -> edge.from().plus(edge.to()).times(0.5))
                        .ifPresent(places::add);
            }
        }
        return places;
    }
}
