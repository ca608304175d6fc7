package nexa.core.shoot;

import java.util.Optional;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Fingerprint;
import nexa.core.shape.Lens;
import nexa.core.shape.Perspective;
import nexa.core.shape.Shape;
import nexa.core.shape.Vignette;

/**
 * All that is done to a photo, for every format alike, before it is cropped: in parts, by what they touch, in the order in which
 * they are done. Another thing that can be done to a photo belongs to one of the parts, and whoever asks whether two pictures, two
 * planes or two drawings are the same asks for parts; so nobody else has to know of it.
 *
 * @param orientation which pixels it has; another one is another picture
 * @param trim what of them does not count as picture
 * @param shape where they lie
 * @param tone their light and colour
 */
public record Preparation(PhotoOrientation orientation, Trim trim, Shape shape, Tone tone) {
    public static final Preparation NONE = new Preparation(PhotoOrientation.UPRIGHT, Trim.NONE, Shape.NONE, Tone.NONE);

    /** Whether nothing is done to the photo. */
    public boolean isNone() {
        return equals(NONE);
    }

    /** Whether the photo is seen the way it is stored upright; what is stored for it then lies where it says. */
    public boolean isUpright() {
        return orientation.equals(PhotoOrientation.UPRIGHT);
    }

    public QuarterTurn turn() {
        return orientation.turn();
    }

    public boolean isMirrored() {
        return orientation.isMirrored();
    }

    public Optional<Lens> lens() {
        return shape.lens();
    }

    public Optional<Perspective> perspective() {
        return shape.perspective();
    }

    public Angle angle() {
        return shape.angle();
    }

    public Vignette vignette() {
        return tone.vignette();
    }

    public Preparation withOrientation(PhotoOrientation newOrientation) {
        return new Preparation(newOrientation, trim, shape, tone);
    }

    public Preparation withTrim(Trim newTrim) {
        return new Preparation(orientation, newTrim, shape, tone);
    }

    public Preparation withShape(Shape newShape) {
        return new Preparation(orientation, trim, newShape, tone);
    }

    public Preparation withTone(Tone newTone) {
        return new Preparation(orientation, trim, shape, newTone);
    }

    public Preparation withTurn(QuarterTurn newTurn) {
        return withOrientation(new PhotoOrientation(newTurn, isMirrored()));
    }

    public Preparation withMirrored(boolean nowMirrored) {
        return withOrientation(new PhotoOrientation(turn(), nowMirrored));
    }

    public Preparation withLens(Optional<Lens> newLens) {
        return withShape(shape.withLens(newLens));
    }

    public Preparation withPerspective(Optional<Perspective> newPerspective) {
        return withShape(shape.withPerspective(newPerspective));
    }

    public Preparation withAngle(Angle newAngle) {
        return withShape(shape.withAngle(newAngle));
    }

    public Preparation withVignette(Vignette newVignette) {
        return withTone(tone.withVignette(newVignette));
    }

    /** The same, seen a quarter further clockwise. */
    public Preparation turnedRight() {
        return new Preparation(orientation.turnedRight(), trim.turnedRight(), shape.turnedRight(), tone);
    }

    /** The same, seen in a mirror that stands beside it. */
    public Preparation mirrored() {
        return new Preparation(orientation.mirrored(), trim.mirrored(), shape.mirrored(), tone);
    }

    /** The part that a picture kept in memory has in its pixels; the rest is done when it is drawn. */
    public Preparation inPixels() {
        return NONE.withOrientation(orientation);
    }

    /** The parts that are done before anything is looked for in a photo: which pixels there are, and which of them count. */
    public Preparation beforeShape() {
        return inPixels().withTrim(trim);
    }

    /** Whether every place of the photo lies where it lies with the other one, and counts or not as there. */
    public boolean hasSamePlacesAs(Preparation other) {
        return withTone(Tone.NONE).equals(other.withTone(Tone.NONE));
    }

    /**
     * All of it in letters, see {@link Fingerprint}. What is added to it says nothing where nothing is done, so that what was
     * kept before stays known.
     */
    public String fingerprint() {
        String reshaped = lens().map(said -> " " + said.fingerprint()).orElse("")
                + perspective().map(said -> " " + said.fingerprint()).orElse("");
        return turn().name() + " " + isMirrored() + " " + angle().fingerprint()
                + (trim.isNone() ? "" : " " + trim.fingerprint()) + reshaped
                + tone.fingerprint();
    }
}
