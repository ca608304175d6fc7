package nexa.desktop.session;

import com.google.common.collect.Maps;
import java.util.Collection;
import java.util.Map;
import java.util.function.Predicate;
import javafx.util.Duration;
import nexa.core.find.FoundSubject;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;

/** What photos seem to be about, looked for in the background while anybody goes by it; nothing is marked by it. */
public final class SeenSubjects {
    private static final Duration OFTEN = Duration.millis(400);

    private final LookedFor<FoundSubject> looked;
    private boolean isUsed;

    /**
     * Of no photo yet.
     *
     * @param wanted which photos are looked at
     * @param changed hears that more is known
     */
    public SeenSubjects(ShootSession session, Predicate<Photo> wanted, Runnable changed) {
        this.looked = new LookedFor<>(session, FoundSubject.class, wanted, changed, OFTEN);
    }

    public void setUsed(boolean used) {
        if (isUsed && !used) {
            looked.stop();
        }
        isUsed = used;
    }

    /** What is known by now, by file; nothing while it is not used. It goes on changing: another thread needs a copy. */
    public Map<String, FoundSubject> known() {
        return isUsed ? Maps.transformValues(looked.known(), LookedFor.Looked::found) : Map.of();
    }

    /** The subjects of what is {@link #known}, which go on changing as that does. */
    public Map<String, Subject> subjects() {
        return Maps.transformValues(
                Maps.filterValues(known(), found -> found.subject().isPresent()),
                found -> found.subject().orElseThrow());
    }

    /** Looks at those photos that are wanted and were not looked at as they are. */
    public void look(Collection<Photo> photos) {
        if (isUsed) {
            looked.look(photos);
        }
    }

    public void dispose() {
        looked.stop();
    }
}
