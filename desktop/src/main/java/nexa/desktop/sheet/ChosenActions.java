package nexa.desktop.sheet;

import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.desktop.find.FindPanel;
import nexa.desktop.lens.LensesPanel;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.TypedAngle;
import nexa.desktop.parts.Words;
import nexa.desktop.series.CarryPanel;
import nexa.desktop.series.PhotoEdits;
import nexa.desktop.session.ShootSession;

/** What can be done with the chosen photos, each as one edit. */
final class ChosenActions {
    private final ShootSession session;
    private final Choosing choosing;
    private final Overlays overlays;
    private final Consumer<String> messages;
    private final PhotoEdits edits;

    ChosenActions(ShootSession session, Choosing choosing, Overlays overlays, Consumer<String> messages) {
        this.session = session;
        this.choosing = choosing;
        this.overlays = overlays;
        this.messages = messages;
        this.edits = new PhotoEdits(session, new Chosen());
    }

    private final class Chosen implements PhotoEdits.Where {
        @Override
        public Set<String> files() {
            return choosing.files();
        }

        @Override
        public void edit(Edit.Kind kind, UnaryOperator<Shoot> change) {
            session.editMany(kind, session.formatProperty().get(), change);
        }
    }

    /** What is done to one photo as well. */
    PhotoEdits edits() {
        return edits;
    }

    void level(String typed) {
        try {
            Angle angle = TypedAngle.read(typed);
            edits.each(Edit.Kind.LEVEL, photo -> photo.withAngle(angle));
        } catch (IllegalArgumentException e) {
            messages.accept(Words.get("level.notAnAngle", typed));
        }
    }

    /** Carries the crop of the photo worked on to the others. */
    void carry() {
        CarryPanel.open(session, overlays);
    }

    /** Finds the levels of many photos. */
    void find() {
        FindPanel.open(session, overlays);
    }

    /** Puts the lenses of photos right where they are known. */
    void lenses() {
        LensesPanel.open(session, overlays);
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
