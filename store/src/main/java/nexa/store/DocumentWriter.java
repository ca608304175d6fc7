package nexa.store;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.format.OutputSize;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.message.EnumName;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Carry;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Tune;
import nexa.core.shoot.Wish;

/** Writes a shoot as its document. Fields this version does not know are taken over from the document as it was read. */
final class DocumentWriter {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private final JsonNode earlier;
    private final Set<String> knownFormats;
    private final Map<String, JsonNode> earlierFormats;
    private final Map<String, JsonNode> earlierPhotos;

    /** @param earlier the document as it was read, or a missing node */
    DocumentWriter(JsonNode earlier) {
        this.earlier = earlier;
        this.earlierFormats = byName(earlier.path("formats"), "id");
        this.earlierPhotos = byName(earlier.path("photos"), "file");
        this.knownFormats = earlierFormats.keySet();
    }

    ObjectNode write(Shoot shoot, ShootDocument.Stand stand) {
        ObjectNode document = JSON.objectNode();
        document.put("nexa", DocumentFields.VERSION);
        if (stand.edit() > 0) {
            document.put(DocumentFields.EDIT, stand.edit());
        }
        if (!stand.continues().isEmpty()) {
            document.put(DocumentFields.CONTINUES, stand.continues());
        }
        document.put("title", shoot.title());
        document.put("order", EnumName.of(shoot.order()));
        if (shoot.pairs() != Shoot.Pairs.TOGETHER) {
            document.put("pairs", EnumName.of(shoot.pairs()));
        }
        document.set("formats", formats(shoot.formats()));
        ArrayNode photos = document.putArray("photos");
        shoot.photos().forEach(photo -> photos.add(photo(photo)));
        return DocumentFields.SHOOT.keeping(document, earlier);
    }

    /** The list of formats. */
    ArrayNode formats(List<Format> formats) {
        ArrayNode list = JSON.arrayNode();
        for (Format format : formats) {
            list.add(format(format, earlierFormats.getOrDefault(format.id(), MissingNode.getInstance())));
        }
        return list;
    }

    /** One photo of the list of photos. */
    ObjectNode photo(Photo photo) {
        return photo(photo, earlierPhotos.getOrDefault(photo.file(), MissingNode.getInstance()));
    }

    private static Map<String, JsonNode> byName(JsonNode list, String field) {
        Map<String, JsonNode> named = new HashMap<>();
        list.forEach(node -> named.put(node.path(field).asText(), node));
        return named;
    }

    private static ObjectNode format(Format format, JsonNode earlier) {
        ObjectNode node = JSON.objectNode();
        node.put("id", format.id());
        node.put("name", format.name());
        node.put("ratio", format.ratio().toString());
        node.put("turn", EnumName.of(format.turn()));
        if (!(format.size() instanceof OutputSize.AsCropped)) {
            node.set("size", size(format.size()));
        }
        if (!format.leads().isEmpty()) {
            ObjectNode leads = node.putObject("leads");
            for (Orientation orientation : Orientation.values()) {
                if (format.leads().containsKey(orientation)) {
                    leads.put(EnumName.of(orientation), format.leads().get(orientation));
                }
            }
        }
        ObjectNode tolerance = node.putObject("tolerance");
        tolerance.put("tightness", format.tolerance().tightness());
        tolerance.put("position", format.tolerance().position());
        if (format.going() == Going.WAITS) {
            node.put("goes", DocumentFields.WAITS);
        } else {
            node.put("goes", format.goes());
        }
        if (format.reaches()) {
            node.put("reaches", true);
        }
        node.set("file", file(format.file()));
        return DocumentFields.FORMAT.keeping(node, earlier);
    }

    private static ObjectNode size(OutputSize size) {
        ObjectNode node = JSON.objectNode();
        if (size instanceof OutputSize.Pixels pixels) {
            node.put("width", pixels.width());
            node.put("height", pixels.height());
            node.put("unit", "px");
        } else if (size instanceof OutputSize.LongEdge edge) {
            node.put("longEdge", edge.pixels());
            node.put("unit", "px");
        } else if (size instanceof OutputSize.Print print) {
            node.put("width", print.width());
            node.put("height", print.height());
            node.put("unit", EnumName.of(print.unit()));
            node.put("ppi", print.ppi());
        }
        return node;
    }

