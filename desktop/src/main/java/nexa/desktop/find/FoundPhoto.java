package nexa.desktop.find;

import java.util.Optional;
import nexa.core.find.Answer;
import nexa.core.find.Certainty;
import nexa.core.shoot.Photo;

/**
 * What came of looking for something in a photo.
 *
 * @param photo as it was looked at
 * @param what what was looked for
 * @param found empty if it could not be read
 * @param isDone whether the photo had such a thing already
 * @param format the id of the format that it is proposed for; "" where it is the same in all
 */
record FoundPhoto(Photo photo, FindWhat what, Optional<? extends Answer> found, boolean isDone, String format) {
    /** What was found, where it is the same in all formats. */
    FoundPhoto(Photo photo, FindWhat what, Optional<? extends Answer> found, boolean isDone) {
        this(photo, what, found, isDone, "");
    }

    /**
     * What is looked for one thing in: a photo, in a format where there is one for each.
     *
     * @param format "" where it is the same in all
     */
    record Key(String file, String format) {}

    Key key() {
        return new Key(photo.file(), format);
    }

    /** What photos are shown together, in this order. */
    enum Group {
        SURE,
        /** Subjects that are sure, by what they are. */
        PERSON,
        PEOPLE,
        ANIMAL,
        THING,
        STANDS_OUT,
        LIKELY_LEVELS,
        LIKELY_BORDERS,
        LIKELY_UPRIGHTS,
        LIKELY_SUBJECTS,
        LIKELY_CROPS,
        DONE_LEVELS,
        DONE_BORDERS,
        DONE_UPRIGHTS,
        DONE_SUBJECTS,
        DONE_CROPS,
        PLAIN,
        NOTHING_STRAIGHT,
        RUN_TOGETHER,
        LINES_DISAGREE,
        NO_BORDER,
        NO_UPRIGHTS,
        PARALLEL,
        SEVERAL_ALIKE,
        FILLS_PICTURE,
        AT_EDGE,
        NOTHING_STANDS_OUT,
        UNREADABLE
    }

    Group group() {
        if (found.isEmpty()) {
            return Group.UNREADABLE;
        }
        Answer some = found.get();
        if (!some.isSomething()) {
            return Group.valueOf(some.reason().name());
        }
        if (isDone) {
            return Group.valueOf("DONE_" + what.name());
        }
        if (some.certainty() != Certainty.SURE) {
            return Group.valueOf("LIKELY_" + what.name());
        }
        return what == FindWhat.SUBJECTS ? Group.valueOf(some.reason().name()) : Group.SURE;
    }

    /** Whether there is anything to take. */
    boolean canBeTaken() {
        return found.filter(Answer::isSomething).isPresent();
    }

    /** Whether it is taken unless the photographer says otherwise. */
    boolean isUsual() {
        return !isDone
                && found.filter(some -> some.certainty() == Certainty.SURE).isPresent();
    }
}
