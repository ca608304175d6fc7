package nexa.core.series;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Tune;

/**
 * A photo that follows a lead: works out its crop from the lead's pattern, and the tune that makes a crop found by hand
 * of it.
 */
final class Follower {
    private static final double SHRUNK = 1e-9;
    private static final double MOVED = 1e-6;

    private final Pattern lead;
    private final Outline outline;
    private final double ratio;
    private final Crop untouched;
    private final Optional<SubjectSpot> subject;
    private final Set<Carry> carry;
    private final Optional<Crop> own;

    /**
     * A follower.
     *
     * @param ratio its own, width over height
     * @param own the wish it keeps for what it does not take from the lead, in pixels
     */
    Follower(
            Pattern lead,
            Outline outline,
            double ratio,
            Optional<SubjectSpot> subject,
            Set<Carry> carry,
            Optional<Crop> own) {
        this.lead = lead;
        this.outline = outline;
        this.ratio = ratio;
        this.untouched = outline.untouched(ratio);
        this.subject = subject;
        this.carry = carry;
        this.own = own;
    }

    /** A crop, and whether the photo's edges kept it from being what the lead asks for. */
    record Result(Crop crop, boolean isLimited) {}

    Result resolve(Tune tune) {
        Size wished = size().times(1 / tune.zoom());
        double growth = outline.growth(wished);
        boolean shrunk = growth < 1 - SHRUNK;
        Size size = growth < 1 ? wished.times(growth) : wished;
        Point nudge = outline.angle().toPhoto(new Point(tune.dx() * size.width(), tune.dy() * size.height()));
        Crop crop = new Crop(centre(size).plus(nudge), size);
        Crop settled = outline.settle(crop);
        shrunk |= settled.size().width() < size.width() * (1 - SHRUNK);
        double moved = settled.centre().distance(crop.centre());
        return new Result(settled, shrunk || moved > MOVED * outline.photo().longSide());
    }

    /** The tune with which this follower's crop is the given one, which has the follower's ratio. */
    Tune tuneFor(Crop shown) {
        double zoom = size().width() / shown.size().width();
        Point off = outline.angle().toScreen(shown.centre().minus(centre(shown.size())));
        return new Tune(off.x() / shown.size().width(), off.y() / shown.size().height(), zoom);
    }

    private Size size() {
        if (!carry.contains(Carry.TIGHTNESS) && own.isPresent()) {
            return Size.ofArea(own.get().size().area(), ratio);
        }
        OptionalDouble shortSide = shortSide();
        if (shortSide.isEmpty()) {
            return untouched.size().times(lead.cover());
        }
        double side = shortSide.getAsDouble();
        return ratio >= 1 ? new Size(side * ratio, side) : new Size(side, side / ratio);
    }

    /** By which the subject takes as much of the crop as the lead's does: by its eyes where both can be measured so. */
    private OptionalDouble shortSide() {
        OptionalDouble apart = subject.map(SubjectSpot::eyesApart).orElse(OptionalDouble.empty());
        if (lead.eyesShare().isPresent() && apart.isPresent()) {
            return OptionalDouble.of(apart.getAsDouble() / lead.eyesShare().getAsDouble());
        }
        OptionalDouble radius = subject.map(SubjectSpot::radius).orElse(OptionalDouble.empty());
        if (lead.share().isPresent() && radius.isPresent()) {
            return OptionalDouble.of(2 * radius.getAsDouble() / lead.share().getAsDouble());
        }
        return OptionalDouble.empty();
    }

    private Point centre(Size size) {
        if (carry.contains(Carry.SUBJECT) && lead.subject().isPresent() && subject.isPresent()) {
            Optional<Point> eyes = subject.get().eyesMiddle();
            boolean isByEyes = lead.eyes().isPresent() && eyes.isPresent();
            Point place = isByEyes ? lead.eyes().get() : lead.subject().get();
            Point way = place.minus(new Point(0.5, 0.5));
            Point inPhoto = outline.angle().toPhoto(new Point(way.x() * size.width(), way.y() * size.height()));
            return (isByEyes ? eyes.get() : subject.get().at()).minus(inPhoto);
        }
        boolean keepsOwn = !carry.contains(Carry.POSITION) && !carry.contains(Carry.SUBJECT);
        if (keepsOwn && own.isPresent()) {
            return own.get().centre();
        }
        Point room = outline.roomOfCentre(size);
        return untouched
                .centre()
                .plus(new Point(
                        (lead.place().x() - 0.5) * room.x(), (lead.place().y() - 0.5) * room.y()));
    }
}
