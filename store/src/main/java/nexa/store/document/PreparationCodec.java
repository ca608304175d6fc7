package nexa.store.document;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import nexa.core.geometry.Angle;
import nexa.core.shape.Lens;
import nexa.core.shape.Perspective;
import nexa.core.shape.Shape;
import nexa.core.shape.Vignette;
import nexa.core.shoot.PhotoOrientation;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Tone;
import nexa.core.shoot.Trim;
import nexa.store.json.Codec;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.ObjectCodec;

/** What is done to a photo, as fields of the photo's object. What is not done is not written. */
public final class PreparationCodec {
    private static final Codec<Trim> TRIM = Json.NUMBER
            .list(4)
            .as(
                    sides -> new Trim(sides.get(0), sides.get(1), sides.get(2), sides.get(3)),
                    trim -> List.of(trim.left(), trim.top(), trim.right(), trim.bottom()));

    private static final Field<Vignette, Double> STOPS =
            Field.usually("stops", Vignette.NONE.stops(), Json.NUMBER, Vignette::stops);
    private static final Field<Vignette, Double> MIDDLE =
            Field.usually("middle", Vignette.NONE.middle(), Json.NUMBER, Vignette::middle);
    private static final ObjectCodec<Vignette> OF_VIGNETTE =
            new ObjectCodec<>(at -> new Vignette(STOPS.in(at), MIDDLE.in(at)), STOPS, MIDDLE);

    private static final Field<Preparation, QuarterTurn> TURN = Field.unless(
            "turn", QuarterTurn.NONE, Json.WHOLE.as(QuarterTurn::of, QuarterTurn::degrees), Preparation::turn);
    private static final Field<Preparation, Boolean> MIRROR =
            Field.unless("mirror", false, Json.FLAG, Preparation::isMirrored);
    private static final Field<Preparation, Trim> TRIMMED = trim(Preparation::trim);
    private static final Field<Preparation, Optional<Lens>> LENS =
            Field.optional("lens", LensCodec.LENS, Preparation::lens);
    private static final Field<Preparation, Optional<Perspective>> PERSPECTIVE =
            Field.optional("perspective", PerspectiveCodec.PERSPECTIVE, Preparation::perspective);
    private static final Field<Preparation, Angle> ANGLE =
            Field.unless("angle", Angle.NONE, Json.NUMBER.as(Angle::new, Angle::degrees), Preparation::angle);
    private static final Field<Preparation, Vignette> VIGNETTE = Field.unless(
                    "edge", Vignette.NONE, OF_VIGNETTE, Preparation::vignette)
            .orBare();

    static final ObjectCodec<Preparation> PREPARATION = new ObjectCodec<>(
            at -> new Preparation(
                    new PhotoOrientation(TURN.in(at), MIRROR.in(at)),
                    TRIMMED.in(at),
                    new Shape(LENS.in(at), PERSPECTIVE.in(at), ANGLE.in(at)),
                    new Tone(VIGNETTE.in(at))),
            TURN,
            MIRROR,
            TRIMMED,
            LENS,
            PERSPECTIVE,
            ANGLE,
            VIGNETTE);

    private PreparationCodec() {}

    /** The field for the trim of something. */
    public static <T> Field<T, Trim> trim(Function<T, Trim> getter) {
        return Field.unless("trim", Trim.NONE, TRIM, getter);
    }
}
