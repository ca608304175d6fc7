package nexa.desktop.series;

import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import nexa.core.series.CarryAcross;
import nexa.core.series.Leads;
import nexa.core.series.Reorient;
import nexa.core.series.StartAgain;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.desktop.session.ShootSession;

/** What is done to photos at once, to the one worked on or to all that are chosen; each is one edit. */
public final class PhotoEdits {
    /** Which photos, and how they are changed. */
    public interface Where {
        Set<String> files();

        void edit(Edit.Kind kind, UnaryOperator<Shoot> change);
    }

    private final ShootSession session;
    private final Where where;

    public PhotoEdits(ShootSession session, Where where) {
        this.session = session;
        this.where = where;
    }

    /** Those that can be worked on. */
    private Set<String> ready() {
        return where.files().stream()
                .filter(file -> session.shoot().find(file).map(session::isReady).orElse(false))
                .collect(Collectors.toSet());
    }

    private void change(Edit.Kind kind, BiFunction<Shoot, Set<String>, Shoot> how) {
        Set<String> files = ready();
        if (!files.isEmpty()) {
            where.edit(kind, shoot -> how.apply(shoot, files));
        }
    }

    /** Marks them; if all have the mark already, they are open again. */
    public void mark(Mark mark) {
        Set<String> files = where.files();
        boolean isAll =
                files.stream().allMatch(file -> session.shoot().photo(file).mark() == mark);
        each(Edit.Kind.MARK, photo -> photo.withMark(isAll ? Mark.OPEN : mark));
    }

    /** Changes each, those too that cannot be read. */
    public void each(Edit.Kind kind, UnaryOperator<Photo> change) {
        Set<String> files = where.files();
        if (!files.isEmpty()) {
            where.edit(kind, shoot -> shoot.withEach(files, change));
        }
    }

    public void reorient(Reorient how) {
        boolean isMirror = how == Reorient.MIRROR || how == Reorient.MIRROR_DOWN;
        change(isMirror ? Edit.Kind.MIRROR : Edit.Kind.TURN_PHOTO, how::apply);
    }

    /** All that was done to them goes. */
    public void startAgain() {
        change(Edit.Kind.START_AGAIN, StartAgain::photos);
    }

    /** Their perspectives are as shot. */
    public void startPerspectiveAgain() {
        change(Edit.Kind.START_AGAIN, StartAgain::perspective);
    }

    /** They stay where they are, and follow no lead. */
    public void letGo() {
        String format = format();
        change(Edit.Kind.LET_GO, (shoot, files) -> Leads.letGo(shoot, files, format));
    }

    /** @param withTune whether what differs from the lead stays, as a tune */
    public void followAgain(boolean withTune) {
        String format = format();
        change(
                Edit.Kind.CARRY,
                (shoot, files) -> withTune
                        ? CarryAcross.againTuned(shoot, files, format)
                        : CarryAcross.again(shoot, files, format));
    }

    /** Their crops are done. */
    public void done() {
        String format = format();
        change(
                Edit.Kind.DONE,
                (shoot, files) -> shoot.withEach(
                        files,
                        photo -> photo.withEntry(format, photo.entry(format).withDone(true))));
    }

    private String format() {
        return session.formatProperty().get();
    }

    /** Tries to read those once more that could not be read. */
    public void readAgain() {
        session.readAgain(where.files().stream()
                .filter(file ->
                        session.shoot().find(file).map(session::hasProblem).orElse(false))
                .collect(Collectors.toSet()));
    }
}
