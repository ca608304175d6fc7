package nexa.core.shoot;

import java.util.Optional;
import nexa.core.geometry.Angle;
import nexa.core.shape.Perspective;

/**
 * All that is done to a photo, for every format alike, before it is cropped: the quarter turn, then mirroring, then the
 * trim, then the perspective, then the angle. Whoever asks whether two pictures or two files are the same, or takes back what was done, asks this; so another
 * thing that can be done to a photo is added here.
 *
 * @param turn before anything else
 * @param isMirrored left to right, after the quarter turn
 * @param trim what of the turned and mirrored photo does not count as picture
 * @param perspective how that photo's perspective is put right, if it is
 * @param angle of the turned and mirrored photo
 */
public record Preparation(
        QuarterTurn turn, boolean isMirrored, Trim trim, Optional<Perspective> perspective, Angle angle) {
    public static final Preparation NONE =
            new Preparation(QuarterTurn.NONE, false, Trim.NONE, Optional.empty(), Angle.NONE);

    /** Whether nothing is done to the photo. */
    public boolean isNone() {
        return equals(NONE);
    }

    /** Whether the photo is seen the way it is stored upright; what is stored for it then lies where it says. */
    public boolean isUpright() {
        return turn == QuarterTurn.NONE && !isMirrored;
    }

    public Preparation withTurn(QuarterTurn newTurn) {
        return new Preparation(newTurn, isMirrored, trim, perspective, angle);
    }

    public Preparation withMirrored(boolean nowMirrored) {
        return new Preparation(turn, nowMirrored, trim, perspective, angle);
    }

    public Preparation withAngle(Angle newAngle) {
        return new Preparation(turn, isMirrored, trim, perspective, newAngle);
    }

    public Preparation withTrim(Trim newTrim) {
        return new Preparation(turn, isMirrored, newTrim, perspective, angle);
    }

    public Preparation withPerspective(Optional<Perspective> newPerspective) {
        return new Preparation(turn, isMirrored, trim, newPerspective, angle);
    }

    /** The same, seen a quarter further clockwise. */
    public Preparation turnedRight() {
        // The quarter turn comes before mirroring, and a picture that is mirrored turns the other way.
        int way = isMirrored ? 270 : 90;
        return withTurn(QuarterTurn.of((turn.degrees() + way) % 360))
                .withTrim(trim.turnedRight())
                .withPerspective(perspective.map(Perspective::turnedRight));
    }

    /** The same, seen in a mirror that stands beside it. */
    public Preparation mirrored() {
        return new Preparation(
                turn,
                !isMirrored,
                trim.mirrored(),
                perspective.map(Perspective::mirrored),
                new Angle(0 - angle.degrees()));
    }

    /** The part that is done before anything is looked for in a photo: all but the perspective and the angle. */
    public Preparation beforeShaping() {
        return withPerspective(Optional.empty()).withAngle(Angle.NONE);
    }

    /** The part that a picture kept in memory has in its pixels; the rest is done when it is drawn. */
    public Preparation inPixels() {
        return beforeShaping().withTrim(Trim.NONE);
    }

    /**
     * All of it in letters: the same for the same, another one for anything else. It is kept with files delivered, so what
     * is added to it says nothing where nothing is done.
     */
    public String fingerprint() {
        String shape = perspective.map(said -> " " + said).orElse("");
        return turn + " " + isMirrored + " " + angle + (trim.isNone() ? "" : " " + trim) + shape;
    }
}
