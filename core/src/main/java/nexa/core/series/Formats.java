package nexa.core.series;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Size;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;
import nexa.core.shoot.Wish;

/** Adds, orders, changes and removes the formats of a shoot. */
public final class Formats {
    /** No shoot has more. */
    public static final int MOST = 500;

    private Formats() {}

    /** The shoot with one more format, last. Whoever adds one wants its files, so it does not wait. */
    public static Shoot add(Shoot shoot, Format format) {
        List<Format> formats = new ArrayList<>(shoot.formats());
        formats.add(format.going() == Going.WAITS ? format.withGoing(Going.GOES) : format);
        return shoot.withFormats(formats);
    }

    /**
     * The shoot with a format changed. Own crops are brought to a new ratio at equal area about their centre; followers
     * are worked out anew.
     */
    public static Shoot change(Shoot shoot, Format changed) {
        ShootDraft draft = shoot.draft().put(changed);
        if (changed.ratio().equals(shoot.format(changed.id()).ratio())
                || changed.ratio().isFree()) {
            return draft.shoot();
        }
        return draft.changeAll(
                        photo -> photo.isCroppable() ? photo.withEntry(changed.id(), brought(photo, changed)) : photo)
                .shoot();
    }

    private static CropEntry brought(Photo photo, Format format) {
        CropEntry entry = photo.entry(format.id());
        if (entry.placement() instanceof Placement.Own own) {
            Size size = own.wish().in(photo.space()).size();
            double ratio = format.ratioFor(photo.remaining().size(), size.orientation());
            Size brought = Size.ofArea(size.area(), ratio);
            double most = Math.max(
                    brought.width() / photo.size().width(),
                    brought.height() / photo.size().height());
            Size wished = brought.times(Math.min(1, 2 / most));
            Crop crop = own.wish().in(photo.space()).withSize(wished);
            Wish wish = Wish.of(crop, photo.space()).withCentre(own.wish().centre());
            return entry.withPlacement(new Placement.Own(wish));
        }
        return entry;
    }

    /** The shoot without a format and without the crops made in it. */
    public static Shoot remove(Shoot shoot, String id) {
        List<Format> formats = shoot.formats().stream()
                .filter(format -> !format.id().equals(id))
                .toList();
        return shoot.draft()
                .withFormats(formats)
                .changeAll(photo -> photo.crops().containsKey(id) ? photo.withEntry(id, CropEntry.UNTOUCHED) : photo)
                .shoot();
    }

    /** How many crops somebody made or looked at would go with a format. */
    public static long crops(Shoot shoot, String id) {
        return shoot.photos().stream()
                .filter(photo -> photo.crops().containsKey(id))
                .count();
    }

    /** The shoot with a format so many places further down, or up; at the end it stays. */
    public static Shoot move(Shoot shoot, String id, int places) {
        List<Format> formats = new ArrayList<>(shoot.formats());
        Format format = shoot.format(id);
        int from = formats.indexOf(format);
        formats.remove(from);
        formats.add(Math.max(0, Math.min(formats.size(), from + places)), format);
        return shoot.withFormats(formats);
    }

    /** An id no format of the shoot has yet, made of a name. */
    public static String freeId(Shoot shoot, String name) {
        return freeId(shoot.formats(), name);
    }

    /** An id none of some formats has, made of a name. */
    public static String freeId(List<Format> formats, String name) {
        String plain =
                name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-+|-+$", "");
        String base = plain.isEmpty() ? "format" : plain;
        List<String> taken = formats.stream().map(Format::id).toList();
        String id = base;
        for (int i = 2; taken.contains(id); i++) {
            id = base + "-" + i;
        }
        return id;
    }
}
