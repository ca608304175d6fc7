package nexa.desktop.parts;

import javafx.scene.layout.Region;

/** Where a view shows a panel over the window. */
public interface Overlays {
    /** A panel in which there is a step back before it closes. */
    interface Inner {
        /** Goes a step back; false if there is none, and the panel closes. */
        boolean back();
    }

    /** A panel that takes the height the window has. */
    interface Filling {}

    /** Shows a panel in the middle; Escape or a click beside it closes it. */
    void show(Region panel);

    /** Closes the panel. */
    void close();
}
