package nexa.desktop.parts;

import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;

/** One of the stops of the top bar. */
public abstract class View {
    /** What is shown below the top bar. */
    protected final BorderPane node = new BorderPane();

    /** Where the work stands, for the top bar. */
    protected final ReadOnlyStringWrapper standing = new ReadOnlyStringWrapper("");

    /** What the view listens to, let go of with the view. */
    protected final Subscriptions subscriptions = new Subscriptions();

    private final String key;

    /** @param key its place in the bundle: {@code view.<key>} */
    protected View(String key) {
        this.key = key;
    }

    /** Its place in the bundle: {@code view.<key>}. */
    public final String key() {
        return key;
    }

    /** What is shown below the top bar. */
    public final Node node() {
        return node;
    }

    /** Where the work stands, for the top bar. */
    public final ObservableValue<String> standing() {
        return standing.getReadOnlyProperty();
    }

    /** Called when the view comes to the front. */
    public abstract void shown();

    /** Whether a key was meant for this view and has been dealt with. */
    public boolean pressed(KeyEvent key) {
        return false;
    }

    /** Whether a key that was let go was meant for this view. */
    public boolean released(KeyEvent key) {
        return false;
    }

    /** Ends what the hand is still at, as one edit, before anything else happens. */
    public void finish() {}

    /** Lets go of everything the view listens to. */
    public void dispose() {
        subscriptions.dispose();
    }
}
