package nexa.desktop.sheet;

import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import nexa.core.geometry.Angle;
import nexa.core.series.CarryAcross;
import nexa.core.series.Leads;
import nexa.core.series.Reorient;
import nexa.core.series.StartAgain;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.TypedAngle;
import nexa.desktop.parts.Words;
import nexa.desktop.series.CarryPanel;
import nexa.desktop.session.ShootSession;

/** What can be done with the chosen photos, each as one edit. */
final class ChosenActions {
    private final ShootSession session;
    private final Choosing choosing;
    private final Overlays overlays;
    private final Consumer<String> messages;

    ChosenActions(ShootSession session, Choosing choosing, Overlays overlays, Consumer<String> messages) {
        this.session = session;
        this.choosing = choosing;
        this.overlays = overlays;
        this.messages = messages;
    }

    /** The chosen photos that can be worked on. */
    private Set<String> files() {
        return choosing.files().stream()
                .filter(file -> session.shoot().find(file).map(session::isReady).orElse(false))
                .collect(Collectors.toSet());
    }

    private void each(Edit.Kind kind, UnaryOperator<Photo> change) {
        Set<String> files = choosing.files();
        edit(kind, shoot -> shoot.withEach(files, change));
    }

    private void edit(Edit.Kind kind, UnaryOperator<Shoot> change) {
        session.editMany(kind, session.formatProperty().get(), change);
    }

    /** Marks them; if all have the mark already, they are open again. */
    void mark(Mark mark) {
        boolean isAll = choosing.files().stream()
                .allMatch(file -> session.shoot().photo(file).mark() == mark);
        each(Edit.Kind.MARK, photo -> photo.withMark(isAll ? Mark.OPEN : mark));
    }

    void level(String typed) {
        try {
            Angle angle = TypedAngle.read(typed);
            each(Edit.Kind.LEVEL, photo -> photo.withAngle(angle));
        } catch (IllegalArgumentException e) {
            messages.accept(Words.get("level.notAnAngle", typed));
        }
    }

    void reorient(Reorient how) {
        Set<String> files = files();
        boolean isMirror = how == Reorient.MIRROR || how == Reorient.MIRROR_DOWN;
        edit(isMirror ? Edit.Kind.MIRROR : Edit.Kind.TURN_PHOTO, shoot -> how.apply(shoot, files));
    }

    /** Tries to read those once more that could not be read. */
    void readAgain() {
        session.readAgain(choosing.files().stream()
                .filter(file ->
                        session.shoot().find(file).map(session::hasProblem).orElse(false))
                .collect(Collectors.toSet()));
    }

    void startAgain() {
        Set<String> files = files();
        edit(Edit.Kind.START_AGAIN, shoot -> StartAgain.photos(shoot, files));
    }

    void letGo() {
        Set<String> files = files();
        String format = session.formatProperty().get();
        edit(Edit.Kind.LET_GO, shoot -> Leads.letGo(shoot, files, format));
    }

    /** @param withTune whether what differs from the lead stays, as a tune */
    void followAgain(boolean withTune) {
        Set<String> files = files();
        String format = session.formatProperty().get();
        edit(
                Edit.Kind.CARRY,
                shoot -> withTune
                        ? CarryAcross.againTuned(shoot, files, format)
                        : CarryAcross.again(shoot, files, format));
    }

    void done() {
        Set<String> files = files();
        String format = session.formatProperty().get();
        edit(
                Edit.Kind.DONE,
                shoot -> shoot.withEach(
                        files,
                        photo -> photo.withEntry(format, photo.entry(format).withDone(true))));
    }

    /** Carries the crop of the photo worked on to the others. */
    void carry() {
        session.photo()
                .filter(session::isReady)
                .ifPresent(photo -> overlays.show(new CarryPanel(session, photo, overlays::close)));
    }

    /** Puts the names of all photos marked out on the clipboard, a line each. */
    void copyOut() {
        String names = session.shoot().photos().stream()
                .filter(photo -> photo.mark() == Mark.OUT)
                .map(Photo::file)
                .collect(Collectors.joining("\n"));
        ClipboardContent content = new ClipboardContent();
        content.putString(names);
        Clipboard.getSystemClipboard().setContent(content);
        messages.accept(Words.get("chosen.copied", names.isEmpty() ? 0 : names.split("\n").length));
    }
}
