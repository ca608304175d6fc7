package nexa.store;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
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
        Optional<JsonPlace> mirror = photo.optional(MIRROR);
        return new Preparation(
                turn(photo.optional(TURN)), mirror.isPresent() && mirror.get().flag(), angle(photo.optional(ANGLE)));
    }

    private static QuarterTurn turn(Optional<JsonPlace> place) throws JsonPlace.Misfit {
        if (place.isEmpty()) {
            return QuarterTurn.NONE;
        }
        int degrees = place.get().whole();
        return place.get().make(() -> QuarterTurn.of(degrees));
    }

    private static Angle angle(Optional<JsonPlace> place) throws JsonPlace.Misfit {
        if (place.isEmpty()) {
            return Angle.NONE;
        }
        double degrees = place.get().number();
        return place.get().make(() -> new Angle(degrees));
    }
}
