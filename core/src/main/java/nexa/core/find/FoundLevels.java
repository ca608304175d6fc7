package nexa.core.find;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.series.SureLevels;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;

/** The levels that were found in photos. */
public final class FoundLevels implements SureLevels {
    /** What was found, and what had been done to the photo before. */
    private record Known(Preparation before, FoundLevel level) {}

    /** By file: whoever asks, asks for every photo in every format. */
    private final Map<String, Known> known;

    /** @param found by the photos {@linkplain Photo#asLookedAt as they were looked at}, each file once */
    public FoundLevels(Map<Photo, FoundLevel> found) {
        this.known = found.entrySet().stream()
                .collect(Collectors.toUnmodifiableMap(
                        each -> each.getKey().file(),
                        each -> new Known(each.getKey().preparation(), each.getValue())));
    }

    @Override
    public Optional<Looked> of(Photo photo) {
        return Optional.ofNullable(known.get(photo.file()))
                .filter(one -> one.before()
                                .orientation()
                                .equals(photo.preparation().orientation())
                        && one.before().trim().equals(photo.preparation().trim()))
                .map(one -> new Looked(Optional.of(one.level())
                        .filter(sure -> sure.certainty() == Certainty.SURE)
                        .map(sure -> sure.angle(photo))));
    }
}
