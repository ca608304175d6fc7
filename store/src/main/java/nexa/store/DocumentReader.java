package nexa.store;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.Going;
import nexa.core.format.LengthUnit;
import nexa.core.format.NamePattern;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Carry;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Tune;
import nexa.core.shoot.Wish;

/** Reads a shoot from its document, strictly: whatever does not fit is refused with the place where it stands. */
final class DocumentReader {
    /** The states a crop entry can be in. */
    private enum State {
        OWN,
        FOLLOW
    }

    private final String folderName;

    /** @param folderName the title of a shoot that has none */
    DocumentReader(String folderName) {
        this.folderName = folderName;
    }

    /** Which of the shoot's states a document holds. */
    static ShootDocument.Stand stand(JsonNode document) throws JsonPlace.Misfit {
        JsonPlace root = JsonPlace.root(document);
        Optional<JsonPlace> edit = root.optional(DocumentFields.EDIT);
        Optional<JsonPlace> continues = root.optional(DocumentFields.CONTINUES);
        return new ShootDocument.Stand(
                edit.isPresent() ? edit.get().count() : 0,
                continues.isPresent() ? continues.get().text() : Digest.NOTHING);
    }

    Shoot read(JsonNode document) throws JsonPlace.Misfit {
        JsonPlace root = JsonPlace.root(document);
        int version = root.required("nexa").whole();
        if (version != DocumentFields.VERSION) {
            throw root.required("nexa")
                    .misfit(
                            version > DocumentFields.VERSION ? "misfit.newer" : "misfit.version",
                            version,
                            DocumentFields.VERSION);
        }
        Optional<JsonPlace> title = root.optional("title");
        Optional<JsonPlace> order = root.optional("order");
        List<Format> named = formats(root);
        // There is no working without a format.
        List<Format> formats = named.isEmpty() ? StandardFormats.list() : named;
        Set<String> ids = new HashSet<>();
        formats.forEach(format -> ids.add(format.id()));
        List<Photo> photos = new ArrayList<>();
        Map<String, Photo> known = new HashMap<>();
        for (JsonPlace place : listOf(root, "photos")) {
            Photo photo = photo(place, ids);
            if (known.put(photo.file(), photo) != null) {
                throw place.misfitAt("file", "misfit.listedTwice", photo.file());
            }
            photos.add(photo);
        }
        checkLeads(root, formats, known);
        checkFollowers(root, formats, photos);
        String name = title.isPresent() ? title.get().text() : folderName;
        Shoot.Order ordered = order.isPresent() ? order.get().oneOf(Shoot.Order.class) : Shoot.Order.TIME;
        return root.make(() -> Shoot.of(name, ordered, formats, photos));
    }

    /** @throws JsonPlace.Misfit if a value is not one of a line of the journal */
    void checkChange(JsonNode line) throws JsonPlace.Misfit {
        JsonPlace root = JsonPlace.root(line).object();
        Set<String> ids = new HashSet<>();
        formats(root).forEach(format -> ids.add(format.id()));
        for (JsonPlace photo : root.required("photos").list()) {
            photo(photo, ids);
        }
        if (root.has(DocumentFields.EDIT)) {
            root.required(DocumentFields.EDIT).count();
            root.required(DocumentFields.CONTINUES).text();
        }
    }

    private static List<Format> formats(JsonPlace root) throws JsonPlace.Misfit {
        List<Format> formats = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (JsonPlace place : listOf(root, "formats")) {
            Format format = format(place);
            if (!ids.add(format.id())) {
                throw place.misfitAt("id", "misfit.usedTwice", format.id());
            }
            formats.add(format);
        }
        return formats;
    }

