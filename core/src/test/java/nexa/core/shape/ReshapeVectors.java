package nexa.core.shape;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import nexa.core.Vectors;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Size;

/** The photo, lens and perspective of a worked case. */
public final class ReshapeVectors {
    private ReshapeVectors() {}

    public static Size photo(JsonNode given) {
        return Vectors.size(given.get("photo"));
    }

    public static Angle angle(JsonNode given) {
        return new Angle(given.path("angle").asDouble(0));
    }

    public static Plane plane(JsonNode given) {
        return new Plane(photo(given), angle(given), lens(given), perspective(given));
    }

    public static Optional<Lens> lens(JsonNode given) {
        JsonNode lens = given.path("lens");
        if (lens.isMissingNode() || lens.isNull()) {
            return Optional.empty();
        }
        return Optional.of(new Lens(
                profile(lens.path("profile")),
                lens.get("cameraCrop").asDouble(),
                lens.get("distortion").asDouble(),
                lens.get("colour").asDouble(),
                lens.get("vignetting").asDouble(),
                lens.get("bulge").asDouble()));
    }

    private static Optional<LensProfile> profile(JsonNode profile) {
        if (profile.isMissingNode() || profile.isNull()) {
            return Optional.empty();
        }
        return Optional.of(new LensProfile(
                "made up",
                profile.get("cropFactor").asDouble(),
                profile.get("aspect").asDouble(),
                distortion(profile.path("distortion")),
                fringes(profile.path("colour")),
                Vectors.numbers(profile.path("vignetting").path("terms"))));
    }

    private static Optional<Distortion> distortion(JsonNode node) {
        return node.isObject()
                ? Optional.of(new Distortion(
                        Distortion.Model.valueOf(node.get("model").asText().toUpperCase(Locale.ROOT)),
                        Vectors.numbers(node.get("terms"))))
                : Optional.empty();
    }

    private static Optional<LateralChromaticAberration> fringes(JsonNode node) {
        if (!node.isObject()) {
            return Optional.empty();
        }
        List<Double> terms = Vectors.numbers(node.get("terms"));
        return Optional.of(
                node.get("model").asText().equals("linear")
                        ? LateralChromaticAberration.linear(terms.get(0), terms.get(1))
                        : new LateralChromaticAberration(
                                List.of(terms.get(0), terms.get(2), terms.get(4)),
                                List.of(terms.get(1), terms.get(3), terms.get(5))));
    }

    static Optional<Perspective> perspective(JsonNode given) {
        JsonNode node = given.path("perspective");
        return node.isObject()
                ? Optional.of(new Perspective(
                        node.get("tilt").asDouble(),
                        node.get("swing").asDouble(),
                        node.get("strength").asDouble(),
                        node.get("stretch").asDouble(),
                        node.get("focal35").asDouble(),
                        SceneLines.NONE))
                : Optional.empty();
    }
}
