package nexa.desktop.lineup;

import java.util.HashSet;
import java.util.Set;
import nexa.core.geometry.Crop;
import nexa.core.series.PhotoCrop;

/** Which crops have been on view large enough to be judged. A crop that has changed since is another one. */
final class OnView {
    /** The long side that is large enough, in screen pixels. */
    static final double LARGE = 300;

    private record Viewed(String file, String format, Crop crop) {}

    private final Set<Viewed> viewed = new HashSet<>();
    private final Runnable changed;

    /** @param changed hears that another one has been on view */
    OnView(Runnable changed) {
        this.changed = changed;
    }

    private static Viewed of(PhotoCrop crop) {
        return new Viewed(crop.photo().file(), crop.format().id(), crop.crop());
    }

    /**
     * A crop is on view.
     *
     * @param longSide how large, in screen pixels
     */
    void see(PhotoCrop crop, double longSide) {
        if (longSide >= LARGE && viewed.add(of(crop))) {
            changed.run();
        }
    }

    boolean has(PhotoCrop crop) {
        return viewed.contains(of(crop));
    }
}
