package nexa.desktop.parts;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;

/** What a view listens to, so that it can let go of all of it at once. */
public final class Subscriptions {
    private final List<Runnable> endings = new ArrayList<>();

    /** Runs something at every change. */
    public <T> void listen(ObservableValue<T> value, Runnable action) {
        ChangeListener<T> listener = (observed, before, now) -> action.run();
        value.addListener(listener);
        endings.add(() -> value.removeListener(listener));
    }

    public void dispose() {
        endings.forEach(Runnable::run);
        endings.clear();
    }
}
