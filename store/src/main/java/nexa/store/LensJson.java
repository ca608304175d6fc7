package nexa.store;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.message.EnumName;
import nexa.core.shape.Distortion;
import nexa.core.shape.Edge;
import nexa.core.shape.Fringes;
import nexa.core.shape.Lens;
import nexa.core.shape.LensProfile;

/**
 * How a photo's lens is put right, and the edge that is wanted, as JSON objects. The terms are kept as they are used, so that
 * other lens data changes no picture.
 */
final class LensJson {
    private static final String PROFILE = "profile";
    private static final String CAMERA_CROP = "cameraCrop";
    private static final String DISTORTION = "distortion";
    private static final String COLOUR = "colour";
    private static final String VIGNETTING = "vignetting";
    private static final String BULGE = "bulge";

    private static final String NAME = "name";
    private static final String CROP_FACTOR = "cropFactor";
    private static final String ASPECT = "aspect";
    private static final String MODEL = "model";
    private static final String TERMS = "terms";
    private static final String LINEAR = "linear";
    private static final String POLY3 = "poly3";

    private static final String STOPS = "stops";
    private static final String MIDDLE = "middle";

    /** The fields of a lens that this reads and writes. */
    static final KnownFields FIELDS = KnownFields.of(CAMERA_CROP, DISTORTION, COLOUR, VIGNETTING, BULGE)
            .with(
                    PROFILE,
                    KnownFields.of(NAME, CROP_FACTOR, ASPECT)
                            .with(DISTORTION, KnownFields.of(MODEL, TERMS))
                            .with(COLOUR, KnownFields.of(MODEL, TERMS))
                            .with(VIGNETTING, KnownFields.of(TERMS)));

    /** The fields of an edge that this reads and writes. */
    static final KnownFields EDGE_FIELDS = KnownFields.of(STOPS, MIDDLE).orBare();

    private LensJson() {}

    static void write(Lens lens, ObjectNode node) {
        lens.profile().ifPresent(profile -> write(profile, node.putObject(PROFILE)));
        node.put(CAMERA_CROP, lens.cameraCrop());
        node.put(DISTORTION, lens.distortion());
        node.put(COLOUR, lens.colour());
        node.put(VIGNETTING, lens.vignetting());
        node.put(BULGE, lens.bulge());
    }

    private static void write(LensProfile profile, ObjectNode node) {
        node.put(NAME, profile.name());
        node.put(CROP_FACTOR, profile.cropFactor());
        node.put(ASPECT, profile.aspect());
        profile.distortion()
                .ifPresent(bent ->
                        write(bent.terms(), node.putObject(DISTORTION).put(MODEL, EnumName.of(bent.model()))));
        profile.fringes()
                .ifPresent(fringes ->
                        write(interleaved(fringes), node.putObject(COLOUR).put(MODEL, POLY3)));
        if (!profile.vignetting().isEmpty()) {
            write(profile.vignetting(), node.putObject(VIGNETTING));
        }
    }

    private static void write(List<Double> terms, ObjectNode node) {
        ArrayNode list = node.putArray(TERMS);
        terms.forEach(list::add);
    }

    /** Red and blue by turns, as the document has them. */
    private static List<Double> interleaved(Fringes fringes) {
        List<Double> terms = new ArrayList<>();
        for (int i = 0; i < fringes.red().size(); i++) {
            terms.add(fringes.red().get(i));
            terms.add(fringes.blue().get(i));
        }
        return terms;
    }

    static void write(Edge edge, ObjectNode node) {
        node.put(STOPS, edge.stops());
        node.put(MIDDLE, edge.middle());
    }

    static Lens read(JsonPlace place) throws JsonPlace.Misfit {
        Optional<LensProfile> profile = place.optional(PROFILE, Optional.empty(), LensJson::profile);
        double cameraCrop = place.optional(CAMERA_CROP, 1.0, JsonPlace::number);
        double distortion = place.optional(DISTORTION, 1.0, JsonPlace::number);
        double colour = place.optional(COLOUR, 1.0, JsonPlace::number);
        double vignetting = place.optional(VIGNETTING, 1.0, JsonPlace::number);
        double bulge = place.optional(BULGE, 0.0, JsonPlace::number);
        return place.make(() -> new Lens(profile, cameraCrop, distortion, colour, vignetting, bulge));
    }

    private static Optional<LensProfile> profile(JsonPlace place) throws JsonPlace.Misfit {
        if (place.isNull()) {
            return Optional.empty();
        }
        String name = place.optional(NAME, "", JsonPlace::text);
        double cropFactor = place.optional(CROP_FACTOR, 1.0, JsonPlace::number);
        double aspect = place.optional(ASPECT, LensProfile.USUAL_ASPECT, JsonPlace::number);
        Optional<Distortion> distortion = place.ifThere(DISTORTION, LensJson::distortion);
        Optional<Fringes> fringes = place.ifThere(COLOUR, LensJson::fringes);
        List<Double> vignetting = place.optional(VIGNETTING, List.of(), LensJson::vignetting);
        return Optional.of(
                place.make(() -> new LensProfile(name, cropFactor, aspect, distortion, fringes, vignetting)));
    }

    private static Distortion distortion(JsonPlace place) throws JsonPlace.Misfit {
        Distortion.Model model = place.required(MODEL).oneOf(Distortion.Model.class);
        List<Double> terms = terms(place, model.termNames().size());
        return place.make(() -> new Distortion(model, terms));
    }

    private static Fringes fringes(JsonPlace place) throws JsonPlace.Misfit {
        JsonPlace model = place.required(MODEL);
        if (model.says(LINEAR)) {
            List<Double> terms = terms(place, 2);
            return place.make(() -> Fringes.linear(terms.get(0), terms.get(1)));
        }
        if (!model.says(POLY3)) {
            throw model.misfit("misfit.oneOf", LINEAR + ", " + POLY3, model.text());
        }
        List<Double> terms = terms(place, 6);
        return place.make(() -> new Fringes(
                List.of(terms.get(0), terms.get(2), terms.get(4)), List.of(terms.get(1), terms.get(3), terms.get(5))));
    }

    private static List<Double> vignetting(JsonPlace place) throws JsonPlace.Misfit {
        return terms(place, LensProfile.LIGHT_TERMS);
    }

    private static List<Double> terms(JsonPlace place, int count) throws JsonPlace.Misfit {
        List<Double> terms = new ArrayList<>();
        for (JsonPlace term : place.required(TERMS).list(count)) {
            terms.add(term.number());
        }
        return terms;
    }

    static Edge readEdge(JsonPlace place) throws JsonPlace.Misfit {
        double stops = place.optional(STOPS, Edge.NONE.stops(), JsonPlace::number);
        double middle = place.optional(MIDDLE, Edge.NONE.middle(), JsonPlace::number);
        return place.make(() -> new Edge(stops, middle));
    }
}
