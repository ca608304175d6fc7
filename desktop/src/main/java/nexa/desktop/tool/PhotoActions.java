package nexa.desktop.tool;

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
import nexa.desktop.find.FindPanel;
import nexa.desktop.series.CarryPanel;
import nexa.desktop.series.PhotoEdits;
import nexa.desktop.session.ShootSession;

/** What is done to the photo worked on at once, without a drag; each is one edit. */
public final class PhotoActions {
    private final ShootSession session;
    private final Easel easel;
    private final PhotoEdits edits;

    public PhotoActions(Easel easel) {
        this.easel = easel;
        this.session = easel.session();
        this.edits = new PhotoEdits(session, new ThisPhoto());
    }

    private final class ThisPhoto implements PhotoEdits.Where {
        @Override
        public Set<String> files() {
            return easel.photo().map(photo -> Set.of(photo.file())).orElse(Set.of());
        }

        @Override
        public void edit(Edit.Kind kind, UnaryOperator<Shoot> change) {
            session.edit(kind, change);
        }
    }

    private String format() {
        return session.formatProperty().get();
    }

    public void reorient(Reorient how) {
        easel.letGo();
        edits.reorient(how);
    }

    public void startAgain(StartKind what) {
        easel.letGo();
        String format = format();
        easel.photo()
                .map(Photo::file)
                .ifPresent(file -> session.edit(Edit.Kind.START_AGAIN, shoot -> switch (what) {
                    case CROP -> StartAgain.crop(shoot, file, format);
                    case LEVEL -> StartAgain.level(shoot, file);
                    case PERSPECTIVE -> StartAgain.perspective(shoot, Set.of(file));
                    case PHOTO -> StartAgain.photos(shoot, Set.of(file));
                }));
    }

    /** Marks the photo; marked so already, it is open again. */
    public void mark(Mark mark) {
        easel.letGo();
        edits.mark(mark);
    }

    /** Lets all of the photo count again. */
    public void untrim() {
        easel.letGo();
        session.photo()
                .ifPresent(photo -> session.edit(Edit.Kind.TRIM, shoot -> Trimming.of(shoot, photo.file(), Trim.NONE)));
    }

    /** Tries to read the photo once more. */
    public void readAgain() {
        session.photo().ifPresent(photo -> session.readAgain(Set.of(photo.file())));
    }

    /** Marks the crop done and goes to the next that is not. */
    public void doneAndOn() {
        easel.letGo();
        easel.photo().ifPresent(photo -> {
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

    public void carry() {
        easel.letGo();
        CarryPanel.open(session, easel.overlays());
    }

    /** Finds the levels of many photos. */
    public void findInMany() {
        easel.letGo();
        FindPanel.open(session, easel.overlays());
    }

    public void lead() {
        easel.letGo();
        String format = format();
        easel.photo()
                .ifPresent(photo -> session.edit(Edit.Kind.LEAD, shoot -> Leads.make(shoot, photo.file(), format)));
    }

    public void noLead() {
        easel.letGo();
        String format = format();
        easel.photo()
                .ifPresent(photo ->
                        session.editMany(Edit.Kind.LEAD, format, shoot -> Leads.takeAway(shoot, photo.file(), format)));
    }

    public void letGo() {
        easel.letGo();
        edits.letGo();
    }

    public void followAgain(boolean withTune) {
        easel.letGo();
        edits.followAgain(withTune);
    }
}
