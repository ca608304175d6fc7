package nexa.core.series;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.format.Format;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Size;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;

/**
 * Every crop of a shoot, worked out from what the shoot says. Leads are worked out once and kept, so one object is best
 * asked for many crops. Not for use by several threads at once.
 */
public final class Crops {
    private static final double NEAR_RATIO = 0.001;
    private static final double ROUNDING = 1e-6;

    private final Shoot shoot;
    private final Map<String, Pattern> patterns = new HashMap<>();

    public Crops(Shoot shoot) {
        this.shoot = shoot;
    }

    /**
     * The crop of a photo that has been read.
     *
     * @throws IllegalStateException if the photo has not been read
     */
    public PhotoCrop of(Photo photo, Format format) {
        CropEntry entry = photo.entry(format.id());
        List<PhotoCrop.Warning> warnings = new ArrayList<>();
        Crop crop;
        boolean limited = false;
        PhotoCrop.State state;
        if (entry.placement() instanceof Placement.Own own) {
            crop = own(photo, format, own, warnings);
            state = format.leads().containsValue(photo.file()) ? PhotoCrop.State.LEAD : PhotoCrop.State.OWN;
        } else if (entry.placement() instanceof Placement.Follow follow
                && leadPattern(photo, format).isPresent()) {
            Follower.Result result = follower(photo, format, follow).resolve(follow.tune());
            crop = result.crop();
            limited = result.isLimited();
            state = follow.isTuned() ? PhotoCrop.State.TUNED : PhotoCrop.State.FOLLOW;
        } else {
            crop = photo.outline().untouched(format.ratioFor(photo.remaining().size(), lying(photo, format, entry)));
            state = PhotoCrop.State.UNTOUCHED;
        }
        PhotoCrop result = new PhotoCrop(photo, format, state, crop, limited, warnings);
        if (result.hasTooFewPixels()) {
            warnings.add(PhotoCrop.Warning.TOO_FEW_PIXELS);
        }
        if (result.cutsSubject()) {
            warnings.add(PhotoCrop.Warning.SUBJECT_CUT);
        }
        return new PhotoCrop(photo, format, state, crop, limited, warnings);
    }

    private static Orientation lying(Photo photo, Format format, CropEntry entry) {
        return entry.turn().orElse(format.turn().forPhoto(photo.orientation()));
    }

    private static Crop own(Photo photo, Format format, Placement.Own own, List<PhotoCrop.Warning> warnings) {
        Crop wish = own.wish().in(photo.space());
        if (!format.ratio().isFree()) {
            double asked = nearerTurn(
                    format.ratioFor(photo.remaining().size(), Orientation.WIDE),
                    wish.size().ratio());
            double off = Math.abs(wish.size().ratio() / asked - 1);
            if (off <= NEAR_RATIO) {
                wish = wish.withSize(new Size(wish.size().width(), wish.size().width() / asked));
            } else {
                wish = wish.withSize(Size.ofArea(wish.size().area(), asked));
                warnings.add(PhotoCrop.Warning.RATIO_MENDED);
            }
        }
        return photo.outline(format).settle(wish);
    }

    /** A ratio turned the way that is nearer to another one. */
    private static double nearerTurn(double ratio, double to) {
        double turned = 1 / ratio;
        return Math.abs(Math.log(to / ratio)) <= Math.abs(Math.log(to / turned)) ? ratio : turned;
    }

    /** The photo as a follower of its lead. The lead must be there. */
    Follower follower(Photo photo, Format format, Placement.Follow follow) {
        Pattern lead = leadPattern(photo, format).orElseThrow();
        return new Follower(
                lead,
                photo.outline(format),
                followedRatio(photo, format, lead),
                SubjectSpot.of(photo),
                follow.carry(),
                follow.wish().map(wish -> wish.in(photo.space())));
    }

    private static double followedRatio(Photo photo, Format format, Pattern lead) {
        Orientation usual = format.turn().forPhoto(photo.orientation());
        Orientation lying = photo.entry(format.id()).turn().orElse(lead.isFlipped() ? usual.other() : usual);
        return format.ratio().isFree()
                ? lying.turn(lead.ratio())
                : format.ratioFor(photo.remaining().size(), lying);
    }

    /** The lead a photo listens to, if there is one that has crops. */
    Optional<Photo> lead(Photo photo, Format format) {
        return shoot.leadFor(format, photo.orientation()).filter(Photo::isCroppable);
    }

    Optional<Pattern> leadPattern(Photo photo, Format format) {
        return lead(photo, format)
                .map(lead -> patterns.computeIfAbsent(format.id() + "\n" + lead.file(), key -> pattern(lead, format)));
    }

    private Pattern pattern(Photo lead, Format format) {
        Outline outline = lead.outline();
        Crop crop = of(lead, format).crop();
        return Pattern.of(outline, crop, SubjectSpot.of(lead), isFlipped(lead, format, crop));
    }

    private static boolean isFlipped(Photo lead, Format format, Crop crop) {
        double ratio = crop.size().ratio();
        boolean isSquare = Math.abs(ratio - 1) < ROUNDING;
        return !isSquare && crop.size().orientation() != format.turn().forPhoto(lead.orientation());
    }
}
