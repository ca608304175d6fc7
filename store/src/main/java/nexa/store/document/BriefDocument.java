package nexa.store.document;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.format.Brief;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.Format;
import nexa.core.message.Message;
import nexa.core.message.Telling;
import nexa.core.series.Formats;
import nexa.files.RegularFile;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.JsonPlace;
import nexa.store.json.NamedList;
import nexa.store.json.ObjectCodec;
import nexa.store.json.StrictJson;
import nexa.store.json.ValidationError;

/**
 * A brief as its file: read strictly and as a whole, with the fields that this version does not know.
 *
 * @param tree as it was read; a missing node for one that was made here
 */
public record BriefDocument(Brief brief, JsonNode tree) {
    /** What the names of such files end with. */
    public static final String ENDING = ".nexa-brief.json";

    private static final int VERSION = 1;
    private static final int LARGEST = 4 * 1024 * 1024;
    private static final StrictJson.Bounds BOUNDS = new StrictJson.Bounds(Map.of("formats", Formats.MOST), 200_000);

    private static final Field<DeliveryTerms, Boolean> REPLACES =
            Field.usually("replaces", DeliveryTerms.USUAL.replacesOwn(), Json.FLAG, DeliveryTerms::replacesOwn);
    private static final Field<DeliveryTerms, Boolean> CAMERA =
            Field.usually("camera", DeliveryTerms.USUAL.cameraData(), Json.FLAG, DeliveryTerms::cameraData);
    private static final Field<DeliveryTerms, Boolean> MAKER_NOTES =
            Field.usually("makerNotes", DeliveryTerms.USUAL.makerNotes(), Json.FLAG, DeliveryTerms::makerNotes);
    private static final Field<DeliveryTerms, Boolean> PLACE =
            Field.usually("place", DeliveryTerms.USUAL.place(), Json.FLAG, DeliveryTerms::place);
    private static final Field<DeliveryTerms, String> COPYRIGHT =
            Field.usually("copyright", DeliveryTerms.USUAL.copyright(), Json.TEXT, DeliveryTerms::copyright);
    private static final Field<DeliveryTerms, String> CREATOR =
            Field.usually("creator", DeliveryTerms.USUAL.creator(), Json.TEXT, DeliveryTerms::creator);
    private static final Field<DeliveryTerms, Boolean> LIST =
            Field.usually("list", DeliveryTerms.USUAL.list(), Json.FLAG, DeliveryTerms::list);
    private static final ObjectCodec<DeliveryTerms> TERMS_CODEC = new ObjectCodec<>(
            at -> new DeliveryTerms(
                    REPLACES.in(at),
                    CAMERA.in(at),
                    MAKER_NOTES.in(at),
                    PLACE.in(at),
                    COPYRIGHT.in(at),
                    CREATOR.in(at),
                    LIST.in(at)),
            REPLACES,
            CAMERA,
            MAKER_NOTES,
            PLACE,
            COPYRIGHT,
            CREATOR,
            LIST);

    private static final Field<Brief, Integer> NEXA = Field.required("nexaBrief", Json.WHOLE, brief -> VERSION);
    private static final Field<Brief, String> NAME = Field.required("name", Json.TEXT, Brief::name);
    /** Whether a format goes is a matter of its shoot. */
    private static final Field<Brief, List<Format>> FORMATS = Field.required(
            "formats",
            new NamedList<>(FormatCodec.FORMAT.without("goes"), "id", Format::id, "misfit.usedTwice"),
            Brief::formats);

    private static final Field<Brief, Optional<DeliveryTerms>> TERMS =
            Field.optional("terms", TERMS_CODEC, Brief::terms);
    private static final ObjectCodec<Brief> CODEC = new ObjectCodec<>(BriefDocument::brief, NEXA, NAME, FORMATS, TERMS);

    public static BriefDocument of(Brief brief) {
        return new BriefDocument(brief, MissingNode.getInstance());
    }

    /** Whether a file says by its name that it is a brief. */
    public static boolean isNamedSo(Path file) {
        return file.getFileName() != null && file.getFileName().toString().endsWith(ENDING);
    }

    /** @throws ShootProblem if the file cannot be read or is no brief; it names what is wrong and where */
    public static BriefDocument read(Path file) throws ShootProblem {
        try {
            JsonNode tree = StrictJson.read(RegularFile.read(file, LARGEST), BOUNDS);
            return new BriefDocument(CODEC.read(JsonPlace.root(tree)), tree);
        } catch (RegularFile.Refused e) {
            throw unusable(file, e.told());
        } catch (IOException e) {
            throw ShootProblem.unreadable(file, e);
        } catch (StrictJson.Unusable | ValidationError e) {
            throw unusable(file, ((Telling) e).told());
        }
    }

    private static ShootProblem unusable(Path file, Message what) {
        return new ShootProblem(Message.of("brief.unusable", file, what));
    }

    private static Brief brief(JsonPlace root) throws ValidationError {
        int version = NEXA.in(root);
        if (version != VERSION) {
            throw root.required(NEXA.name())
                    .misfit(version > VERSION ? "misfit.newer" : "misfit.version", version, VERSION);
        }
        return new Brief(NAME.in(root), FORMATS.in(root), TERMS.in(root));
    }

    /** The same file with another brief in it. */
    public BriefDocument with(Brief other) {
        return new BriefDocument(other, tree);
    }

    public byte[] bytes() {
        return StrictJson.bytes(CODEC.write(brief, tree));
    }
}
