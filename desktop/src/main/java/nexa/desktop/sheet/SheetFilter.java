package nexa.desktop.sheet;

import nexa.core.series.Crops;
import nexa.core.series.NeedsLook;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.desktop.session.ShootNow;

/** Which photos the sheet shows. */
enum SheetFilter {
    EVERYTHING,
    ALL_BUT_OUT,
    SELECTS,
    NOT_DONE,
    NEEDS_A_LOOK;

    /** @param crops of the same shoot */
    boolean lets(ShootNow now, Crops crops, Photo photo) {
        return switch (this) {
            case EVERYTHING -> true;
            case ALL_BUT_OUT -> photo.mark() != Mark.OUT;
            case SELECTS -> photo.mark() == Mark.SELECT;
            case NOT_DONE ->
                photo.mark() != Mark.OUT && !photo.entry(now.format().id()).isDone();
            case NEEDS_A_LOOK ->
                now.hasProblem(photo)
                        || now.isReady(photo)
                                && !NeedsLook.of(crops, crops.of(photo, now.format()))
                                        .isEmpty();
        };
    }
}
