package nexa.core.shoot;

import java.util.Optional;
import nexa.core.geometry.Orientation;

/**
 * What a shoot says of one photo's crop in one format.
 *
 * @param turn which way the crop lies, where it differs from the format's
 * @param isDone whether this crop has been looked at and is right
 * @param reaches whether it may reach beyond the photo, where it is said; else its format tells
 * @param beyond how what it takes in outside the photo is filled
 */
public record CropEntry(
        Placement placement, Optional<Orientation> turn, boolean isDone, Optional<Boolean> reaches, Beyond beyond) {
    public static final CropEntry UNTOUCHED = new CropEntry(Placement.UNTOUCHED, Optional.empty(), false);

    /** Of which nothing is said of what lies beyond the photo. */
    public CropEntry(Placement placement, Optional<Orientation> turn, boolean isDone) {
        this(placement, turn, isDone, Optional.empty(), Beyond.USUAL);
    }

    public CropEntry withPlacement(Placement newPlacement) {
        return new CropEntry(newPlacement, turn, isDone, reaches, beyond);
    }

    public CropEntry withTurn(Optional<Orientation> newTurn) {
        return new CropEntry(placement, newTurn, isDone, reaches, beyond);
    }

    public CropEntry withDone(boolean nowDone) {
        return new CropEntry(placement, turn, nowDone, reaches, beyond);
    }

    public CropEntry withReaches(Optional<Boolean> nowReaches) {
        return new CropEntry(placement, turn, isDone, nowReaches, beyond);
    }

    public CropEntry withBeyond(Beyond newBeyond) {
        return new CropEntry(placement, turn, isDone, reaches, newBeyond);
    }
}
