package nexa.core.format;

import java.util.EnumSet;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;
import nexa.core.message.Rejected;

/**
 * What is asked of a format's crops, so that each can be checked; none of it changes a crop.
 *
 * @param share of the crop's short side that the subject's diameter takes
 * @param place of the subject's point in the crop, as fractions of its width and height, 0 … 1
 * @param eyes the place of the middle between the eyes, down from the crop's top as a fraction of its height, 0 … 1
 * @param within how far from {@code place} and {@code eyes} they may be, as a fraction of the crop's side, above 0 and at most 1
 * @param room that is free around the subject's box at least, as a share of the crop's short side, 0 to below 0.5
 * @param level how far the photo may be off the level that was found, in degrees, 0 … 45
 * @param allPhoto whether nothing may lie beyond the photo's edge
 * @param leastPpi pixels of the photo that an inch of paper gets at least, 1 … 4800; says nothing of what is not for paper
 */
public record Asks(
        Optional<Share> share,
        Optional<Point> place,
        OptionalDouble eyes,
        double within,
        OptionalDouble room,
        OptionalDouble level,
        boolean allPhoto,
        OptionalDouble leastPpi) {
    /** How far from its place something may be where nothing else is said. */
    public static final double USUAL_WITHIN = 0.06;

    /** Nothing is asked. */
    public static final Asks NONE = new Asks(
            Optional.empty(),
            Optional.empty(),
            OptionalDouble.empty(),
            USUAL_WITHIN,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            false,
            OptionalDouble.empty());

    /** As good as no bound. */
    public static final double MOST_SHARE = 4;

    private static final double MOST_ROOM = 0.49;
    private static final double LEAST_WITHIN = 0.001;

    /**
     * A share from the least to the most.
     *
     * @param least above 0
     * @param most at least as much, up to 4
     */
    public record Share(double least, double most) {
        /** @throws Rejected for shares out of range, and a least that is more than the most */
        public Share {
            Require.within("askedShare", Require.positive("askedShare", least), 0, MOST_SHARE);
            Require.within("askedShare", most, 0, MOST_SHARE);
            if (least > most) {
                throw new Rejected("reject.leastAboveMost", least, most);
            }
        }
    }

    /** @throws Rejected for values out of range */
    public Asks {
        place.ifPresent(at -> {
            Require.within("askedPlaceAcross", at.x(), 0, 1);
            Require.within("askedPlaceDown", at.y(), 0, 1);
        });
        eyes.ifPresent(down -> Require.within("askedEyes", down, 0, 1));
        Require.within("askedWithin", within, LEAST_WITHIN, 1);
        room.ifPresent(free -> Require.within("askedRoom", free, 0, MOST_ROOM));
        level.ifPresent(degrees -> Require.within("askedLevel", degrees, 0, Angle.MOST));
        leastPpi.ifPresent(
                ppi -> Require.within("askedPpi", ppi, OutputSize.Print.LEAST_PPI, OutputSize.Print.MOST_PPI));
    }

    /** What of it is asked. */
    public Set<Ask> asked() {
        Set<Ask> asked = EnumSet.noneOf(Ask.class);
        add(asked, Ask.SHARE, share.isPresent());
        add(asked, Ask.PLACE, place.isPresent());
        add(asked, Ask.EYES, eyes.isPresent());
        add(asked, Ask.ROOM, room.isPresent());
        add(asked, Ask.LEVEL, level.isPresent());
        add(asked, Ask.ALL_PHOTO, allPhoto);
        add(asked, Ask.LEAST_PPI, leastPpi.isPresent());
        return asked;
    }

    private static void add(Set<Ask> asked, Ask ask, boolean isAsked) {
        if (isAsked) {
            asked.add(ask);
        }
    }

    /** Whether nothing is asked. */
    public boolean isNone() {
        return asked().isEmpty();
    }

    public Asks withShare(Optional<Share> newShare) {
        return new Asks(newShare, place, eyes, within, room, level, allPhoto, leastPpi);
    }

    public Asks withPlace(Optional<Point> newPlace) {
        return new Asks(share, newPlace, eyes, within, room, level, allPhoto, leastPpi);
    }

    public Asks withEyes(OptionalDouble newEyes) {
        return new Asks(share, place, newEyes, within, room, level, allPhoto, leastPpi);
    }

    public Asks withWithin(double newWithin) {
        return new Asks(share, place, eyes, newWithin, room, level, allPhoto, leastPpi);
    }

    public Asks withRoom(OptionalDouble newRoom) {
        return new Asks(share, place, eyes, within, newRoom, level, allPhoto, leastPpi);
    }

    public Asks withLevel(OptionalDouble newLevel) {
        return new Asks(share, place, eyes, within, room, newLevel, allPhoto, leastPpi);
    }

    public Asks withAllPhoto(boolean nowAllPhoto) {
        return new Asks(share, place, eyes, within, room, level, nowAllPhoto, leastPpi);
    }

    public Asks withLeastPpi(OptionalDouble newPpi) {
        return new Asks(share, place, eyes, within, room, level, allPhoto, newPpi);
    }
}
