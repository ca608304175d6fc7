package nexa.store.document;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.PixelSize;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.store.json.Codec;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.JsonPlace;
import nexa.store.json.ObjectCodec;
import nexa.store.json.ValidationError;

/** A photo, and the crops that are wished for it. */
final class PhotoCodec {
    private static final CropCodec CROP = new CropCodec();

    /** What is said of a photo's subject: where it is, that there is none, or nothing. */
    private record SubjectSaid(Optional<Subject> subject, boolean isNone) {
        static final SubjectSaid NOTHING = new SubjectSaid(Optional.empty(), false);
    }

    private static final class SubjectSaidCodec implements Codec<SubjectSaid> {
        @Override
        public SubjectSaid read(JsonPlace place) throws ValidationError {
            return place.isNull()
                    ? new SubjectSaid(Optional.empty(), true)
                    : new SubjectSaid(Optional.of(SubjectCodec.SUBJECT.read(place)), false);
        }

        @Override
        public JsonNode write(SubjectSaid said, JsonNode earlier) {
            return said.isNone()
                    ? NullNode.getInstance()
                    : SubjectCodec.SUBJECT.write(said.subject().orElseThrow(), earlier);
        }
    }

    private static final Field<FileIdentity, Long> BYTES = Field.required("bytes", Json.COUNT, FileIdentity::length);
    private static final Field<FileIdentity, String> DIGEST = Field.required("digest", Json.TEXT, FileIdentity::digest);
    private static final Codec<String> INSIDE = Codec.of(PhotoCodec::inside, TextNode::valueOf);

    private static final Field<Photo, String> FILE = Field.required("file", INSIDE, Photo::file);
    private static final Field<Photo, Optional<String>> RAW = Field.optional("raw", INSIDE, Photo::raw);
    private static final Field<Photo, Optional<PixelSize>> PIXELS = Field.optional(
            "pixels",
            Json.WHOLE
                    .list(2)
                    .as(pair -> new PixelSize(pair.get(0), pair.get(1)), size -> List.of(size.width(), size.height())),
            Photo::pixels);
    private static final Field<Photo, Optional<FileIdentity>> IDENTITY = Field.optional(
            "identity",
            new ObjectCodec<>(at -> new FileIdentity(BYTES.in(at), DIGEST.in(at)), BYTES, DIGEST),
            Photo::identity);
    private static final Field<Photo, Mark> MARK = Field.unless("mark", Mark.OPEN, Json.oneOf(Mark.class), Photo::mark);
    private static final Field<Photo, SubjectSaid> SUBJECT = Field.unless(
            "subject",
            SubjectSaid.NOTHING,
            new SubjectSaidCodec(),
            photo -> new SubjectSaid(photo.subject(), photo.hasNoSubject()));

    private PhotoCodec() {}

    /** @param formats the ids of the formats; crops in others are not known, and kept as they are */
    static ObjectCodec<Photo> of(Set<String> formats) {
        Field<Photo, Map<String, CropEntry>> crops =
                Field.usually("crops", Map.of(), new CropsCodec(formats), Photo::crops);
        List<Field<Photo, ?>> fields = new ArrayList<>(List.of(FILE, RAW, PIXELS, IDENTITY));
        fields.addAll(PreparationCodec.PREPARATION.fieldsOf(Photo::preparation));
        fields.addAll(List.of(MARK, SUBJECT, crops));
        return new ObjectCodec<>(at -> read(at, crops), fields);
    }

    private static Photo read(JsonPlace at, Field<Photo, Map<String, CropEntry>> crops) throws ValidationError {
        JsonPlace named = at.required(FILE.name());
        String file = INSIDE.read(named);
        named.make(() -> Photo.untouched(file));
        SubjectSaid subject = SUBJECT.in(at);
        return new Photo(
                file,
                RAW.in(at),
                PIXELS.in(at),
                IDENTITY.in(at),
                Optional.empty(),
                PreparationCodec.PREPARATION.read(at),
                MARK.in(at),
                subject.subject(),
                subject.isNone(),
                crops.in(at));
    }

    private static String inside(JsonPlace named) throws ValidationError {
        if (!isInside(named.text())) {
            throw named.misfit("misfit.outside", named.text());
        }
        return named.text();
    }

    /** Whether a file name, with / between its parts, stays inside the folder it is resolved against. */
    private static boolean isInside(String file) {
        for (String part : file.split("/", -1)) {
            if (part.isEmpty()
                    || part.equals(".")
                    || part.equals("..")
                    || part.contains("\\..")
                    || part.startsWith("..\\")) {
                return false;
            }
        }
        return file.indexOf('\0') < 0;
    }

    /** Entries of formats that are not listed are not known, and kept whole; untouched ones keep what is not known. */
    private record CropsCodec(Set<String> formats) implements Codec<Map<String, CropEntry>> {
        @Override
        public Map<String, CropEntry> read(JsonPlace place) throws ValidationError {
            Map<String, CropEntry> crops = new LinkedHashMap<>();
            for (String format : place.names()) {
                if (formats.contains(format)) {
                    crops.put(format, CROP.read(place.required(format)));
                }
            }
            return crops;
        }

        @Override
        public JsonNode write(Map<String, CropEntry> all, JsonNode earlier) {
            ObjectNode crops = JsonNodeFactory.instance.objectNode();
            all.entrySet().stream()
                    .sorted(Map.Entry.comparingByKey())
                    .forEach(entry ->
                            crops.set(entry.getKey(), CROP.write(entry.getValue(), earlier.path(entry.getKey()))));
            earlier.properties().forEach(field -> {
                if (!formats.contains(field.getKey())) {
                    crops.set(field.getKey(), field.getValue());
                } else if (!all.containsKey(field.getKey())) {
                    ObjectNode unknown = CROP.write(CropEntry.UNTOUCHED, field.getValue());
                    if (!unknown.isEmpty()) {
                        crops.set(field.getKey(), unknown);
                    }
                }
            });
            return crops.isEmpty() ? MissingNode.getInstance() : crops;
        }
    }
}
