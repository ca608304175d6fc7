package nexa.desktop.easel;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import nexa.core.series.Leads;
import nexa.core.series.Reorient;
import nexa.core.series.StartAgain;
import nexa.core.series.Trimming;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Trim;
import nexa.desktop.desk.StartKind;
import nexa.desktop.desk.StepSection;
import nexa.desktop.find.FindPanel;
import nexa.desktop.parts.Overlays;
import nexa.desktop.series.CarryPanel;
import nexa.desktop.series.PhotoEdits;
import nexa.desktop.session.ShootSession;

/** What is done to the photo worked on at once, without a drag; each is one edit. */
final class PhotoActions implements StepSection.Actions {
    private final ShootSession session;
    private final Overlays overlays;
    private final Runnable first;
    private final PhotoEdits edits;

    /** @param first ends what the hand is still at, before anything is done */
    PhotoActions(ShootSession session, Overlays overlays, Runnable first) {
        this.session = session;
        this.overlays = overlays;
        this.first = first;
        this.edits = new PhotoEdits(session, new ThisPhoto());
    }

    private final class ThisPhoto implements PhotoEdits.Where {
        @Override
        public Set<String> files() {
            return ready().map(photo -> Set.of(photo.file())).orElse(Set.of());
        }

        @Override
        public void edit(Edit.Kind kind, UnaryOperator<Shoot> change) {
            session.edit(kind, change);
        }
    }

    private Optional<Photo> ready() {
        return session.photo().filter(session::isReady);
    }

    private String format() {
        return session.formatProperty().get();
    }

    void reorient(Reorient how) {
        first.run();
        edits.reorient(how);
    }

    void startAgain(StartKind what) {
        first.run();
        String format = format();
        ready().map(Photo::file)
                .ifPresent(file -> session.edit(Edit.Kind.START_AGAIN, shoot -> switch (what) {
                    case CROP -> StartAgain.crop(shoot, file, format);
                    case LEVEL -> StartAgain.level(shoot, file);
                    case PERSPECTIVE -> StartAgain.perspective(shoot, Set.of(file));
                    case PHOTO -> StartAgain.photos(shoot, Set.of(file));
                }));
    }

    /** Marks the photo; marked so already, it is open again. */
    void mark(Mark mark) {
        first.run();
        edits.mark(mark);
    }

    /** Lets all of the photo count again. */
    void untrim() {
        first.run();
        session.photo()
                .ifPresent(photo -> session.edit(Edit.Kind.TRIM, shoot -> Trimming.of(shoot, photo.file(), Trim.NONE)));
    }

    /** Tries to read the photo once more. */
    void readAgain() {
        session.photo().ifPresent(photo -> session.readAgain(Set.of(photo.file())));
    }

    /** Marks the crop done and goes to the next that is not. */
    void doneAndOn() {
        first.run();
        ready().ifPresent(photo -> {
            String format = format();
            edits.done();
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
        CarryPanel.open(session, overlays);
    }

    /** Finds the levels of many photos. */
    void findInMany() {
        first.run();
        FindPanel.open(session, overlays);
    }

    @Override
    public void lead() {
        first.run();
        String format = format();
        ready().ifPresent(photo -> session.edit(Edit.Kind.LEAD, shoot -> Leads.make(shoot, photo.file(), format)));
    }

    @Override
    public void noLead() {
        first.run();
        String format = format();
        ready().ifPresent(photo ->
                session.editMany(Edit.Kind.LEAD, format, shoot -> Leads.takeAway(shoot, photo.file(), format)));
    }

    @Override
    public void letGo() {
        first.run();
        edits.letGo();
    }

    @Override
    public void followAgain(boolean withTune) {
        first.run();
        edits.followAgain(withTune);
    }
}
