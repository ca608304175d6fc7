package nexa.store;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.message.EnumName;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Colour;
import nexa.core.shoot.Subject;

/** How what lies beyond a photo is filled, as it is written in a JSON object. */
final class BeyondJson {
    static final KnownFields FIELDS = KnownFields.of("fill", "colour", "method")
            .with("protect", KnownFields.of("x", "y", "r"))
            .orBare();

    /** Said for the edge's own colour. */
    private static final String EDGE = "edge";

    /** How a fill is made of the picture; another way, which makes other pixels, would get another number. */
    private static final int METHOD = 1;

    private BeyondJson() {}

    static ObjectNode write(Beyond beyond) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("fill", EnumName.of(beyond.fill()));
        if (beyond.fill() == Beyond.Fill.COLOUR || beyond.colour().isPresent()) {
            node.put("colour", beyond.colour().map(Colour::toString).orElse(EDGE));
        }
        beyond.spared().ifPresent(spared -> {
            ObjectNode circle = node.putObject("protect");
            circle.put("x", spared.at().x()).put("y", spared.at().y());
            spared.radius().ifPresent(radius -> circle.put("r", radius));
        });
        return node.put("method", METHOD);
    }

    static Beyond read(JsonPlace place) throws JsonPlace.Misfit {
        Beyond.Fill fill = place.optional("fill", Beyond.USUAL.fill(), at -> at.oneOf(Beyond.Fill.class));
        Optional<JsonPlace> method = place.optional("method");
        if (method.isPresent() && method.get().whole() != METHOD) {
            throw method.get().misfit("misfit.method", METHOD);
        }
        Optional<Colour> colour = place.optional(
                "colour", Optional.empty(), at -> at.says(EDGE) ? Optional.empty() : Optional.of(at.as(Colour::parse)));
        return new Beyond(fill, colour, place.ifThere("protect", BeyondJson::circle));
    }

    private static Subject circle(JsonPlace place) throws JsonPlace.Misfit {
        Point at = new Point(place.required("x").number(), place.required("y").number());
        OptionalDouble radius = place.optional("r", OptionalDouble.empty(), r -> OptionalDouble.of(r.number()));
        return place.make(() -> new Subject(at, radius));
    }
}
