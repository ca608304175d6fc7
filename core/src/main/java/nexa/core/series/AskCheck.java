package nexa.core.series;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.Ask;
import nexa.core.format.Asks;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;

/**
 * How a crop meets one thing that is asked of it.
 *
 * @param measured how it is: of a {@link Ask#PLACE} two numbers, across and down, of anything else one, in what is asked in; of
 *     {@link Ask#LEVEL} the degrees that the photo is turned too far clockwise, of {@link Ask#ALL_PHOTO} the share that is not
 *     photo. Nothing where it is not known, and where there is nothing to measure
 */
public record AskCheck(Ask ask, Outcome outcome, List<Double> measured) {
    /** What is on the safe side of every rounding and far less than anybody sees. */
    private static final double ROUNDING = 1e-6;

    /** A side of the subject's box as near to the photo's edge as this share of the photo asks for no room. */
    private static final double AT_EDGE = 0.02;

    /** What comes of it. */
    public enum Outcome {
        MET,
        MISSED,
        /** Nobody said what the photo is about, so it is not known. */
        NO_SUBJECT,
        /** Nobody said how large the subject is. */
        NO_SUBJECT_SIZE,
        /** The subject has no eyes, or nobody found them. */
        NO_EYES,
        /** Nobody looked how far the photo is off level. */
        NO_LEVEL;

        /** Whether it is known how the crop is. */
        public boolean isKnown() {
            return this == MET || this == MISSED;
        }
    }

    public AskCheck {
        measured = List.copyOf(measured);
    }

    /**
     * Checks all that is asked of a crop, in the order of {@link Ask}. What asks nothing of its photo is not there: the subject of
     * a photo that is said to have none, the level of one in which none was found surely, pixels an inch of what is not for paper.
     */
    public static List<AskCheck> of(PhotoCrop crop, SureLevels levels) {
        Asks asks = crop.format().asks();
        if (asks.equals(Asks.NONE)) {
            return List.of();
        }
        List<AskCheck> checks = new ArrayList<>();
        if (!crop.photo().hasNoSubject()) {
            ofSubject(crop, asks, checks);
        }
        asks.level().ifPresent(most -> level(crop.photo(), most, levels).ifPresent(checks::add));
        if (asks.allPhoto()) {
            double beyond = crop.beyond();
            checks.add(known(Ask.ALL_PHOTO, beyond <= ROUNDING, beyond));
        }
        OptionalDouble ppi = crop.effectivePpi();
        if (asks.leastPpi().isPresent() && ppi.isPresent()) {
            double least = asks.leastPpi().getAsDouble();
            checks.add(known(Ask.LEAST_PPI, ppi.getAsDouble() >= least * (1 - ROUNDING), ppi.getAsDouble()));
        }
        return checks;
    }

    private static AskCheck known(Ask ask, boolean isMet, Double... measured) {
        return new AskCheck(ask, isMet ? Outcome.MET : Outcome.MISSED, List.of(measured));
    }

    private static AskCheck unknown(Ask ask, Outcome why) {
        return new AskCheck(ask, why, List.of());
    }

    private static void ofSubject(PhotoCrop crop, Asks asks, List<AskCheck> checks) {
        boolean isOfSubject = asks.share().isPresent()
                || asks.place().isPresent()
                || asks.eyes().isPresent()
                || asks.room().isPresent();
        if (!isOfSubject) {
            return;
        }
        Optional<SubjectSpot> spot = SubjectSpot.of(crop.photo());
        asks.share().ifPresent(asked -> checks.add(share(crop, asked, spot)));
        asks.place().ifPresent(asked -> checks.add(place(crop, asked, asks.within(), spot)));
        asks.eyes().ifPresent(asked -> checks.add(eyes(crop, asked, asks.within(), spot)));
        asks.room().ifPresent(asked -> checks.add(room(crop, asked, spot)));
    }

    private static AskCheck share(PhotoCrop crop, Asks.Share asked, Optional<SubjectSpot> spot) {
        OptionalDouble radius = spot.map(SubjectSpot::radius).orElse(OptionalDouble.empty());
        if (radius.isEmpty()) {
            return withoutSize(Ask.SHARE, spot);
        }
        double share = 2 * radius.getAsDouble() / crop.crop().size().shortSide();
        boolean isMet = share >= asked.least() - ROUNDING && share <= asked.most() + ROUNDING;
        return known(Ask.SHARE, isMet, share);
    }

