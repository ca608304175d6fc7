package nexa.desktop.session;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.util.Duration;
import nexa.core.find.Found;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;

/** One kind of thing that is looked for in photos in the background, whenever there is nothing else to find. */
final class LookedFor<T extends Found> {
    private final ShootSession session;
    private final Class<T> what;
    private final Predicate<Photo> wanted;
    private final PauseTransition settle;
    private final Map<String, Looked<T>> known = new HashMap<>();
    private final Set<Photo> asked = new HashSet<>();
    /** The photos as they were when they were passed last: most stay just the same from one edit to the next. */
    private final Map<String, Photo> passed = new HashMap<>();

    private final List<Ticket> tickets = new ArrayList<>();

    /**
     * What came of it.
     *
     * @param photo as it was looked at
     */
    record Looked<T>(Photo photo, T found) {}

    /**
     * Of no photo yet.
     *
     * @param wanted which photos are looked at
     * @param changed hears that more is known
     * @param often how often at most
     */
    LookedFor(ShootSession session, Class<T> what, Predicate<Photo> wanted, Runnable changed, Duration often) {
        this.session = session;
        this.what = what;
        this.wanted = wanted;
        this.settle = new PauseTransition(often);
        settle.setOnFinished(event -> changed.run());
    }

    /** What is known by now, by file. It goes on changing: another thread needs a copy. */
    Map<String, Looked<T>> known() {
        return Collections.unmodifiableMap(known);
    }

    /** Looks at those photos that are wanted and were not looked at as they are. */
    void look(Collection<Photo> photos) {
        for (Photo photo : photos) {
            boolean isNew = passed.get(photo.file()) != photo && session.isReady(photo) && wanted.test(photo);
            if (isNew) {
                passed.put(photo.file(), photo);
                lookAt(photo);
            }
        }
    }

    private void lookAt(Photo photo) {
        Photo asLookedAt = photo.asLookedAt();
        if (asked.add(asLookedAt)) {
            tickets.add(session.finding().find(what, photo, Urgency.IDLE, new Hearing(asLookedAt)));
        }
    }

    private final class Hearing implements Finding.Listener<T> {
        private final Photo photo;

        Hearing(Photo photo) {
            this.photo = photo;
        }

        @Override
        public void found(T found) {
            known.put(photo.file(), new Looked<>(photo, found));
            if (settle.getStatus() != Animation.Status.RUNNING) {
                settle.playFromStart();
            }
        }

        @Override
        public void failed(PhotoProblem problem) {
            known.remove(photo.file());
        }
    }

    /** Looks at nothing more; what was still to come is looked at when it is asked for again. */
    void stop() {
        tickets.forEach(Ticket::cancel);
        tickets.clear();
        passed.clear();
        asked.removeIf(photo -> !known.containsKey(photo.file()));
        settle.stop();
    }
}
