package nexa.core.series;

import java.util.Optional;
import nexa.core.format.Format;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Wish;

/**
 * Takes a crop that was found by hand into the shoot. A follower stays one, tuned; any other crop becomes the photo's
 * own.
 */
public final class Adjust {
    private final Shoot shoot;
    private final Photo photo;
    private final Format format;

    public Adjust(Shoot shoot, String file, String format) {
        this.shoot = shoot;
        this.photo = shoot.photo(file);
        this.format = shoot.format(format);
    }

    /** The crop as shown becomes the wish. */
    public Shoot to(Crop shown) {
        return shoot.with(photo.file(), before -> photoWith(shown));
    }

    /** The photo alone, as {@link #to} makes it. */
    Photo photoWith(Crop shown) {
        CropEntry entry = photo.entry(format.id());
        Placement placement = entry.placement() instanceof Placement.Follow follow
                ? tuned(entry, follow, shown)
                : new Placement.Own(Wish.of(shown, photo.space()));
        return with(placement, shown);
    }

    /** As {@link #to}, but an own crop keeps its wished size: it was only slid. */
    public Shoot slidTo(Crop shown) {
        if (photo.entry(format.id()).placement() instanceof Placement.Own own) {
            Wish moved = own.wish().slidTo(shown.centre(), photo.space());
            return shoot.with(photo.file(), before -> with(new Placement.Own(moved), shown));
        }
        return to(shown);
    }

    private Placement tuned(CropEntry entry, Placement.Follow follow, Crop shown) {
        Photo turned = photo.withEntry(format.id(), entry.withTurn(turnOf(shown)));
        Crops crops = new Crops(shoot);
        return crops.leadPattern(photo, format).isPresent()
                ? follow.withTune(crops.follower(turned, format, follow).tuneFor(shown))
                : new Placement.Own(Wish.of(shown, photo.space()));
    }

    private Photo with(Placement placement, Crop shown) {
        CropEntry entry = photo.entry(format.id()).withTurn(turnOf(shown)).withPlacement(placement);
        return photo.withEntry(format.id(), entry);
    }

    /** Which way the crop lies, said only where it is not what it would be anyway. */
    private Optional<Orientation> turnOf(Crop shown) {
        Optional<Orientation> said = photo.entry(format.id()).turn();
        Orientation lying = shown.size().orientation();
        boolean isNews =
                lying != new Crops(shoot).of(photo, format).crop().size().orientation();
        if (said.isEmpty() && !isNews) {
            return said;
        }
        return lying == format.turn().forPhoto(photo.orientation())
                        && !(photo.entry(format.id()).placement() instanceof Placement.Follow)
                ? Optional.empty()
                : Optional.of(lying);
    }
}
