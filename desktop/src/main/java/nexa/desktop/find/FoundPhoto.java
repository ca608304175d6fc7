package nexa.desktop.find;

import java.util.Optional;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.find.TakeLevels;
import nexa.core.shoot.Photo;

/**
 * What came of looking at a photo.
 *
 * @param photo as it was looked at
 * @param level empty if it could not be read
 */
record FoundPhoto(Photo photo, Optional<FoundLevel> level) {

    /** What photos are shown together, in this order. */
    enum Group {
        SURE,
        LIKELY,
        LEVELLED,
        PLAIN,
        NOTHING_STRAIGHT,
        RUN_TOGETHER,
        LINES_DISAGREE,
        UNREADABLE
    }

    Group group() {
        if (level.isEmpty()) {
            return Group.UNREADABLE;
        }
        FoundLevel found = level.get();
        if (found.certainty() == Certainty.NOT_SURE) {
            return Group.valueOf(found.reason().name());
        }
        if (TakeLevels.isLevelled(photo)) {
            return Group.LEVELLED;
        }
        return found.certainty() == Certainty.SURE ? Group.SURE : Group.LIKELY;
    }

    /** Whether there is anything to take. */
    boolean canBeTaken() {
        return level.filter(found -> found.certainty() != Certainty.NOT_SURE).isPresent();
    }

    /** Whether it is taken unless the photographer says otherwise. */
    boolean isUsual() {
        return level.filter(found -> TakeLevels.isUsual(photo, found)).isPresent();
    }
}
