package nexa.store.document;

import java.util.List;
import nexa.core.geometry.Segment;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.store.json.Codec;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.ObjectCodec;

/** How a photo's perspective is put right. */
final class PerspectiveCodec {
    private static final Codec<List<Segment>> LINES = Json.POINT
            .list(2)
            .as(ends -> new Segment(ends.get(0), ends.get(1)), line -> List.of(line.from(), line.to()))
            .list();

    private static final Field<Perspective, Double> TILT = Field.usually("tilt", 0.0, Json.NUMBER, Perspective::tilt);
    private static final Field<Perspective, Double> SWING =
            Field.usually("swing", 0.0, Json.NUMBER, Perspective::swing);
    private static final Field<Perspective, Double> STRENGTH =
            Field.usually("strength", 100.0, Json.NUMBER, Perspective::strength);
    private static final Field<Perspective, Double> STRETCH =
            Field.usually("stretch", 1.0, Json.NUMBER, Perspective::stretch);
    private static final Field<Perspective, Double> FOCAL =
            Field.usually("focal35", Perspective.ASSUMED, Json.NUMBER, Perspective::focal35);
    private static final Field<Perspective, List<Segment>> UPRIGHTS = Field.unless(
            "uprights", List.of(), LINES, perspective -> perspective.lines().uprights());
    private static final Field<Perspective, List<Segment>> LEVELS = Field.unless(
            "levels", List.of(), LINES, perspective -> perspective.lines().levels());

    static final ObjectCodec<Perspective> PERSPECTIVE = new ObjectCodec<>(
            at -> new Perspective(
                    TILT.in(at),
                    SWING.in(at),
                    STRENGTH.in(at),
                    STRETCH.in(at),
                    FOCAL.in(at),
                    new SceneLines(UPRIGHTS.in(at), LEVELS.in(at))),
            TILT,
            SWING,
            STRENGTH,
            STRETCH,
            FOCAL,
            UPRIGHTS,
            LEVELS);

    private PerspectiveCodec() {}
}
