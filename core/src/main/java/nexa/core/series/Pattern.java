package nexa.core.series;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/**
 * What there is to follow in a lead's crop.
 *
 * @param isFlipped whether the crop lies the other way than the format has it for the lead
 * @param ratio width over height
 * @param cover the share of the largest crop of its ratio
 * @param place where it lies in the room it has, 0 … 1 both ways where it fits
 * @param subject where the lead's subject lies in the crop, 0 … 1 inside it
 * @param share how much of the crop's short side the subject's diameter takes
 * @param eyes where the middle of the subject's eyes lies in the crop
 * @param eyesShare how much of the crop's short side lies between the eyes, where they can be measured by
 */
record Pattern(
        boolean isFlipped,
        double ratio,
        double cover,
        Point place,
        Optional<Point> subject,
        OptionalDouble share,
        Optional<Point> eyes,
        OptionalDouble eyesShare) {

    static Pattern of(Outline outline, Crop crop, Optional<SubjectSpot> subject, boolean isFlipped) {
        Size size = crop.size();
        double ratio = size.ratio();
        Crop untouched = outline.untouched(ratio);
        Point room = outline.roomOfCentre(size);
        Point off = crop.centre().minus(untouched.centre());
        return new Pattern(
                isFlipped,
                ratio,
                size.width() / untouched.size().width(),
                new Point(0.5 + off.x() / room.x(), 0.5 + off.y() / room.y()),
                subject.map(spot -> crop.placeOf(spot.at(), outline.angle())),
                share(subject.map(SubjectSpot::radius).orElse(OptionalDouble.empty()), 2 / size.shortSide()),
                subject.flatMap(SubjectSpot::eyesMiddle).map(middle -> crop.placeOf(middle, outline.angle())),
                share(subject.map(SubjectSpot::eyesApart).orElse(OptionalDouble.empty()), 1 / size.shortSide()));
    }

    private static OptionalDouble share(OptionalDouble length, double times) {
        return length.isPresent() ? OptionalDouble.of(length.getAsDouble() * times) : length;
    }
}
