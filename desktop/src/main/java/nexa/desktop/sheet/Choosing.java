package nexa.desktop.sheet;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.desktop.session.ShootSession;

/** Chooses photos on the sheet: one, one more, a range, a lane, all. */
final class Choosing {
    private final ShootSession session;
    /** Where a range begins. */
    private Optional<String> anchor = Optional.empty();

    Choosing(ShootSession session) {
        this.session = session;
    }

    /** Chooses one photo alone, and works on it. */
    void only(String file) {
        anchor = Optional.of(file);
        session.goTo(anchor);
        session.chosenProperty().set(Set.of(file));
    }

    /** Takes one more photo into what is chosen, or out of it. */
    void toggle(String file) {
        Set<String> chosen = new LinkedHashSet<>(session.chosenProperty().get());
        if (!chosen.remove(file)) {
            chosen.add(file);
        }
        anchor = Optional.of(file);
        session.goTo(anchor);
        session.chosenProperty().set(chosen);
    }

    /** Chooses everything from where the range began up to a photo, as they lie on the sheet. */
    void rangeTo(String file, List<String> asTheyLie) {
        int from =
                anchor.or(session.photoProperty()::get).map(asTheyLie::indexOf).orElse(-1);
        int to = asTheyLie.indexOf(file);
        if (from < 0 || to < 0) {
            only(file);
            return;
        }
        anchor = Optional.of(asTheyLie.get(from));
        session.goTo(Optional.of(file));
        session.chosenProperty()
                .set(new LinkedHashSet<>(asTheyLie.subList(Math.min(from, to), Math.max(from, to) + 1)));
    }

    void all(List<String> files) {
        session.chosenProperty().set(new LinkedHashSet<>(files));
    }

    /** What the next action is for: the chosen photos, else the one worked on. */
    Set<String> files() {
        Set<String> chosen = session.chosenProperty().get();
        return chosen.isEmpty() ? session.photoProperty().get().map(Set::of).orElse(Set.of()) : chosen;
    }
}
