package nexa.desktop.shell;

import java.util.Optional;
import nexa.desktop.brief.BriefShelf;
import nexa.desktop.session.Background;
import nexa.store.user.KeptBriefs;
import nexa.store.user.KeptFormats;
import nexa.store.user.Preferences;
import nexa.store.user.UserData;

/** What is the photographer's and not a shoot's: preferences and formats kept. Read once, off the JavaFX thread. */
final class OwnThings {
    private final UserData userData;
    private Optional<Preferences> preferences = Optional.empty();
    private Optional<KeptFormats> kept = Optional.empty();

    OwnThings(UserData userData) {
        this.userData = userData;
    }

    synchronized void load() {
        if (preferences.isEmpty()) {
            preferences = Optional.of(Preferences.load(userData));
            kept = Optional.of(KeptFormats.load(userData));
        }
    }

    synchronized Preferences preferences() {
        return preferences.orElseThrow();
    }

    /** The briefs that are at hand for work in the background. */
    BriefShelf briefs(Background background) {
        return new BriefShelf(background, KeptBriefs.of(userData), kept(), preferences());
    }

    synchronized KeptFormats kept() {
        return kept.orElseThrow();
    }

    /** Waits until they are saved. */
    synchronized void close() {
        preferences.ifPresent(Preferences::close);
        kept.ifPresent(KeptFormats::close);
    }
}
