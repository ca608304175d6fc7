package nexa.desktop.sheet;

import java.util.Map;
import java.util.Optional;
import nexa.core.find.FoundSubject;
import nexa.core.series.NeedsLook;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.desktop.session.ShootNow;
import nexa.desktop.session.WorkedOut;

/** Which photos the sheet shows. */
enum SheetFilter {
    EVERYTHING,
    ALL_BUT_OUT,
    SELECTS,
    NOT_DONE,
    NEEDS_A_LOOK,
    WITH_PEOPLE,
    WITHOUT_PEOPLE;

    /** Whether it goes by what photos are about, which has to be looked for. */
    boolean goesBySubjects() {
        return this == WITH_PEOPLE || this == WITHOUT_PEOPLE;
    }

    /**
     * Whether a photo is shown.
     *
     * @param seen what photos are about, by file; a photo that was not looked at yet is neither with people nor without
     */
    boolean lets(WorkedOut known, Map<String, FoundSubject> seen, Photo photo) {
        ShootNow now = known.now();
        return switch (this) {
            case EVERYTHING -> true;
            case ALL_BUT_OUT -> photo.mark() != Mark.OUT;
            case SELECTS -> photo.mark() == Mark.SELECT;
            case NOT_DONE ->
                photo.mark() != Mark.OUT && !photo.entry(now.format().id()).isDone();
            case NEEDS_A_LOOK ->
                now.hasProblem(photo)
                        || known.crops()
                                .find(photo.file())
                                .filter(row -> row.looks().stream().anyMatch(look -> look != NeedsLook.ASK_NOT_KNOWN))
                                .isPresent();
            case WITH_PEOPLE -> hasPeople(seen, photo).orElse(false);
            case WITHOUT_PEOPLE -> !hasPeople(seen, photo).orElse(true);
        };
    }

    /** Empty where nobody looked yet. */
    private static Optional<Boolean> hasPeople(Map<String, FoundSubject> seen, Photo photo) {
        return Optional.ofNullable(seen.get(photo.file())).map(FoundSubject::isOfPeople);
    }
}
