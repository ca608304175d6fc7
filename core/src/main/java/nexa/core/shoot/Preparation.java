package nexa.core.shoot;

import java.util.Optional;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Fingerprint;
import nexa.core.shape.Edge;
import nexa.core.shape.Lens;
import nexa.core.shape.Perspective;

/**
 * All that is done to a photo, for every format alike: the quarter turn, then mirroring, then the trim, then the lens, then the
 * perspective, then the angle, all before it is cropped, and the edge, which is measured on the crop. Whoever asks whether two
 * pictures or two files are the same, or takes back what was done, asks this; so another thing that can be done to a photo is
 * added here.
 *
 * @param turn before anything else
 * @param isMirrored left to right, after the quarter turn
 * @param trim what of the turned and mirrored photo does not count as picture
 * @param lens how that photo's lens is put right, if it is
 * @param perspective how its perspective is put right after that, if it is
 * @param angle of the turned and mirrored photo
 * @param edge the darkening or lightening wanted towards the edge of each of its crops
 */
public record Preparation(
        QuarterTurn turn,
        boolean isMirrored,
        Trim trim,
        Optional<Lens> lens,
        Optional<Perspective> perspective,
        Angle angle,
        Edge edge) {
    public static final Preparation NONE = new Preparation(
            QuarterTurn.NONE, false, Trim.NONE, Optional.empty(), Optional.empty(), Angle.NONE, Edge.NONE);

    /** Whether nothing is done to the photo. */
    public boolean isNone() {
        return equals(NONE);
    }

    /** Whether the photo is seen the way it is stored upright; what is stored for it then lies where it says. */
    public boolean isUpright() {
        return turn == QuarterTurn.NONE && !isMirrored;
    }

    public Preparation withTurn(QuarterTurn newTurn) {
        return new Preparation(newTurn, isMirrored, trim, lens, perspective, angle, edge);
    }

    public Preparation withMirrored(boolean nowMirrored) {
        return new Preparation(turn, nowMirrored, trim, lens, perspective, angle, edge);
    }

    public Preparation withAngle(Angle newAngle) {
        return new Preparation(turn, isMirrored, trim, lens, perspective, newAngle, edge);
    }

    public Preparation withTrim(Trim newTrim) {
        return new Preparation(turn, isMirrored, newTrim, lens, perspective, angle, edge);
    }

    public Preparation withPerspective(Optional<Perspective> newPerspective) {
        return new Preparation(turn, isMirrored, trim, lens, newPerspective, angle, edge);
    }

    public Preparation withLens(Optional<Lens> newLens) {
        return new Preparation(turn, isMirrored, trim, newLens, perspective, angle, edge);
    }

    public Preparation withEdge(Edge newEdge) {
        return new Preparation(turn, isMirrored, trim, lens, perspective, angle, newEdge);
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
                lens,
                perspective.map(Perspective::mirrored),
                new Angle(0 - angle.degrees()),
                edge);
    }

    /** The part that is done before anything is looked for in a photo: where its pixels lie. */
    public Preparation beforeShaping() {
        return withoutShape().withAngle(Angle.NONE).withEdge(Edge.NONE);
    }

    /** The same, but for the lens and the perspective. */
    public Preparation withoutShape() {
        return withLens(Optional.empty()).withPerspective(Optional.empty());
    }

    /** The part that a picture kept in memory has in its pixels; the rest is done when it is drawn. */
    public Preparation inPixels() {
        return beforeShaping().withTrim(Trim.NONE);
    }

    /**
     * All of it in letters, see {@link Fingerprint}. What is added to it says nothing where nothing is done, so that what was
     * kept before stays known.
     */
    public String fingerprint() {
        String shape = lens.map(said -> " " + said.fingerprint()).orElse("")
                + perspective.map(said -> " " + said.fingerprint()).orElse("");
        return turn.name() + " " + isMirrored + " " + angle.fingerprint()
                + (trim.isNone() ? "" : " " + trim.fingerprint()) + shape
                + (edge.equals(Edge.NONE) ? "" : " " + edge.fingerprint());
    }
}
