package nexa.core.series;

import java.util.Optional;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Shoot;

/** Whether crops may reach beyond their photos, and how what lies there is filled. */
public final class Reach {
    private Reach() {}

    /** The shoot in which a crop may reach beyond its photo, or may not. What it was there comes back when it may again. */
    public static Shoot let(Shoot shoot, String file, String format, boolean may) {
        boolean isUsual = may == shoot.format(format).reaches();
        return shoot.with(
                file,
                photo -> photo.withEntry(
                        format, photo.entry(format).withReaches(isUsual ? Optional.empty() : Optional.of(may))));
    }

    /** The shoot in which what a crop takes in beyond its photo is filled so. */
    public static Shoot fill(Shoot shoot, String file, String format, Beyond beyond) {
        return shoot.with(
                file, photo -> photo.withEntry(format, photo.entry(format).withBeyond(beyond)));
    }
}
