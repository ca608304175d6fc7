package nexa.store;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Set;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.QuarterTurn;

/** What is done to a photo, as fields of the photo's object in the document. What is not done is not written. */
final class PreparationJson {
    private static final String TURN = "turn";
    private static final String MIRROR = "mirror";
    private static final String ANGLE = "angle";

    /** The fields this reads and writes. */
    static final Set<String> FIELDS = Set.of(TURN, MIRROR, ANGLE);

    private PreparationJson() {}

    static void write(Preparation preparation, ObjectNode photo) {
        if (preparation.turn() != QuarterTurn.NONE) {
            photo.put(TURN, preparation.turn().degrees());
        }
        if (preparation.isMirrored()) {
            photo.put(MIRROR, true);
        }
        if (!preparation.angle().equals(Angle.NONE)) {
            photo.put(ANGLE, preparation.angle().degrees());
        }
    }

    static Preparation read(JsonPlace photo) throws JsonPlace.Misfit {
        return new Preparation(
                photo.optional(TURN, QuarterTurn.NONE, PreparationJson::turn),
                photo.optional(MIRROR, false, JsonPlace::flag),
                photo.optional(ANGLE, Angle.NONE, PreparationJson::angle));
    }

    private static QuarterTurn turn(JsonPlace place) throws JsonPlace.Misfit {
        int degrees = place.whole();
        return place.make(() -> QuarterTurn.of(degrees));
    }

    private static Angle angle(JsonPlace place) throws JsonPlace.Misfit {
        double degrees = place.number();
        return place.make(() -> new Angle(degrees));
    }
}
