package nexa.core.series;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Wish;

/** Which photos lead in a format. Nothing that follows a lead is lost with it: its crop stays, as its own. */
public final class Leads {
    private Leads() {}

    /**
     * Makes a photo that has been read the lead of its orientation in a format. Its crop as shown becomes its own. The
     * followers of the lead before it follow the new one.
     */
    public static Shoot make(Shoot shoot, String file, String formatId) {
        Photo photo = shoot.photo(file);
        Format format = shoot.format(formatId);
        Shoot owned = own(shoot, new Crops(shoot), photo, format);
        Map<Orientation, String> leads = new EnumMap<>(Orientation.class);
        leads.putAll(format.leads());
        leads.values().remove(file);
        leads.put(photo.size().orientation(), file);
        return withLeads(owned, format, leads);
    }

    /** Takes the lead away from a photo. Whoever listened to it keeps the crop it has, as its own. */
    public static Shoot takeAway(Shoot shoot, String file, String formatId) {
        Format format = shoot.format(formatId);
        if (!format.leads().containsValue(file)) {
            return shoot;
        }
        Crops crops = new Crops(shoot);
        Shoot freed = shoot;
        for (Photo photo : shoot.photos()) {
            boolean listens = photo.entry(formatId).placement() instanceof Placement.Follow
                    && shoot.leadFor(format, orientation(photo))
                            .map(lead -> lead.file().equals(file))
                            .orElse(false);
            if (listens) {
                freed = own(freed, crops, photo, format);
            }
        }
        Map<Orientation, String> leads = new HashMap<>(format.leads());
        leads.values().remove(file);
        return withLeads(freed, format, leads);
    }

    /** Makes a follower's crop, as shown, its own. */
    public static Shoot letGo(Shoot shoot, Set<String> files, String formatId) {
        Crops crops = new Crops(shoot);
        Format format = shoot.format(formatId);
        Shoot freed = shoot;
        for (String file : files) {
            Photo photo = shoot.photo(file);
            if (photo.entry(formatId).placement() instanceof Placement.Follow) {
                freed = own(freed, crops, photo, format);
            }
        }
        return freed;
    }

    private static Orientation orientation(Photo photo) {
        return photo.pixels().isPresent() ? photo.size().orientation() : Orientation.WIDE;
    }

    private static Shoot own(Shoot shoot, Crops crops, Photo photo, Format format) {
        CropEntry entry = photo.entry(format.id());
        if (entry.placement() instanceof Placement.Own) {
            return shoot;
        }
        Optional<PhotoCrop> shown =
                photo.pixels().isPresent() ? Optional.of(crops.of(photo, format)) : Optional.empty();
        CropEntry owned = shown.map(crop -> entry.withPlacement(new Placement.Own(Wish.of(crop.crop(), photo.size())))
                        .withTurn(Lying.said(crop.crop().size().orientation(), photo, format)))
                .orElse(entry.withPlacement(Placement.UNTOUCHED));
        return shoot.with(photo.file(), before -> before.withEntry(format.id(), owned));
    }

    static Shoot withLeads(Shoot shoot, Format format, Map<Orientation, String> leads) {
        return shoot.withFormat(format.withLeads(leads));
    }
}
