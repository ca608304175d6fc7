package nexa.core.shoot;

import java.util.Optional;
import nexa.core.geometry.Orientation;

/**
 * What a shoot says of one photo's crop in one format.
 *
 * @param turn which way the crop lies, where it differs from the format's
 * @param isDone whether this crop has been looked at and is right
 */
public record CropEntry(Placement placement, Optional<Orientation> turn, boolean isDone) {
    public static final CropEntry UNTOUCHED = new CropEntry(Placement.UNTOUCHED, Optional.empty(), false);

    public CropEntry withPlacement(Placement newPlacement) {
        return new CropEntry(newPlacement, turn, isDone);
    }

    public CropEntry withTurn(Optional<Orientation> newTurn) {
        return new CropEntry(placement, newTurn, isDone);
    }

    public CropEntry withDone(boolean nowDone) {
        return new CropEntry(placement, turn, nowDone);
    }
}
