package nexa.desktop.shell;

import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import javafx.application.Platform;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Autosave;
import nexa.desktop.session.FolderChanges;
import nexa.desktop.session.ShootSession;
import nexa.imaging.facts.ShootReading;
import nexa.store.document.ShootProblem;
import nexa.store.shoot.ShootFolder;

/** Says what there is to know of the shoot that is open: how it opened, what comes into its folder, how it is saved. */
final class ShootNews implements Autosave.Listener {
    private final MessageBar messages;
    private final Path folder;
    private final Path keptIn;
    private boolean toldApart;
    private boolean toldPassedOver;
    private boolean isClosed;

    /** @param keptIn where shoots are kept whose folders cannot be written to */
    ShootNews(MessageBar messages, Path folder, Path keptIn) {
        this.messages = messages;
        this.folder = folder;
        this.keptIn = keptIn;
    }

    /** Says how it opened. */
    void tellOpened(ShootFolder opened, ShootSession session) {
        opened.notices().forEach(notice -> messages.keep(Words.say(notice)));
        offerWhatComes(session);
        session.readingProperty().addListener((observed, before, now) -> tellPassedOver(now, session));
        if (session.edits().setAside().isPresent()) {
            messages.offer("aside.take", Words.get("aside.what"), session.edits()::goOnWithSetAside);
        }
        session.edits().onRefused(() -> messages.say(Words.get("message.readOnly", folder)));
        if (session.isReadOnly()) {
            messages.say(Words.get("message.readOnly", folder));
        }
    }

    /** Once, when all photos were read. */
    private void tellPassedOver(ShootReading reading, ShootSession session) {
        boolean isRead = reading.facts().size() + reading.problems().size()
                >= session.shoot().photos().size();
        if (isRead && !toldPassedOver && !isClosed) {
            toldPassedOver = true;
            reading.passedOver().ifPresent(passed -> messages.keep(Words.say(passed)));
        }
    }

    /** Shows nothing but some photos, if it is several that were opened. */
    void showOnly(List<String> photos, ShootSession session) {
        if (photos.size() > 1) {
            session.showOnly(Set.copyOf(photos));
            messages.say(Words.get("message.only", photos.size(), folder));
        }
    }

    /** Photos that come into the folder, and photos that have other names now. */
    private void offerWhatComes(ShootSession session) {
        FolderChanges changes = session.changes();
        changes.freshProperty().addListener((observed, before, now) -> {
            offer("fresh.add", !now.isEmpty(), Words.get("fresh.what", now.size()), changes::addFresh);
        });
        changes.renamedProperty().addListener((observed, before, now) -> {
            boolean canTake = !now.isEmpty() && !session.isReadOnly();
            offer("renamed.take", canTake, Words.get("renamed.what", now.size()), changes::takeRenamedAlong);
        });
    }

    /** Makes an offer, or takes it back where there is nothing to offer any more. */
    private void offer(String key, boolean isThere, String words, Runnable take) {
        if (isClosed) {
            return;
        }
        if (isThere) {
            messages.offer(key, words, take);
        } else {
            messages.drop(key);
        }
    }

    @Override
    public void saved(boolean apart) {
        Platform.runLater(() -> {
            if (apart && !toldApart && !isClosed) {
                messages.keep(Words.get("message.apart", folder, keptIn));
            }
            toldApart = apart;
        });
    }

    @Override
    public void failed(ShootProblem problem) {
        Platform.runLater(() -> messages.keep(Words.say(problem)));
    }

    /** Another shoot may be open from now on: nothing but a failure to save this one is said any more. */
    void close() {
        isClosed = true;
    }
}
