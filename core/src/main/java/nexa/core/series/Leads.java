package nexa.core.series;

import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
        Crops crops = new Crops(shoot);
        Shoot owned = shoot.with(file, before -> own(crops, before, format));
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
        List<String> listening = shoot.photos().stream()
                .filter(photo -> photo.entry(formatId).placement() instanceof Placement.Follow)
                .filter(photo -> shoot.leadFor(format, orientation(photo))
                        .map(lead -> lead.file().equals(file))
                        .orElse(false))
                .map(Photo::file)
                .toList();
        Shoot freed = letGo(shoot, listening, formatId);
        Map<Orientation, String> leads = new HashMap<>(format.leads());
        leads.values().remove(file);
        return withLeads(freed, format, leads);
    }

    /** Makes followers' crops, as shown, their own. */
    public static Shoot letGo(Shoot shoot, Collection<String> files, String formatId) {
        Crops crops = new Crops(shoot);
        Format format = shoot.format(formatId);
        return shoot.withEach(
                files,
                photo -> photo.entry(formatId).placement() instanceof Placement.Follow
                        ? own(crops, photo, format)
                        : photo);
    }

    private static Orientation orientation(Photo photo) {
        return photo.pixels().isPresent() ? photo.size().orientation() : Orientation.WIDE;
    }

    private static Photo own(Crops crops, Photo photo, Format format) {
        CropEntry entry = photo.entry(format.id());
        if (entry.placement() instanceof Placement.Own) {
            return photo;
        }
        Optional<PhotoCrop> shown =
                photo.pixels().isPresent() ? Optional.of(crops.of(photo, format)) : Optional.empty();
        CropEntry owned = shown.map(crop -> entry.withPlacement(new Placement.Own(Wish.of(crop.crop(), photo.size())))
                        .withTurn(Lying.said(crop.crop().size().orientation(), photo, format)))
                .orElse(entry.withPlacement(Placement.UNTOUCHED));
        return photo.withEntry(format.id(), owned);
    }

    static Shoot withLeads(Shoot shoot, Format format, Map<Orientation, String> leads) {
        return shoot.withFormat(format.withLeads(leads));
    }
}
