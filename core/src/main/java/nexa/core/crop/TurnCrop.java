package nexa.core.crop;

import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;

/** Turns a wide crop tall or a tall one wide, keeping its centre and area as far as the photo lets it. */
public final class TurnCrop {
    private TurnCrop() {}

    public static Crop turn(Outline outline, Crop crop) {
        return outline.settle(crop.withSize(crop.size().swapped()));
    }
}