    private static void checkLeads(JsonPlace root, List<Format> formats, Map<String, Photo> photos) throws JsonPlace.Misfit {
        for (int i = 0; i < formats.size(); i++) {
            Format format = formats.get(i);
            for (Map.Entry<Orientation, String> lead : format.leads().entrySet()) {
                String place =
                        "formats[" + i + "].leads." + lead.getKey().name().toLowerCase(Locale.ROOT);
                Photo photo = photos.get(lead.getValue());
                if (photo == null) {
                    throw root.misfitAt(place, "misfit.noPhoto", lead.getValue());
                }
                if (!(photo.entry(format.id()).placement() instanceof Placement.Own)) {
                    throw root.misfitAt(place, "misfit.leadWithoutCrop", lead.getValue());
                }
            }
        }
    }

    private static void checkFollowers(JsonPlace root, List<Format> formats, List<Photo> photos) throws JsonPlace.Misfit {
        for (Format format : formats) {
            for (int i = 0; i < photos.size() && format.leads().isEmpty(); i++) {
                if (photos.get(i).entry(format.id()).placement() instanceof Placement.Follow) {
                    throw root.misfitAt("photos[" + i + "].crops." + format.id(), "misfit.noLead");
                }
            }
        }
    }

    private static List<JsonPlace> listOf(JsonPlace place, String name) throws JsonPlace.Misfit {
        Optional<JsonPlace> list = place.optional(name);
        return list.isPresent() ? list.get().list() : List.of();
    }

    private static Format format(JsonPlace place) throws JsonPlace.Misfit {
        String id = place.required("id").text();
        String name = place.required("name").text();
        Ratio ratio = place.required("ratio").as(Ratio::parse);
        Optional<JsonPlace> turn = place.optional("turn");
        FormatTurn turned = turn.isPresent() ? turn.get().oneOf(FormatTurn.class) : FormatTurn.PHOTO;
        Optional<JsonPlace> size = place.optional("size");
        OutputSize output = size.isPresent() ? size(size.get()) : new OutputSize.AsCropped();
        Map<Orientation, String> leads = leads(place.optional("leads"));
        Format.Tolerance tolerance = tolerance(place.optional("tolerance"));
        Optional<JsonPlace> goes = place.optional("goes");
        Going going = goes.isPresent() ? going(goes.get()) : Going.GOES;
        FileSpec file = file(place.optional("file"), id);
        return place.make(() -> new Format(id, name, ratio, turned, output, leads, tolerance, going, file));
    }

    private static Going going(JsonPlace place) throws JsonPlace.Misfit {
        if (place.says(DocumentFields.WAITS)) {
            return Going.WAITS;
        }
        if (!place.isFlag()) {
            throw place.misfit("misfit.going", DocumentFields.WAITS);
        }
        return place.flag() ? Going.GOES : Going.STAYS;
    }

    private static OutputSize size(JsonPlace place) throws JsonPlace.Misfit {
        String unit = place.required("unit").text();
        if (unit.equals("px")) {
            if (place.has("longEdge")) {
                int pixels = place.required("longEdge").whole();
                return place.make(() -> new OutputSize.LongEdge(pixels));
            }
            int width = place.required("width").whole();
            int height = place.required("height").whole();
            return place.make(() -> new OutputSize.Pixels(width, height));
        }
        if (!Set.of("cm", "mm", "in").contains(unit)) {
            throw place.required("unit").misfit("misfit.unit", unit);
        }
        double width = place.required("width").number();
        double height = place.required("height").number();
        LengthUnit length = place.required("unit").oneOf(LengthUnit.class);
        double ppi = place.required("ppi").number();
        return place.make(() -> new OutputSize.Print(width, height, length, ppi));
    }

    private static Map<Orientation, String> leads(Optional<JsonPlace> place) throws JsonPlace.Misfit {
        Map<Orientation, String> leads = new EnumMap<>(Orientation.class);
        if (place.isPresent()) {
            for (Orientation orientation : Orientation.values()) {
                String key = orientation == Orientation.WIDE ? "wide" : "tall";
                Optional<JsonPlace> lead = place.get().optional(key);
                if (lead.isPresent()) {
                    leads.put(orientation, lead.get().text());
                }
            }
        }
        return leads;
    }