    private static ObjectNode file(FileSpec file) {
        ObjectNode node = JSON.objectNode();
        node.put("type", EnumName.of(file.type()));
        node.put("quality", file.quality());
        if (file.sampling() == FileSpec.Sampling.HALF) {
            node.put("sampling", DocumentFields.HALF_COLOUR);
        }
        if (file.depth() != FileSpec.Depth.PHOTO) {
            node.put("depth", file.depth() == FileSpec.Depth.EIGHT ? 8 : 16);
        }
        node.put("colour", EnumName.of(file.colour()));
        if (!file.enlarges()) {
            node.put("enlarge", false);
        }
        if (file.source() != FileSpec.Source.PHOTO) {
            node.put("pixels", EnumName.of(file.source()));
        }
        node.put("folder", file.folder());
        node.put("name", file.name());
        return node;
    }

    private ObjectNode photo(Photo photo, JsonNode earlier) {
        ObjectNode node = JSON.objectNode();
        node.put("file", photo.file());
        photo.raw().ifPresent(raw -> node.put("raw", raw));
        photo.pixels()
                .ifPresent(pixels -> node.putArray("pixels").add(pixels.width()).add(pixels.height()));
        photo.identity().ifPresent(identity -> node.set("identity", identity(identity)));
        PreparationJson.write(photo.preparation(), node);
        if (photo.mark() != Mark.OPEN) {
            node.put("mark", EnumName.of(photo.mark()));
        }
        photo.subject().ifPresent(subject -> SubjectJson.write(subject, node.putObject("subject")));
        if (photo.hasNoSubject()) {
            node.putNull("subject");
        }
        ObjectNode crops = JSON.objectNode();
        photo.crops().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(entry -> crops.set(
                        entry.getKey(),
                        crop(entry.getValue(), earlier.path("crops").path(entry.getKey()))));
        keepOtherEntries(crops, earlier.path("crops"), photo);
        if (!crops.isEmpty()) {
            node.set("crops", crops);
        }
        return DocumentFields.PHOTO.keeping(node, earlier);
    }

    private static ObjectNode identity(FileIdentity identity) {
        return JSON.objectNode().put("bytes", identity.length()).put("digest", identity.digest());
    }

    /** Entries of formats that were not listed are not known, and kept whole; untouched ones keep what is not known. */
    private void keepOtherEntries(ObjectNode crops, JsonNode earlierCrops, Photo photo) {
        earlierCrops.properties().forEach(field -> {
            if (!knownFormats.contains(field.getKey())) {
                crops.set(field.getKey(), field.getValue());
            } else if (!photo.crops().containsKey(field.getKey())) {
                ObjectNode unknown = keepingCrop(JSON.objectNode(), field.getValue());
                if (!unknown.isEmpty()) {
                    crops.set(field.getKey(), unknown);
                }
            }
        });
    }

    private static ObjectNode crop(CropEntry entry, JsonNode earlier) {
        ObjectNode node = JSON.objectNode();
        if (entry.placement() instanceof Placement.Own own) {
            node.put("state", "own");
            putWish(node, own.wish());
        } else if (entry.placement() instanceof Placement.Follow follow) {
            node.put("state", "follow");
            follow.wish().ifPresent(wish -> putWish(node, wish));
            if (follow.isTuned()) {
                Tune tune = follow.tune();
                node.putObject("tune").put("dx", tune.dx()).put("dy", tune.dy()).put("zoom", tune.zoom());
            }
            if (!follow.carry().equals(EnumSet.allOf(Carry.class))) {
                ArrayNode carry = node.putArray("carry");
                follow.carry().stream().sorted().forEach(one -> carry.add(EnumName.of(one)));
            }
            if (follow.isAccepted()) {
                node.put("accepted", true);
            }
        }
        entry.turn().ifPresent(turn -> node.put("turn", EnumName.of(turn)));
        if (entry.isDone()) {
            node.put("done", true);
        }
        entry.reaches().ifPresent(reaches -> node.put("reaches", reaches));
        if (!entry.beyond().equals(Beyond.USUAL)) {
            node.set("beyond", BeyondJson.write(entry.beyond()));
        }
        return keepingCrop(node, earlier);
    }

    /** What only followers have means nothing of a crop that is none, and stays with it as long as it is none. */
    private static ObjectNode keepingCrop(ObjectNode fresh, JsonNode earlier) {
        String state = fresh.path("state").asText();
        boolean stays = state.equals(earlier.path("state").asText()) && !state.equals("follow");
        KnownFields known = stays ? DocumentFields.CROP_ON_ITS_OWN : DocumentFields.CROP;
        ObjectNode kept = known.keeping(fresh, earlier);
        return state.isEmpty() ? kept.without(DocumentFields.NOT_WITHOUT_STATE) : kept;
    }

    private static void putWish(ObjectNode node, Wish wish) {
        putPair(node, "centre", wish.centre());
        putPair(node, "size", new Point(wish.size().width(), wish.size().height()));
    }

    private static void putPair(ObjectNode node, String name, Point pair) {
        node.putArray(name).add(pair.x()).add(pair.y());
    }
}
