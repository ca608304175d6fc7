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

/** Measures a crop by all that its format asks. */
final class AskMeasuring {
    /** What is on the safe side of every rounding and far less than anybody sees. */
    private static final double ROUNDING = 1e-6;

    /** A side of the subject's box as near to the photo's edge as this share of the photo asks for no room. */
    private static final double AT_EDGE = 0.02;

    private final PhotoCrop crop;
    private final Photo photo;
    private final Asks asks;
    private final Optional<SubjectSpot> spot;

    AskMeasuring(PhotoCrop crop) {
        this.crop = crop;
        this.photo = crop.photo();
        this.asks = crop.format().asks();
        this.spot = SubjectSpot.of(photo);
    }

    /** In the order of {@link Ask}; what asks nothing of the photo is not there. */
    List<AskCheck> all(SureLevels levels) {
        List<AskCheck> checks = new ArrayList<>();
        if (!photo.hasNoSubject()) {
            asks.share().ifPresent(asked -> checks.add(share(asked)));
            asks.place().ifPresent(asked -> checks.add(place(asked)));
            asks.eyes().ifPresent(asked -> checks.add(eyes(asked)));
            asks.room().ifPresent(asked -> checks.add(room(asked)));
        }
        asks.level().ifPresent(most -> level(most, levels).ifPresent(checks::add));
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

    private AskCheck known(Ask ask, boolean isMet, Double... measured) {
        return new AskCheck(ask, asks, isMet ? AskCheck.Outcome.MET : AskCheck.Outcome.MISSED, List.of(measured));
    }

    private AskCheck unknown(Ask ask, AskCheck.Outcome why) {
        return new AskCheck(ask, asks, spot.isEmpty() ? AskCheck.Outcome.NO_SUBJECT : why, List.of());
    }

    private OptionalDouble radius() {
        return spot.map(SubjectSpot::radius).orElse(OptionalDouble.empty());
    }

    private AskCheck share(Asks.Share asked) {
        OptionalDouble radius = radius();
        if (radius.isEmpty()) {
            return unknown(Ask.SHARE, AskCheck.Outcome.NO_SUBJECT_SIZE);
        }
        double share = 2 * radius.getAsDouble() / crop.crop().size().shortSide();
        boolean isMet = share >= asked.least() - ROUNDING && share <= asked.most() + ROUNDING;
        return known(Ask.SHARE, isMet, share);
    }

    private AskCheck place(Point asked) {
        return spot.map(subject -> {
                    Point place = placeOf(subject.at());
                    boolean isMet = isNear(place.x(), asked.x()) && isNear(place.y(), asked.y());
                    return known(Ask.PLACE, isMet, place.x(), place.y());
                })
                .orElseGet(() -> unknown(Ask.PLACE, AskCheck.Outcome.NO_SUBJECT));
    }

    private AskCheck eyes(double asked) {
        return spot.flatMap(SubjectSpot::eyesMiddle)
                .map(middle -> {
                    double down = placeOf(middle).y();
                    return known(Ask.EYES, isNear(down, asked), down);
                })
                .orElseGet(() -> unknown(Ask.EYES, AskCheck.Outcome.NO_EYES));
    }

    private Point placeOf(Point inPlane) {
        return crop.crop().placeOf(inPlane, photo.angle());
    }

    private boolean isNear(double place, double asked) {
        return Math.abs(place - asked) <= asks.within() + ROUNDING;
    }

    private AskCheck room(double asked) {
        if (radius().isEmpty()) {
            return unknown(Ask.ROOM, AskCheck.Outcome.NO_SUBJECT_SIZE);
        }
        OptionalDouble free = free(spot.orElseThrow());
        return free.isPresent()
                ? known(Ask.ROOM, free.getAsDouble() >= asked - ROUNDING, free.getAsDouble())
                : known(Ask.ROOM, true);
    }

    /** The least room around the subject, as a share of the crop's short side; below 0 where it is cut. */
    private OptionalDouble free(SubjectSpot subject) {
        Crop shown = crop.crop();
        Size size = shown.size();
        Point place = placeOf(subject.at());
        Point at = new Point(place.x() * size.width(), place.y() * size.height());
        Bounds box = FillPlan.around(photo.subject().orElseThrow(), photo);
        Bounds edge = photo.remaining();
        Point near = edge.extent().times(AT_EDGE);
        double free = Double.POSITIVE_INFINITY;
        if (box.least().x() > edge.least().x() + near.x()) {
            free = Math.min(free, at.x() + subject.reach().least().x());
        }
        if (box.least().y() > edge.least().y() + near.y()) {
            free = Math.min(free, at.y() + subject.reach().least().y());
        }
        if (box.most().x() < edge.most().x() - near.x()) {
            free = Math.min(free, size.width() - at.x() - subject.reach().most().x());
        }
        if (box.most().y() < edge.most().y() - near.y()) {
            free = Math.min(
                    free, size.height() - at.y() - subject.reach().most().y());
        }
        return Double.isInfinite(free) ? OptionalDouble.empty() : OptionalDouble.of(free / size.shortSide());
    }

    private Optional<AskCheck> level(double most, SureLevels levels) {
        Optional<SureLevels.Looked> looked = levels.of(photo);
        if (looked.isEmpty()) {
            return Optional.of(new AskCheck(Ask.LEVEL, asks, AskCheck.Outcome.NO_LEVEL, List.of()));
        }
        return looked.get()
                .angle()
                .map(angle -> photo.angle().degrees() - angle.degrees())
                .map(off -> known(Ask.LEVEL, Math.abs(off) <= most + ROUNDING, off));
    }
}
