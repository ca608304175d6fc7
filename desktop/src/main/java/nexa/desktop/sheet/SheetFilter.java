package nexa.desktop.sheet;

import nexa.core.format.Format;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.desktop.session.ShootSession;

/** Which photos the sheet shows. */
enum SheetFilter {
    EVERYTHING,
    ALL_BUT_OUT,
    SELECTS,
    NOT_DONE,
    NEEDS_A_LOOK;

    boolean lets(ShootSession session, Photo photo, Format format) {
        return switch (this) {
            case EVERYTHING -> true;
            case ALL_BUT_OUT -> photo.mark() != Mark.OUT;
            case SELECTS -> photo.mark() == Mark.SELECT;
            case NOT_DONE ->
                photo.mark() != Mark.OUT && !photo.entry(format.id()).isDone();
            case NEEDS_A_LOOK ->
                !session.looks(photo, format).isEmpty()
                        || session.readingProperty().get().problems().containsKey(photo.file());
        };
    }
}
