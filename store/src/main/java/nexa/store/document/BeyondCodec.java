package nexa.store.document;

import com.fasterxml.jackson.databind.node.IntNode;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Colour;
import nexa.core.shoot.Subject;
import nexa.store.json.Codec;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.JsonPlace;
import nexa.store.json.ObjectCodec;
import nexa.store.json.ValidationError;

/** How what lies beyond a photo is filled. */
final class BeyondCodec {
    /** Said for the edge's own colour. */
    private static final String EDGE = "edge";

    /** How a fill is made of the picture; another way, which makes other pixels, would get another number. */
    private static final int METHOD = 1;

    private static final Field<Subject, Double> X =
            Field.required("x", Json.NUMBER, spared -> spared.at().x());
    private static final Field<Subject, Double> Y =
            Field.required("y", Json.NUMBER, spared -> spared.at().y());
    private static final Field<Subject, OptionalDouble> R =
            Field.unless("r", OptionalDouble.empty(), Json.SOME_NUMBER, Subject::radius);
    private static final ObjectCodec<Subject> CIRCLE =
            new ObjectCodec<>(at -> new Subject(new Point(X.in(at), Y.in(at)), R.in(at)), X, Y, R);

    private static final Field<Beyond, Beyond.Fill> FILL =
            Field.usually("fill", Beyond.USUAL.fill(), Json.oneOf(Beyond.Fill.class), Beyond::fill);
    private static final Field<Beyond, Optional<String>> COLOUR =
            Field.optional("colour", Json.TEXT, BeyondCodec::colour);
    private static final Field<Beyond, Optional<Subject>> PROTECT = Field.optional("protect", CIRCLE, Beyond::spared);
    private static final Field<Beyond, Integer> MADE_BY =
            Field.usually("method", METHOD, Codec.of(BeyondCodec::method, IntNode::valueOf), beyond -> METHOD);

    static final ObjectCodec<Beyond> BEYOND = new ObjectCodec<>(BeyondCodec::read, FILL, COLOUR, PROTECT, MADE_BY);

    private BeyondCodec() {}

    private static Optional<String> colour(Beyond beyond) {
        return beyond.fill() == Beyond.Fill.COLOUR || beyond.colour().isPresent()
                ? Optional.of(beyond.colour().map(Colour::toString).orElse(EDGE))
                : Optional.empty();
    }

    private static int method(JsonPlace place) throws ValidationError {
        int method = place.whole();
        if (method != METHOD) {
            throw place.misfit("misfit.method", METHOD);
        }
        return method;
    }

    private static Beyond read(JsonPlace at) throws ValidationError {
        Beyond.Fill fill = FILL.in(at);
        MADE_BY.in(at);
        Optional<Colour> colour = at.optional(
                "colour",
                Optional.empty(),
                place -> place.says(EDGE) ? Optional.empty() : Optional.of(place.as(Colour::parse)));
        return new Beyond(fill, colour, PROTECT.in(at));
    }
}
