package nexa.core.find;

import java.util.Map;
import java.util.Optional;
import nexa.core.series.SureLevels;
import nexa.core.shoot.Photo;

/**
 * The levels that were found in photos.
 *
 * @param found by the photos {@linkplain Photo#asLookedAt as they were looked at}
 */
public record FoundLevels(Map<Photo, FoundLevel> found) implements SureLevels {
    public FoundLevels {
        found = Map.copyOf(found);
    }

    @Override
    public Optional<Looked> of(Photo photo) {
        return Optional.ofNullable(found.get(photo.asLookedAt()))
                .map(level -> new Looked(Optional.of(level)
                        .filter(sure -> sure.certainty() == Certainty.SURE)
                        .map(sure -> sure.angle(photo))));
    }
}
