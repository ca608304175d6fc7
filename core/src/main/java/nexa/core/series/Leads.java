package nexa.core.series;

import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;
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
        Map<Orientation, String> leads = new EnumMap<>(Orientation.class);
        leads.putAll(format.leads());
        leads.values().remove(file);
        leads.put(photo.orientation(), file);
        return shoot.draft()
                .put(own(new Crops(shoot), photo, format))
                .put(format.withLeads(leads))
                .shoot();
    }

    /** Takes the lead away from a photo. Whoever listened to it keeps the crop it has, as its own. */
    public static Shoot takeAway(Shoot shoot, String file, String formatId) {
        if (!shoot.format(formatId).leads().containsValue(file)) {
            return shoot;
        }
        ShootDraft draft = shoot.draft();
        takeAway(draft, file, formatId);
        return draft.shoot();
    }

    /** As {@link #takeAway(Shoot, String, String)}, by what the shoot was before the draft. */
    static void takeAway(ShootDraft draft, String file, String formatId) {
        Format format = draft.format(formatId);
        if (!format.leads().containsValue(file)) {
            return;
        }
        Shoot before = draft.before();
        Crops crops = new Crops(before);
        draft.changeAll(photo ->
                follows(photo, formatId) && isLedBy(file, before, photo, format) ? own(crops, photo, format) : photo);
        Map<Orientation, String> leads = new HashMap<>(format.leads());
        leads.values().remove(file);
        draft.put(format.withLeads(leads));
    }

    /** A lead that comes to lie another way stays one where that way has none; else its followers keep their crops. */
    static void lying(ShootDraft draft, String file, Orientation now) {
        for (Format format : draft.formats()) {
            boolean leadsElsewhere = file.equals(format.leads().get(now.other()));
            if (leadsElsewhere && format.leads().containsKey(now)) {
                takeAway(draft, file, format.id());
            } else if (leadsElsewhere) {
                draft.put(format.withLeads(Map.of(now, file)));
            }
        }
    }

    private static boolean follows(Photo photo, String formatId) {
        return photo.entry(formatId).placement() instanceof Placement.Follow;
    }

    private static boolean isLedBy(String file, Shoot shoot, Photo photo, Format format) {
        Orientation lying = photo.pixels().isPresent() ? photo.orientation() : Orientation.WIDE;
        return shoot.leadFor(format, lying)
                .map(lead -> lead.file().equals(file))
                .orElse(false);
    }

    /** Makes followers' crops, as shown, their own. */
    public static Shoot letGo(Shoot shoot, Collection<String> files, String formatId) {
        Crops crops = new Crops(shoot);
        Format format = shoot.format(formatId);
        return shoot.withEach(files, photo -> follows(photo, formatId) ? own(crops, photo, format) : photo);
    }

    private static Photo own(Crops crops, Photo photo, Format format) {
        CropEntry entry = photo.entry(format.id());
        if (entry.placement() instanceof Placement.Own) {
            return photo;
        }
        Optional<PhotoCrop> shown = photo.isCroppable() ? Optional.of(crops.of(photo, format)) : Optional.empty();
        CropEntry owned = shown.map(crop -> entry.withPlacement(new Placement.Own(Wish.of(crop.crop(), photo.space())))
                        .withTurn(Lying.said(crop.crop().size().orientation(), photo, format)))
                .orElse(entry.withPlacement(Placement.UNTOUCHED));
        return photo.withEntry(format.id(), owned);
    }
}
