package nexa.store;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;
import nexa.core.message.EnumName;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;

/** Reads a shoot from its document, strictly: whatever does not fit is refused with the place where it stands. */
final class DocumentReader {
    private final String folderName;

    /** @param folderName the title of a shoot that has none */
    DocumentReader(String folderName) {
        this.folderName = folderName;
    }

    /** Which of the shoot's states a document holds. */
    static ShootDocument.Stand stand(JsonNode document) throws JsonPlace.Misfit {
        JsonPlace root = JsonPlace.root(document);
        return new ShootDocument.Stand(
                root.optional(DocumentFields.EDIT, 0L, JsonPlace::count),
                root.optional(DocumentFields.CONTINUES, Digest.NOTHING, JsonPlace::text));
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
        List<Format> named = formats(root);
        // There is no working without a format.
        List<Format> formats = named.isEmpty() ? StandardFormats.list() : named;
        Set<String> ids = new HashSet<>();
        formats.forEach(format -> ids.add(format.id()));
        List<Photo> photos = new ArrayList<>();
        Map<String, Photo> known = new HashMap<>();
        for (JsonPlace place : root.optional("photos", List.<JsonPlace>of(), JsonPlace::list)) {
            Photo photo = PhotoReader.read(place, ids);
            if (known.put(photo.file(), photo) != null) {
                throw place.misfitAt("file", "misfit.listedTwice", photo.file());
            }
            photos.add(photo);
        }
        checkLeads(root, formats, known);
        checkFollowers(root, formats, photos);
        String title = root.optional("title", folderName, JsonPlace::text);
        Shoot.Order order = root.optional("order", Shoot.Order.TIME, at -> at.oneOf(Shoot.Order.class));
        Shoot.Pairs pairs = root.optional("pairs", Shoot.Pairs.TOGETHER, at -> at.oneOf(Shoot.Pairs.class));
        return root.make(() -> Shoot.of(title, order, formats, photos).withPairs(pairs));
    }

    /** @throws JsonPlace.Misfit if a value is not one of a line of the journal */
    void checkChange(JsonNode line) throws JsonPlace.Misfit {
        JsonPlace root = JsonPlace.root(line).object();
        Set<String> ids = new HashSet<>();
        formats(root).forEach(format -> ids.add(format.id()));
        for (JsonPlace photo : root.required("photos").list()) {
            PhotoReader.read(photo, ids);
        }
        if (root.has(DocumentFields.EDIT)) {
            root.required(DocumentFields.EDIT).count();
            root.required(DocumentFields.CONTINUES).text();
        }
    }

    private static List<Format> formats(JsonPlace root) throws JsonPlace.Misfit {
        List<Format> formats = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (JsonPlace place : root.optional("formats", List.<JsonPlace>of(), JsonPlace::list)) {
            Format format = FormatReader.read(place);
            if (!ids.add(format.id())) {
                throw place.misfitAt("id", "misfit.usedTwice", format.id());
            }
            formats.add(format);
        }
        return formats;
    }

    private static void checkLeads(JsonPlace root, List<Format> formats, Map<String, Photo> photos)
            throws JsonPlace.Misfit {
        for (int i = 0; i < formats.size(); i++) {
            Format format = formats.get(i);
            for (Map.Entry<Orientation, String> lead : format.leads().entrySet()) {
                String place = "formats[" + i + "].leads." + EnumName.of(lead.getKey());
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

    private static void checkFollowers(JsonPlace root, List<Format> formats, List<Photo> photos)
            throws JsonPlace.Misfit {
        for (Format format : formats) {
            for (int i = 0; i < photos.size() && format.leads().isEmpty(); i++) {
                if (photos.get(i).entry(format.id()).placement() instanceof Placement.Follow) {
                    throw root.misfitAt("photos[" + i + "].crops." + format.id(), "misfit.noLead");
                }
            }
        }
    }
}
