package nexa.desktop.sheet;

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
    NEEDS_A_LOOK;

    boolean lets(WorkedOut known, Photo photo) {
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
                                .filter(row -> !row.looks().isEmpty())
                                .isPresent();
        };
    }
}
