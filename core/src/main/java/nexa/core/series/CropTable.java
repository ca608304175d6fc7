package nexa.core.series;

import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;

/**
 * The crops of photos in a format, in one state of a shoot: how near each is to its lead and why it needs a look. Worked out once,
 * for all who show, sort or count them; may be read by several threads.
 */
public final class CropTable {
    private final Map<String, Row> rows;
    private final Map<String, Integer> followers;

    /**
     * A crop.
     *
     * @param step how near it is to its lead, if it listens to one
     * @param looks why it needs a look
     * @param asked how it meets what its format asks
     */
    public record Row(PhotoCrop crop, Optional<StepFromLead> step, Set<NeedsLook> looks, List<AskCheck> asked) {
        /** One that is worked out by itself. */
        public static Row of(Crops crops, Photo photo, Format format, Map<String, Subject> seen, SureLevels levels) {
            PhotoCrop crop = crops.of(photo, format);
            Optional<StepFromLead> step = StepFromLead.of(crops, photo, format, seen);
            List<AskCheck> asked = AskCheck.of(crop, levels);
            return new Row(crop, step, NeedsLook.of(crop, step, asked), asked);
        }

        public String file() {
            return crop.photo().file();
        }

        /** Whether its lead says how it lies. */
        public boolean follows() {
            return crop.state() == PhotoCrop.State.FOLLOW || crop.state() == PhotoCrop.State.TUNED;
        }

        /** Whether it is out of step. Only followers can be: an own crop follows nobody on purpose. */
        public boolean isOut() {
            return follows() && step.map(StepFromLead::isOut).orElse(false);
        }

        /** Whether it is the lead, or near enough to it. */
        public boolean isIn() {
            return crop.state() == PhotoCrop.State.LEAD || follows() && step.isPresent() && !isOut();
        }
    }

    private CropTable(Map<String, Row> rows, Map<String, Integer> followers) {
        this.rows = rows;
        this.followers = followers;
    }

    /** The crops of photos that have been read. */
    public static CropTable of(Shoot shoot, Collection<Photo> photos, Format format, SureLevels levels) {
        Crops crops = new Crops(shoot);
        Map<String, Row> rows = new LinkedHashMap<>();
        photos.forEach(photo -> rows.put(photo.file(), Row.of(crops, photo, format, Map.of(), levels)));
        return new CropTable(rows, followers(shoot, format));
    }

    private static Map<String, Integer> followers(Shoot shoot, Format format) {
        Map<String, Integer> followers = new HashMap<>();
        for (Photo photo : shoot.photos()) {
            if (photo.pixels().isPresent() && photo.entry(format.id()).placement() instanceof Placement.Follow) {
                shoot.leadFor(format, photo.orientation())
                        .ifPresent(lead -> followers.merge(lead.file(), 1, Integer::sum));
            }
        }
        return followers;
    }

    /** All of them, in the order of the photos. */
    public Collection<Row> rows() {
        return Collections.unmodifiableCollection(rows.values());
    }

    /** How many photos of the whole shoot follow one. */
    public int followers(String lead) {
        return followers.getOrDefault(lead, 0);
    }

    public Optional<Row> find(String file) {
        return Optional.ofNullable(rows.get(file));
    }
}
