package nexa.desktop.lineup;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.animation.PauseTransition;
import javafx.util.Duration;
import nexa.core.find.FoundSubject;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.desktop.session.Finding;
import nexa.desktop.session.ShootSession;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;

/** The subjects found in photos that have no mark, for measuring by them; nothing is marked by it. */
final class SeenSubjects {
    private static final Duration SETTLE = Duration.millis(200);

    private final ShootSession session;
    private final PauseTransition settle = new PauseTransition(SETTLE);
    private final Map<String, Subject> seen = new HashMap<>();
    private final Set<Photo> looked = new HashSet<>();
    private final List<Ticket> tickets = new ArrayList<>();
    private boolean isUsed;

    /** @param changed hears that more is known */
    SeenSubjects(ShootSession session, Runnable changed) {
        this.session = session;
        settle.setOnFinished(event -> changed.run());
    }

    void setUsed(boolean used) {
        isUsed = used;
        if (!used) {
            stop();
        }
    }

    /** Those known so far, by file; none while they are not used. */
    Map<String, Subject> known() {
        return isUsed ? Map.copyOf(seen) : Map.of();
    }

    /** Looks at those photos that have no mark and were not looked at as they are. */
    void look(Collection<Photo> photos) {
        if (!isUsed) {
            return;
        }
        for (Photo photo : photos) {
            boolean isMarked = photo.subject().isPresent() || photo.hasNoSubject();
            if (session.isReady(photo) && !isMarked && looked.add(asLookedAt(photo))) {
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
            found.subject().ifPresentOrElse(subject -> seen.put(file, subject), () -> seen.remove(file));
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

    void dispose() {
        stop();
    }
}
