package nexa.core.series;

import java.util.Optional;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Photo;

/** What is known of how photos lie level. */
@FunctionalInterface
public interface SureLevels {
    /** Nobody looked. */
    SureLevels NOT_LOOKED = photo -> Optional.empty();

    /** What came of looking at a photo; empty if nobody looked. */
    Optional<Looked> of(Photo photo);

    /**
     * What came of looking at a photo.
     *
     * @param angle the one that levels it, if one was found surely
     */
    record Looked(Optional<Angle> angle) {}
}