    private static Format.Tolerance tolerance(Optional<JsonPlace> place) throws JsonPlace.Misfit {
        if (place.isEmpty()) {
            return Format.Tolerance.USUAL;
        }
        double tightness = number(place.get(), "tightness", Format.Tolerance.USUAL.tightness());
        double position = number(place.get(), "position", Format.Tolerance.USUAL.position());
        return place.get().make(() -> new Format.Tolerance(tightness, position));
    }

    private static double number(JsonPlace place, String name, double usual) throws JsonPlace.Misfit {
        Optional<JsonPlace> number = place.optional(name);
        return number.isPresent() ? number.get().number() : usual;
    }

    private static FileSpec file(Optional<JsonPlace> place, String id) throws JsonPlace.Misfit {
        FileSpec usual = FileSpec.usual(NamePattern.clean(id));
        if (place.isEmpty()) {
            return usual;
        }
        JsonPlace file = place.get();
        Optional<JsonPlace> type = file.optional("type");
        FileSpec.Type kind = type.isPresent() ? type.get().oneOf(FileSpec.Type.class) : usual.type();
        Optional<JsonPlace> quality = file.optional("quality");
        int percent = quality.isPresent() ? quality.get().whole() : usual.quality();
        Optional<JsonPlace> colour = file.optional("colour");
        FileSpec.Colour colours = colour.isPresent() ? colour.get().oneOf(FileSpec.Colour.class) : usual.colour();
        Optional<JsonPlace> folder = file.optional("folder");
        String into = folder.isPresent() ? folder.get().text() : usual.folder();
        Optional<JsonPlace> name = file.optional("name");
        String pattern = name.isPresent() ? name.get().text() : usual.name();
        FileSpec.Sampling sampling = sampling(file.optional("sampling"), usual.sampling());
        FileSpec.Depth depth = depth(file.optional("depth"), usual.depth());
        Optional<JsonPlace> enlarge = file.optional("enlarge");
        boolean enlarges = enlarge.isEmpty() || enlarge.get().flag();
        return file.make(() -> new FileSpec(kind, percent, sampling, depth, colours, enlarges, into, pattern));
    }

    private static FileSpec.Sampling sampling(Optional<JsonPlace> place, FileSpec.Sampling usual) throws JsonPlace.Misfit {
        if (place.isEmpty()) {
            return usual;
        }
        return switch (place.get().text()) {
            case DocumentFields.FULL_COLOUR -> FileSpec.Sampling.FULL;
            case DocumentFields.HALF_COLOUR -> FileSpec.Sampling.HALF;
            default ->
                throw place.get().misfit("misfit.sampling", DocumentFields.FULL_COLOUR, DocumentFields.HALF_COLOUR);
        };
    }

    private static FileSpec.Depth depth(Optional<JsonPlace> place, FileSpec.Depth usual) throws JsonPlace.Misfit {
        if (place.isEmpty()) {
            return usual;
        }
        return switch (place.get().whole()) {
            case 8 -> FileSpec.Depth.EIGHT;
            case 16 -> FileSpec.Depth.SIXTEEN;
            default -> throw place.get().misfit("misfit.depth");
        };
    }

    private static Photo photo(JsonPlace place, Set<String> formats) throws JsonPlace.Misfit {
        JsonPlace named = place.required("file");
        String file = named.text();
        if (!isInside(file)) {
            throw named.misfit("misfit.outside", file);
        }
        Photo photo = named.make(() -> Photo.untouched(file));
        Optional<PixelSize> pixels = Optional.empty();
        Optional<JsonPlace> sides = place.optional("pixels");
        if (sides.isPresent()) {
            List<JsonPlace> pair = sides.get().list(2);
            int width = pair.get(0).whole();
            int height = pair.get(1).whole();
            pixels = Optional.of(sides.get().make(() -> new PixelSize(width, height)));
        }
        Optional<JsonPlace> mark = place.optional("mark");
        Optional<JsonPlace> subject = place.optional("subject");
        Map<String, CropEntry> crops = new LinkedHashMap<>();
        Optional<JsonPlace> entries = place.optional("crops");
        if (entries.isPresent()) {
            for (String format : entries.get().names()) {
                if (formats.contains(format)) {
                    crops.put(format, crop(entries.get().required(format)));
                }
            }
        }
        boolean hasNoSubject = subject.isPresent() && subject.get().isNull();
        return new Photo(
                photo.file(),
                pixels,
                identity(place.optional("identity")),
                PreparationJson.read(place),
                mark.isPresent() ? mark.get().oneOf(Mark.class) : Mark.OPEN,
                subject.isPresent() && !hasNoSubject ? Optional.of(subject(subject.get())) : Optional.empty(),
                hasNoSubject,
                crops);
    }

