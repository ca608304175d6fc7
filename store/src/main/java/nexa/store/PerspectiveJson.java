package nexa.store;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;

/** How a photo's perspective is put right, as a JSON object. */
final class PerspectiveJson {
    private static final String TILT = "tilt";
    private static final String SWING = "swing";
    private static final String STRENGTH = "strength";
    private static final String STRETCH = "stretch";
    private static final String FOCAL = "focal35";
    private static final String UPRIGHTS = "uprights";
    private static final String LEVELS = "levels";

    /** The fields this reads and writes. */
    static final KnownFields FIELDS = KnownFields.of(TILT, SWING, STRENGTH, STRETCH, FOCAL, UPRIGHTS, LEVELS);

    private PerspectiveJson() {}

    static void write(Perspective perspective, ObjectNode node) {
        node.put(TILT, perspective.tilt());
        node.put(SWING, perspective.swing());
        node.put(STRENGTH, perspective.strength());
        node.put(STRETCH, perspective.stretch());
        node.put(FOCAL, perspective.focal35());
        write(perspective.lines().uprights(), UPRIGHTS, node);
        write(perspective.lines().levels(), LEVELS, node);
    }

    private static void write(List<Segment> lines, String name, ObjectNode node) {
        if (!lines.isEmpty()) {
            ArrayNode list = node.putArray(name);
            for (Segment line : lines) {
                ArrayNode ends = list.addArray();
                ends.addArray().add(line.from().x()).add(line.from().y());
                ends.addArray().add(line.to().x()).add(line.to().y());
            }
        }
    }

    static Perspective read(JsonPlace place) throws JsonPlace.Misfit {
        double tilt = place.optional(TILT, 0.0, JsonPlace::number);
        double swing = place.optional(SWING, 0.0, JsonPlace::number);
        double strength = place.optional(STRENGTH, 100.0, JsonPlace::number);
        double stretch = place.optional(STRETCH, 1.0, JsonPlace::number);
        double focal35 = place.optional(FOCAL, Perspective.ASSUMED, JsonPlace::number);
        List<Segment> uprights = place.optional(UPRIGHTS, List.of(), PerspectiveJson::lines);
        List<Segment> levels = place.optional(LEVELS, List.of(), PerspectiveJson::lines);
        return place.make(
                () -> new Perspective(tilt, swing, strength, stretch, focal35, new SceneLines(uprights, levels)));
    }

    private static List<Segment> lines(JsonPlace place) throws JsonPlace.Misfit {
        List<Segment> lines = new ArrayList<>();
        for (JsonPlace line : place.list()) {
            List<JsonPlace> ends = line.list(2);
            lines.add(new Segment(end(ends.get(0)), end(ends.get(1))));
        }
        return lines;
    }

    private static Point end(JsonPlace place) throws JsonPlace.Misfit {
        List<JsonPlace> pair = place.list(2);
        return new Point(pair.get(0).number(), pair.get(1).number());
    }
}