    private static AskCheck withoutSize(Ask ask, Optional<SubjectSpot> spot) {
        return unknown(ask, spot.isEmpty() ? Outcome.NO_SUBJECT : Outcome.NO_SUBJECT_SIZE);
    }

    private static AskCheck place(PhotoCrop crop, Point asked, double within, Optional<SubjectSpot> spot) {
        return spot.map(subject -> {
                    Point place = placeOf(crop, subject.at());
                    boolean isMet = isWithin(place.x(), asked.x(), within) && isWithin(place.y(), asked.y(), within);
                    return known(Ask.PLACE, isMet, place.x(), place.y());
                })
                .orElseGet(() -> unknown(Ask.PLACE, Outcome.NO_SUBJECT));
    }

    private static AskCheck eyes(PhotoCrop crop, double asked, double within, Optional<SubjectSpot> spot) {
        return spot.flatMap(SubjectSpot::eyesMiddle)
                .map(middle -> {
                    double down = placeOf(crop, middle).y();
                    return known(Ask.EYES, isWithin(down, asked, within), down);
                })
                .orElseGet(() -> unknown(Ask.EYES, spot.isEmpty() ? Outcome.NO_SUBJECT : Outcome.NO_EYES));
    }

    private static Point placeOf(PhotoCrop crop, Point inPlane) {
        return crop.crop().placeOf(inPlane, crop.photo().angle());
    }

    private static boolean isWithin(double place, double asked, double within) {
        return Math.abs(place - asked) <= within + ROUNDING;
    }

    private static AskCheck room(PhotoCrop crop, double asked, Optional<SubjectSpot> spot) {
        if (spot.map(SubjectSpot::radius).orElse(OptionalDouble.empty()).isEmpty()) {
            return withoutSize(Ask.ROOM, spot);
        }
        OptionalDouble free = free(crop, spot.get());
        return free.isPresent()
                ? known(Ask.ROOM, free.getAsDouble() >= asked - ROUNDING, free.getAsDouble())
                : known(Ask.ROOM, true);
    }

    /** The least room around the subject, as a share of the crop's short side; below 0 where it is cut. */
    private static OptionalDouble free(PhotoCrop crop, SubjectSpot spot) {
        Crop shown = crop.crop();
        Size size = shown.size();
        Point place = placeOf(crop, spot.at());
        Point at = new Point(place.x() * size.width(), place.y() * size.height());
        Bounds box = stored(crop.photo().subject().orElseThrow(), crop.photo().size());
        Bounds edge = crop.photo().preparation().trim().remaining(new Size(1, 1));
        double across = AT_EDGE * (edge.most().x() - edge.least().x());
        double down = AT_EDGE * (edge.most().y() - edge.least().y());
        double free = Double.POSITIVE_INFINITY;
        if (box.least().x() > edge.least().x() + across) {
            free = Math.min(free, at.x() + spot.reach().least().x());
        }
        if (box.least().y() > edge.least().y() + down) {
            free = Math.min(free, at.y() + spot.reach().least().y());
        }
        if (box.most().x() < edge.most().x() - across) {
            free = Math.min(free, size.width() - at.x() - spot.reach().most().x());
        }
        if (box.most().y() < edge.most().y() - down) {
            free = Math.min(free, size.height() - at.y() - spot.reach().most().y());
        }
        return Double.isInfinite(free) ? OptionalDouble.empty() : OptionalDouble.of(free / size.shortSide());
    }

    /** The box of a subject that has a size, as fractions of its photo. */
    private static Bounds stored(Subject subject, Size photo) {
        if (subject.extent().isPresent()) {
            return subject.box();
        }
        double radius = subject.radius().orElseThrow() * photo.shortSide();
        Point reach = new Point(radius / photo.width(), radius / photo.height());
        return new Bounds(subject.at().minus(reach), subject.at().plus(reach));
    }

    private static Optional<AskCheck> level(Photo photo, double most, SureLevels levels) {
        Optional<SureLevels.Looked> looked = levels.of(photo);
        if (looked.isEmpty()) {
            return Optional.of(unknown(Ask.LEVEL, Outcome.NO_LEVEL));
        }
        return looked.get()
                .angle()
                .map(angle -> photo.angle().degrees() - angle.degrees())
                .map(off -> known(Ask.LEVEL, Math.abs(off) <= most + ROUNDING, off));
    }
}
