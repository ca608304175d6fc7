package nexa.store;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import nexa.core.geometry.Angle;
import nexa.core.shape.Edge;
import nexa.core.shape.Shape;
import nexa.core.shoot.PhotoOrientation;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Tone;
import nexa.core.shoot.Trim;

/** What is done to a photo, as fields of the photo's object in the document. What is not done is not written. */
final class PreparationJson {
    private static final String TURN = "turn";
    private static final String MIRROR = "mirror";
    private static final String TRIM = "trim";
    private static final String LENS = "lens";
    private static final String PERSPECTIVE = "perspective";
    private static final String ANGLE = "angle";
    private static final String EDGE = "edge";

    /** The fields this reads and writes. */
    static final KnownFields FIELDS = KnownFields.of(TURN, MIRROR, TRIM, ANGLE)
            .with(LENS, LensJson.FIELDS)
            .with(PERSPECTIVE, PerspectiveJson.FIELDS)
            .with(EDGE, LensJson.EDGE_FIELDS);

    private PreparationJson() {}

    static void write(Preparation preparation, ObjectNode photo) {
        if (preparation.turn() != QuarterTurn.NONE) {
            photo.put(TURN, preparation.turn().degrees());
        }
        if (preparation.isMirrored()) {
            photo.put(MIRROR, true);
        }
        write(preparation.trim(), photo);
        preparation.lens().ifPresent(said -> LensJson.write(said, photo.putObject(LENS)));
        preparation.perspective().ifPresent(said -> PerspectiveJson.write(said, photo.putObject(PERSPECTIVE)));
        if (!preparation.angle().equals(Angle.NONE)) {
            photo.put(ANGLE, preparation.angle().degrees());
        }
        if (!preparation.edge().equals(Edge.NONE)) {
            LensJson.write(preparation.edge(), photo.putObject(EDGE));
        }
    }

    static void write(Trim trim, ObjectNode photo) {
        if (!trim.isNone()) {
            photo.putArray(TRIM)
                    .add(trim.left())
                    .add(trim.top())
                    .add(trim.right())
                    .add(trim.bottom());
        }
    }

    static Trim readTrim(JsonPlace photo) throws JsonPlace.Misfit {
        return photo.optional(TRIM, Trim.NONE, PreparationJson::trim);
    }

    static Preparation read(JsonPlace photo) throws JsonPlace.Misfit {
        return new Preparation(
                new PhotoOrientation(
                        photo.optional(TURN, QuarterTurn.NONE, PreparationJson::turn),
                        photo.optional(MIRROR, false, JsonPlace::flag)),
                readTrim(photo),
                new Shape(
                        photo.ifThere(LENS, LensJson::read),
                        photo.ifThere(PERSPECTIVE, PerspectiveJson::read),
                        photo.optional(ANGLE, Angle.NONE, PreparationJson::angle)),
                new Tone(photo.optional(EDGE, Edge.NONE, LensJson::readEdge)));
    }

    private static QuarterTurn turn(JsonPlace place) throws JsonPlace.Misfit {
        int degrees = place.whole();
        return place.make(() -> QuarterTurn.of(degrees));
    }

    private static Trim trim(JsonPlace place) throws JsonPlace.Misfit {
        List<JsonPlace> sides = place.list(4);
        double left = sides.get(0).number();
        double top = sides.get(1).number();
        double right = sides.get(2).number();
        double bottom = sides.get(3).number();
        return place.make(() -> new Trim(left, top, right, bottom));
    }

    private static Angle angle(JsonPlace place) throws JsonPlace.Misfit {
        double degrees = place.number();
        return place.make(() -> new Angle(degrees));
    }
}
