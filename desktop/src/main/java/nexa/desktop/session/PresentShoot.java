package nexa.desktop.session;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.series.Crops;
import nexa.core.shoot.Shoot;
import nexa.imaging.work.LatestOnly;

/**
 * The shoot as it stands: its present state, the turns in which that changes, its crops, and what was worked out over all of it.
 * For the JavaFX thread.
 */
final class PresentShoot {
    private final ReadOnlyObjectWrapper<Shoot> state;
    private final Background background;
    private final Turns turns;
    private final ReadOnlyObjectWrapper<WorkedOut> workedOut;
    private final LatestOnly<WorkedOut> working;
    private Crops crops;

    PresentShoot(Shoot opened, Background background) {
        this.state = new ReadOnlyObjectWrapper<>(opened);
        this.background = background;
        this.turns = new Turns(background.workers());
        this.workedOut = new ReadOnlyObjectWrapper<>(WorkedOut.nothing(opened));
        this.working = background.latest(workedOut::set);
        this.crops = new Crops(opened);
    }

    Shoot get() {
        return state.get();
    }

    void set(Shoot next) {
        crops = new Crops(next);
        state.set(next);
    }

    ReadOnlyObjectProperty<Shoot> property() {
        return state.getReadOnlyProperty();
    }

    Crops crops() {
        return crops;
    }

    Turns turns() {
        return turns;
    }

    Background background() {
        return background;
    }

    /** Works out in the background what goes over all photos. */
    void workOut(ShootNow now) {
        working.ask(() -> WorkedOut.of(now));
    }

    ReadOnlyObjectProperty<WorkedOut> workedOutProperty() {
        return workedOut.getReadOnlyProperty();
    }

    /** All that was begun comes to its end, and nothing more is worked out. */
    void settleForGood() {
        turns.settle();
        working.forget();
    }
}
