package nexa.desktop.session;

import com.google.common.collect.Maps;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import javafx.animation.PauseTransition;
import javafx.util.Duration;
import nexa.core.find.FoundSubject;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;

/** What photos seem to be about, looked for in the background while anybody goes by it; nothing is marked by it. */
public final class SeenSubjects {
    private static final Duration SETTLE = Duration.millis(200);

    private final ShootSession session;
    private final PauseTransition settle = new PauseTransition(SETTLE);
    private final Predicate<Photo> wanted;
    private final Map<String, FoundSubject> seen = new HashMap<>();
    private final Set<Photo> looked = new HashSet<>();
    private final List<Ticket> tickets = new ArrayList<>();
    private boolean isUsed;

    /**
     * Of no photo yet.
     *
     * @param wanted which photos are looked at
     * @param changed hears that more is known
     */
    public SeenSubjects(ShootSession session, Predicate<Photo> wanted, Runnable changed) {
        this.session = session;
        this.wanted = wanted;
        settle.setOnFinished(event -> changed.run());
    }

    public void setUsed(boolean used) {
        if (isUsed && !used) {
            stop();
        }
        isUsed = used;
    }

    /** What is known by now, by file; nothing while it is not used. It goes on changing: another thread needs a copy. */
    public Map<String, FoundSubject> known() {
        return isUsed ? Collections.unmodifiableMap(seen) : Map.of();
    }

    /** The subjects of what is {@link #known}, which go on changing as that does. */
    public Map<String, Subject> subjects() {
        return Maps.transformValues(
                Maps.filterValues(known(), found -> found.subject().isPresent()),
                found -> found.subject().orElseThrow());
    }

    /** Looks at those photos that are wanted and were not looked at as they are. */
    public void look(Collection<Photo> photos) {
        if (!isUsed) {
            return;
        }
        for (Photo photo : photos) {
            if (session.isReady(photo) && wanted.test(photo) && looked.add(asLookedAt(photo))) {
                tickets.add(session.finding().find(FoundSubject.class, photo, Urgency.IDLE, new Hearing(photo.file())));
            }
        }
    }

    /** Crops, marks and the angle make no difference to what is seen. */
    private static Photo asLookedAt(Photo photo) {
        return Photo.untouched(photo.file()).withPreparation(photo.preparation().beforeShape());
    }

    private final class Hearing implements Finding.Listener<FoundSubject> {
        private final String file;

        Hearing(String file) {
            this.file = file;
        }

        @Override
        public void found(FoundSubject found) {
            seen.put(file, found);
            settle.playFromStart();
        }

        @Override
        public void failed(PhotoProblem problem) {
            seen.remove(file);
        }
    }

    private void stop() {
        tickets.forEach(Ticket::cancel);
        tickets.clear();
        // What was still to come is looked at again.
        looked.removeIf(photo -> !seen.containsKey(photo.file()));
        settle.stop();
    }

    public void dispose() {
        stop();
    }
}
