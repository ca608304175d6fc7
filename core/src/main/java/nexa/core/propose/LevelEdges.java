package nexa.core.propose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.shape.Plane;

/** The long level edges of a scene as it lies on screen, such as a horizon or the edge of a table. */
final class LevelEdges {
    /** What is further off level, in degrees, is a slant. */
    private static final double LEVEL = 2.5;

    /** Edges so near each other, as a share of the height, are one. */
    private static final double NEAR = 0.012;

    /** Together they are so long at least, as a share of the width. */
    private static final double LONG = 0.4;

    private static final int MOST = 3;

    private LevelEdges() {}

    /** Their places downwards at the picture's middle, in cells. */
    static List<Double> of(Scene scene, Plane plane, ScreenMap map) {
        List<Double> places = new ArrayList<>();
        List<Double> lengths = new ArrayList<>();
        for (Segment edge : scene.edges()) {
            Point from = map.toCells(plane.toPlane(edge.from()));
            Point to = map.toCells(plane.toPlane(edge.to()));
            double run = Math.abs(to.x() - from.x());
            double rise = Math.abs(to.y() - from.y());
            if (run > 0 && Math.toDegrees(Math.atan(rise / run)) <= LEVEL) {
                add((from.y() + to.y()) / 2, run, NEAR * map.height(), places, lengths);
            }
        }
        List<Double> edges = IntStream.range(0, places.size())
                .filter(i -> lengths.get(i) >= LONG * map.width())
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -lengths.get(i)))
                .limit(MOST)
                .map(places::get)
                .toList();
        return edges;
    }

    private static void add(double place, double length, double near, List<Double> places, List<Double> lengths) {
        for (int i = 0; i < places.size(); i++) {
            if (Math.abs(places.get(i) - place) <= near) {
                lengths.set(i, lengths.get(i) + length);
                return;
            }
        }
        places.add(place);
        lengths.add(length);
    }
}
