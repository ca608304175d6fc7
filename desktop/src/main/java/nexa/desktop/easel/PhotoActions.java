package nexa.desktop.easel;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import nexa.core.series.CarryAcross;
import nexa.core.series.Leads;
import nexa.core.series.Reorient;
import nexa.core.series.StartAgain;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.desktop.desk.StartKind;
import nexa.desktop.desk.StepSection;
import nexa.desktop.parts.Overlays;
import nexa.desktop.series.CarryPanel;
import nexa.desktop.session.ShootSession;

/** What is done to the photo worked on at once, without a drag; each is one edit. */
final class PhotoActions implements StepSection.Actions {
    private final ShootSession session;
    private final Overlays overlays;
    private final Runnable first;

    /** @param first ends what the hand is still at, before anything is done */
    PhotoActions(ShootSession session, Overlays overlays, Runnable first) {
        this.session = session;
        this.overlays = overlays;
        this.first = first;
    }

    private void change(Edit.Kind kind, BiFunction<Shoot, String, Shoot> how) {
        first.run();
        session.photo()
                .filter(session::isReady)
                .ifPresent(photo -> session.edit(kind, shoot -> how.apply(shoot, photo.file())));
    }

    private String format() {
        return session.formatProperty().get();
    }

    void reorient(Reorient how) {
        boolean isMirror = how == Reorient.MIRROR || how == Reorient.MIRROR_DOWN;
        change(isMirror ? Edit.Kind.MIRROR : Edit.Kind.TURN_PHOTO, (shoot, file) -> how.apply(shoot, Set.of(file)));
    }

    void startAgain(StartKind what) {
        change(Edit.Kind.START_AGAIN, (shoot, file) -> switch (what) {
            case CROP -> StartAgain.crop(shoot, file, format());
            case LEVEL -> StartAgain.level(shoot, file);
            case PHOTO -> StartAgain.photos(shoot, Set.of(file));
        });
    }

    /** Marks the photo; marked so already, it is open again. */
    void mark(Mark mark) {
        change(
                Edit.Kind.MARK,
                (shoot, file) -> shoot.with(file, before -> before.withMark(before.mark() == mark ? Mark.OPEN : mark)));
    }

    /** Tries to read the photo once more. */
    void readAgain() {
        session.photo().ifPresent(photo -> session.readAgain(Set.of(photo.file())));
    }

    /** Marks the crop done and goes to the next that is not. */
    void doneAndOn() {
        first.run();
        session.photo().filter(session::isReady).ifPresent(photo -> {
            String format = format();
            change(
                    Edit.Kind.DONE,
                    (shoot, file) -> shoot.with(
                            file,
                            before -> before.withEntry(
                                    format, before.entry(format).withDone(true))));
            session.goTo(Optional.of(nextNotDone(photo, format).orElse(photo.file())));
        });
    }

    private Optional<String> nextNotDone(Photo from, String format) {
        List<Photo> photos = session.photos();
        int here = photos.stream().map(Photo::file).toList().indexOf(from.file());
        for (int i = 1; i < photos.size(); i++) {
            Photo next = photos.get((here + i) % photos.size());
            boolean isOut = next.mark() == Mark.OUT;
            if (session.isReady(next) && !isOut && !next.entry(format).isDone()) {
                return Optional.of(next.file());
            }
        }
        return Optional.empty();
    }

    @Override
    public void carry() {
        first.run();
        session.photo()
                .filter(session::isReady)
                .ifPresent(photo -> overlays.show(new CarryPanel(session, photo, overlays::close)));
    }

    @Override
    public void lead() {
        change(Edit.Kind.LEAD, (shoot, file) -> Leads.make(shoot, file, format()));
    }

    @Override
    public void noLead() {
        first.run();
        String format = format();
        session.photo()
                .filter(session::isReady)
                .ifPresent(photo ->
                        session.editMany(Edit.Kind.LEAD, format, shoot -> Leads.takeAway(shoot, photo.file(), format)));
    }

    @Override
    public void letGo() {
        change(Edit.Kind.LET_GO, (shoot, file) -> Leads.letGo(shoot, Set.of(file), format()));
    }

    @Override
    public void followAgain(boolean withTune) {
        change(
                Edit.Kind.CARRY,
                (shoot, file) -> withTune
                        ? CarryAcross.againTuned(shoot, Set.of(file), format())
                        : CarryAcross.again(shoot, Set.of(file), format()));
    }
}
