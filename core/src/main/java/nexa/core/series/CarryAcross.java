package nexa.core.series;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;
import nexa.core.shoot.Carry;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;
import nexa.core.shoot.Tune;
import nexa.core.shoot.Wish;

/**
 * Makes photos follow a lead.
 *
 * @param lead the photo that leads; it becomes its orientation's lead if it is not yet
 * @param format in which format
 * @param what followers take from the lead
 * @param copiesAngle whether they are also turned by the lead's angle, once
 * @param takesBack whether own and tuned crops follow again; else they are left as they are
 */
public record CarryAcross(String lead, String format, Set<Carry> what, boolean copiesAngle, boolean takesBack) {
    public CarryAcross {
        what = Set.copyOf(what);
    }

    /**
     * What comes of it.
     *
     * @param shoot the shoot with the photos following
     * @param wide how many wide photos follow, square ones with them
     * @param tall how many tall ones
     * @param limited the files that their photo's edges keep from what the lead asks for
     * @param withoutSubject the files that use the position because they have no subject, though the lead has one
     * @param left the files left as they are
     */
    public record Outcome(
            Shoot shoot, int wide, int tall, List<String> limited, List<String> withoutSubject, List<String> left) {
        public int followers() {
            return wide + tall;
        }
    }

    /** Carries the lead's crop to photos. Those not read yet, and leads, are left alone. */
    public Outcome to(Shoot shoot, Collection<String> files) {
        Shoot led = Leads.make(shoot, lead, format);
        Crops before = new Crops(led);
        Format in = led.format(format);
        ShootDraft draft = led.draft();
        List<String> followers = new ArrayList<>();
        List<String> left = new ArrayList<>();
        int wide = 0;
        for (String file : files) {
            Photo photo = led.photo(file);
            if (!photo.isCroppable() || in.leads().containsValue(file)) {
                continue;
            }
            if (!takesBack && isByHand(photo)) {
                left.add(file);
                continue;
            }
            draft.put(follower(photo, before, in, led.photo(lead)));
            followers.add(file);
            wide += photo.orientation() == Orientation.WIDE ? 1 : 0;
        }
        return outcome(draft.shoot(), followers, wide, left);
    }

    private Outcome outcome(Shoot carried, List<String> followers, int wide, List<String> left) {
        Crops after = new Crops(carried);
        Format in = carried.format(format);
        boolean usesSubject =
                what.contains(Carry.SUBJECT) && carried.photo(lead).subject().isPresent();
        List<String> limited = new ArrayList<>();
        List<String> withoutSubject = new ArrayList<>();
        for (String file : followers) {
            Photo follower = carried.photo(file);
            if (after.of(follower, in).isLimited()) {
                limited.add(follower.file());
            }
            if (usesSubject && follower.subject().isEmpty()) {
                withoutSubject.add(follower.file());
            }
        }
        return new Outcome(carried, wide, followers.size() - wide, limited, withoutSubject, left);
    }

    private boolean isByHand(Photo photo) {
        Placement placement = photo.entry(format).placement();
        return placement instanceof Placement.Own || placement instanceof Placement.Follow follow && follow.isTuned();
    }

    private Photo follower(Photo photo, Crops before, Format in, Photo from) {
        boolean keepsSome = !what.containsAll(Set.of(Carry.values()));
        Optional<Wish> own =
                keepsSome ? Optional.of(Wish.of(before.of(photo, in).crop(), photo.space())) : Optional.empty();
        CropEntry entry = photo.entry(format)
                .withPlacement(new Placement.Follow(Tune.NONE, what, own, false))
                .withDone(false);
        Photo following = photo.withEntry(format, entry);
        return copiesAngle ? following.withAngle(from.angle()) : following;
    }

    /** The shoot with photos that were let go, or tuned, following again, without a tune. */
    public static Shoot again(Shoot shoot, Set<String> files, String format) {
        return shoot.withEach(files, photo -> canFollow(shoot, photo, format) ? again(photo, format) : photo);
    }

    private static boolean canFollow(Shoot shoot, Photo photo, String id) {
        Format format = shoot.format(id);
        return photo.isCroppable()
                && !format.leads().containsValue(photo.file())
                && shoot.leadFor(format, photo.orientation()).isPresent();
    }

    private static Photo again(Photo photo, String format) {
        CropEntry entry = photo.entry(format);
        Placement.Follow follow = entry.placement() instanceof Placement.Follow before
                ? before.withTune(Tune.NONE).withAccepted(false)
                : new Placement.Follow(Tune.NONE, Set.of(Carry.values()), Optional.empty(), false);
        Optional<Orientation> turn = follow == entry.placement() ? entry.turn() : Optional.empty();
        return photo.withEntry(
                format, entry.withPlacement(follow).withTurn(turn).withDone(false));
    }

    /** The shoot with followers that are out of step, and meant so. */
    public static Shoot accept(Shoot shoot, Set<String> files, String format) {
        return shoot.withEach(files, photo -> {
            CropEntry entry = photo.entry(format);
            return entry.placement() instanceof Placement.Follow follow
                    ? photo.withEntry(format, entry.withPlacement(follow.withAccepted(true)))
                    : photo;
        });
    }

    /** The shoot with own crops following again as they are: what differs from the lead becomes their tune. */
    public static Shoot againTuned(Shoot shoot, Set<String> files, String format) {
        Crops crops = new Crops(shoot);
        Format in = shoot.format(format);
        List<String> own = files.stream()
                .filter(file -> canFollow(shoot, shoot.photo(file), format))
                .filter(file -> !(shoot.photo(file).entry(format).placement() instanceof Placement.Follow))
                .toList();
        Shoot following = again(shoot, Set.copyOf(own), format);
        return following.withEach(
                own,
                photo -> new Adjust(following, photo.file(), format)
                        .photoWith(crops.of(shoot.photo(photo.file()), in).crop()));
    }
}
