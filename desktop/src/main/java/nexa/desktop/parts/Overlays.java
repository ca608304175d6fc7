package nexa.desktop.parts;

import javafx.scene.layout.Region;

/** Where a view shows a panel over the window. */
public interface Overlays {
    /** Shows a panel in the middle; Escape or a click beside it closes it. */
    void show(Region panel);

    /** Closes the panel. */
    void close();
}
