package nexa.store.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.shape.Distortion;
import nexa.core.shape.LateralChromaticAberration;
import nexa.core.shape.Lens;
import nexa.core.shape.LensProfile;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.JsonPlace;
import nexa.store.json.ObjectCodec;
import nexa.store.json.ValidationError;

/** How a photo's lens is put right. The terms are kept as they are used, so that other lens data changes no picture. */
final class LensCodec {
    private static final String LINEAR = "linear";
    private static final String POLY3 = "poly3";
    private static final String MODEL = "model";
    private static final String TERMS = "terms";

    private static final ObjectCodec<Distortion> DISTORTION = new ObjectCodec<>(
            LensCodec::distortion,
            Field.required(MODEL, Json.oneOf(Distortion.Model.class), Distortion::model),
            Field.required(TERMS, Json.NUMBER.list(), Distortion::terms));
    private static final ObjectCodec<LateralChromaticAberration> FRINGES = new ObjectCodec<>(
            LensCodec::fringes,
            Field.required(MODEL, Json.TEXT, fringes -> POLY3),
            Field.required(TERMS, Json.NUMBER.list(), LensCodec::interleaved));
    private static final Field<List<Double>, List<Double>> LIGHT_TERMS =
            Field.required(TERMS, Json.NUMBER.list(LensProfile.LIGHT_TERMS), terms -> terms);

    private static final Field<LensProfile, String> NAME = Field.usually("name", "", Json.TEXT, LensProfile::name);
    private static final Field<LensProfile, Double> CROP_FACTOR =
            Field.usually("cropFactor", 1.0, Json.NUMBER, LensProfile::cropFactor);
    private static final Field<LensProfile, Double> ASPECT =
            Field.usually("aspect", LensProfile.USUAL_ASPECT, Json.NUMBER, LensProfile::aspect);
    private static final Field<LensProfile, Optional<Distortion>> BENT =
            Field.optional("distortion", DISTORTION, LensProfile::distortion);
    private static final Field<LensProfile, Optional<LateralChromaticAberration>> FRINGED =
            Field.optional("colour", FRINGES, LensProfile::fringes);
    private static final Field<LensProfile, List<Double>> DARKENED = Field.unless(
            "vignetting", List.of(), new ObjectCodec<>(LIGHT_TERMS::in, LIGHT_TERMS), LensProfile::vignetting);
    private static final ObjectCodec<LensProfile> PROFILE = new ObjectCodec<>(
            at -> new LensProfile(
                    NAME.in(at), CROP_FACTOR.in(at), ASPECT.in(at), BENT.in(at), FRINGED.in(at), DARKENED.in(at)),
            NAME,
            CROP_FACTOR,
            ASPECT,
            BENT,
            FRINGED,
            DARKENED);

    private static final Field<Lens, Optional<LensProfile>> OF = Field.optional("profile", PROFILE, Lens::profile);
    private static final Field<Lens, Double> CAMERA_CROP =
            Field.usually("cameraCrop", 1.0, Json.NUMBER, Lens::cameraCrop);
    private static final Field<Lens, Double> DISTORTED =
            Field.usually("distortion", 1.0, Json.NUMBER, Lens::distortion);
    private static final Field<Lens, Double> COLOUR = Field.usually("colour", 1.0, Json.NUMBER, Lens::colour);
    private static final Field<Lens, Double> VIGNETTING =
            Field.usually("vignetting", 1.0, Json.NUMBER, Lens::vignetting);
    private static final Field<Lens, Double> BULGE = Field.usually("bulge", 0.0, Json.NUMBER, Lens::bulge);

    static final ObjectCodec<Lens> LENS = new ObjectCodec<>(
            at -> new Lens(
                    profile(at), CAMERA_CROP.in(at), DISTORTED.in(at), COLOUR.in(at), VIGNETTING.in(at), BULGE.in(at)),
            OF,
            CAMERA_CROP,
            DISTORTED,
            COLOUR,
            VIGNETTING,
            BULGE);

    private LensCodec() {}

    /** None may be said too. */
    private static Optional<LensProfile> profile(JsonPlace lens) throws ValidationError {
        Optional<JsonPlace> said = lens.optional("profile");
        return said.isPresent() && said.get().isNull() ? Optional.empty() : OF.in(lens);
    }

    private static Distortion distortion(JsonPlace place) throws ValidationError {
        Distortion.Model model = place.required(MODEL).oneOf(Distortion.Model.class);
        return new Distortion(model, terms(place, model.termNames().size()));
    }

    private static LateralChromaticAberration fringes(JsonPlace place) throws ValidationError {
        JsonPlace model = place.required(MODEL);
        if (model.says(LINEAR)) {
            List<Double> terms = terms(place, 2);
            return LateralChromaticAberration.linear(terms.get(0), terms.get(1));
        }
        if (!model.says(POLY3)) {
            throw model.misfit("misfit.oneOf", LINEAR + ", " + POLY3, model.text());
        }
        List<Double> terms = terms(place, 6);
        return new LateralChromaticAberration(
                List.of(terms.get(0), terms.get(2), terms.get(4)), List.of(terms.get(1), terms.get(3), terms.get(5)));
    }

    /** Red and blue by turns, as the document has them. */
    private static List<Double> interleaved(LateralChromaticAberration fringes) {
        List<Double> terms = new ArrayList<>();
        for (int i = 0; i < fringes.red().size(); i++) {
            terms.add(fringes.red().get(i));
            terms.add(fringes.blue().get(i));
        }
        return terms;
    }

    private static List<Double> terms(JsonPlace place, int count) throws ValidationError {
        return Json.NUMBER.list(count).read(place.required(TERMS));
    }
}
