package nexa.store.document;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;
import nexa.core.message.EnumName;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.files.Digest;
import nexa.store.json.Codec;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.JsonPlace;
import nexa.store.json.NamedList;
import nexa.store.json.ObjectCodec;
import nexa.store.json.ValidationError;

/**
 * A shoot as its document: read strictly, so that whatever does not fit is refused with the place where it stands; written with
 * what this version does not know as it was in the document before.
 */
public final class DocumentCodec {
    /** The field that says which edit of the shoot a document or a line of its journal has seen last. */
    public static final String EDIT = "edit";

    /** The field that says which document beside the photos that continues. */
    public static final String CONTINUES = "continues";

    private static final int VERSION = 1;

    private static final Field<Said, Integer> NEXA = Field.required("nexa", Json.WHOLE, said -> VERSION);
    private static final Field<Said, Long> EDITED =
            Field.unless(EDIT, 0L, Json.COUNT, said -> said.stand().edit());
    private static final Field<Said, String> CONTINUED = Field.unless(
            CONTINUES, Digest.NOTHING, Json.TEXT, said -> said.stand().continues());
    private static final Field<Said, Shoot.Order> ORDER = Field.usually(
            "order",
            Shoot.Order.TIME,
            Json.oneOf(Shoot.Order.class),
            said -> said.shoot().order());
    private static final Field<Said, Shoot.Pairs> PAIRS = Field.unless(
            "pairs",
            Shoot.Pairs.TOGETHER,
            Json.oneOf(Shoot.Pairs.class),
            said -> said.shoot().pairs());
    private static final Codec<List<Format>> FORMAT_LIST =
            new NamedList<>(FormatCodec.FORMAT, "id", Format::id, "misfit.usedTwice");
    private static final Field<Said, List<Format>> FORMATS = Field.usually(
            "formats", List.of(), FORMAT_LIST, said -> said.shoot().formats());

    /** All that a document says. */
    record Said(Shoot shoot, Stand stand) {}

    private DocumentCodec() {}

    private static Field<Said, String> title(String usual) {
        return Field.usually("title", usual, Json.TEXT, said -> said.shoot().title());
    }

    /** @param formats the ids of the formats that are listed */
    private static Field<Said, List<Photo>> photos(Set<String> formats) {
        return Field.usually(
                "photos", List.of(), photoList(formats), said -> said.shoot().photos());
    }

    private static Codec<List<Photo>> photoList(Set<String> formats) {
        return new NamedList<>(PhotoCodec.of(formats), "file", Photo::file, "misfit.listedTwice");
    }

    /**
     * How a document is written, and read.
     *
     * @param usualTitle of a shoot that has none
     * @param knownFormats the ids of the formats that it had before it is written
     */
    private static ObjectCodec<Said> document(String usualTitle, Set<String> knownFormats) {
        return new ObjectCodec<>(
                root -> said(root, usualTitle),
                NEXA,
                EDITED,
                CONTINUED,
                title(usualTitle),
                ORDER,
                PAIRS,
                FORMATS,
                photos(knownFormats));
    }

    private static Said said(JsonPlace root, String usualTitle) throws ValidationError {
        int version = NEXA.in(root);
        if (version != VERSION) {
            throw root.required("nexa").misfit(version > VERSION ? "misfit.newer" : "misfit.version", version, VERSION);
        }
        List<Format> named = FORMATS.in(root);
        // There is no working without a format.
        List<Format> formats = named.isEmpty() ? StandardFormats.list() : named;
        List<Photo> photos = photos(ids(formats)).in(root);
        checkLeads(root, formats, photos);
        checkFollowers(root, formats, photos);
        String title = title(usualTitle).in(root);
        Shoot.Order order = ORDER.in(root);
        Shoot.Pairs pairs = PAIRS.in(root);
        Shoot shoot = Shoot.of(title, order, formats, photos).withPairs(pairs);
        return new Said(shoot, new Stand(EDITED.in(root), CONTINUED.in(root)));
    }

    /** What the tree of a document says, of a shoot in a folder. */
    static Said read(JsonNode tree, String folderName) throws ValidationError {
        return document(folderName, Set.of()).read(JsonPlace.root(tree));
    }

    private static Set<String> ids(List<Format> formats) {
        return formats.stream().map(Format::id).collect(Collectors.toSet());
    }

    /**
     * The tree of a shoot's document.
     *
     * @param earlier the document as it was read, or a missing node
     */
    static ObjectNode write(Shoot shoot, Stand stand, JsonNode earlier) {
        return document("", earlierFormats(earlier)).write(new Said(shoot, stand), earlier);
    }

    private static Set<String> earlierFormats(JsonNode tree) {
        return NamedList.byName(tree.path("formats"), "id").keySet();
    }

    /** What a line of the journal says of photos, and of formats if they are given. */
    static void writeChange(JsonNode earlier, List<Photo> photos, Optional<List<Format>> formats, ObjectNode line) {
        line.set("photos", photoList(earlierFormats(earlier)).write(photos, earlier.path("photos")));
        formats.ifPresent(changed -> line.set("formats", FORMAT_LIST.write(changed, earlier.path("formats"))));
    }

    /** @throws ValidationError if a value is not one of a line of the journal */
    public static void checkChange(JsonNode line) throws ValidationError {
        JsonPlace root = JsonPlace.root(line).object();
        PhotoCodec.of(ids(FORMATS.in(root))).list().read(root.required("photos"));
        if (root.has(EDIT)) {
            root.required(EDIT).count();
            root.required(CONTINUES).text();
        }
    }

    private static void checkLeads(JsonPlace root, List<Format> formats, List<Photo> photos) throws ValidationError {
        Map<String, Photo> known = new HashMap<>();
        photos.forEach(photo -> known.put(photo.file(), photo));
        for (int i = 0; i < formats.size(); i++) {
            Format format = formats.get(i);
            for (Map.Entry<Orientation, String> lead : format.leads().entrySet()) {
                String place = "formats[" + i + "].leads." + EnumName.of(lead.getKey());
                Photo photo = known.get(lead.getValue());
                if (photo == null) {
                    throw root.misfitAt(place, "misfit.noPhoto", lead.getValue());
                }
                if (!(photo.entry(format.id()).placement() instanceof Placement.Own)) {
                    throw root.misfitAt(place, "misfit.leadWithoutCrop", lead.getValue());
                }
            }
        }
    }

    private static void checkFollowers(JsonPlace root, List<Format> formats, List<Photo> photos)
            throws ValidationError {
        for (Format format : formats) {
            for (int i = 0; i < photos.size() && format.leads().isEmpty(); i++) {
                if (photos.get(i).entry(format.id()).placement() instanceof Placement.Follow) {
                    throw root.misfitAt("photos[" + i + "].crops." + format.id(), "misfit.noLead");
                }
            }
        }
    }
}