    private static Optional<FileIdentity> identity(Optional<JsonPlace> place) throws JsonPlace.Misfit {
        if (place.isEmpty()) {
            return Optional.empty();
        }
        long length = place.get().required("bytes").count();
        String digest = place.get().required("digest").text();
        return Optional.of(place.get().make(() -> new FileIdentity(length, digest)));
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

    private static Subject subject(JsonPlace place) throws JsonPlace.Misfit {
        Point at = point(place.required("at"));
        Optional<JsonPlace> radius = place.optional("radius");
        OptionalDouble share =
                radius.isPresent() ? OptionalDouble.of(radius.get().number()) : OptionalDouble.empty();
        return place.make(() -> new Subject(at, share));
    }

    private static Point point(JsonPlace place) throws JsonPlace.Misfit {
        List<JsonPlace> pair = place.list(2);
        double x = pair.get(0).number();
        double y = pair.get(1).number();
        return new Point(x, y);
    }

    private static CropEntry crop(JsonPlace place) throws JsonPlace.Misfit {
        Optional<JsonPlace> turn = place.optional("turn");
        Optional<Orientation> lying =
                turn.isPresent() ? Optional.of(turn.get().oneOf(Orientation.class)) : Optional.empty();
        Optional<JsonPlace> done = place.optional("done");
        boolean isDone = done.isPresent() && done.get().flag();
        return new CropEntry(placement(place), lying, isDone);
    }

    private static Placement placement(JsonPlace place) throws JsonPlace.Misfit {
        Optional<JsonPlace> state = place.optional("state");
        if (state.isEmpty()) {
            if (place.has("centre") || place.has("size") || place.has("tune") || place.has("carry")) {
                throw place.misfit("misfit.lacks", "state");
            }
            return Placement.UNTOUCHED;
        }
        if (state.get().oneOf(State.class) == State.OWN) {
            return new Placement.Own(wish(place));
        }
        Optional<Wish> own = place.has("centre") || place.has("size") ? Optional.of(wish(place)) : Optional.empty();
        Optional<JsonPlace> tune = place.optional("tune");
        Optional<JsonPlace> accepted = place.optional("accepted");
        return new Placement.Follow(
                tune.isPresent() ? tune(tune.get()) : Tune.NONE,
                carry(place.optional("carry")),
                own,
                accepted.isPresent() && accepted.get().flag());
    }

    private static Wish wish(JsonPlace place) throws JsonPlace.Misfit {
        JsonPlace centre = place.required("centre");
        Point at = point(centre);
        JsonPlace size = place.required("size");
        Point sides = point(size);
        return place.make(() -> new Wish(at, new Size(sides.x(), sides.y())));
    }

    private static Tune tune(JsonPlace place) throws JsonPlace.Misfit {
        double dx = number(place, "dx", 0);
        double dy = number(place, "dy", 0);
        double zoom = number(place, "zoom", 1);
        return place.make(() -> new Tune(dx, dy, zoom));
    }

    private static Set<Carry> carry(Optional<JsonPlace> place) throws JsonPlace.Misfit {
        if (place.isEmpty()) {
            return EnumSet.allOf(Carry.class);
        }
        Set<Carry> carry = EnumSet.noneOf(Carry.class);
        for (JsonPlace one : place.get().list()) {
            carry.add(one.oneOf(Carry.class));
        }
        return carry;
    }
}
