package nexa.desktop.shell;

import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Parts;

/** Panels over the window, one at a time. The focus goes back to where it was. */
final class OverlayLayer implements Overlays {
    /** Around a panel that would fill the window, so that it is seen to lie over it. */
    private static final Insets AROUND = new Insets(14);

    private final StackPane window;
    private Optional<StackPane> veil = Optional.empty();
    private Optional<Node> focusBefore = Optional.empty();

    OverlayLayer(StackPane window) {
        this.window = window;
    }

    @Override
    public void show(Region panel) {
        close();
        focusBefore = Optional.ofNullable(window.getScene().getFocusOwner());
        // The pane takes account of the panel's own least size, which a scroll pane does not.
        ScrollPane scroll = Parts.scroll(new StackPane(panel));
        scroll.getStyleClass().add("panel-scroll");
        scroll.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        scroll.setFitToHeight(panel instanceof Filling);
        StackPane place = new StackPane(scroll);
        place.getStyleClass().add("panel-veil");
        place.setPadding(panel instanceof Filling ? AROUND : Insets.EMPTY);
        panel.getStyleClass().add("panel");
        panel.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        place.setOnMouseClicked(event -> {
            if (event.getTarget() == place) {
                close();
            }
        });
        // A filter: some controls take the key for themselves even when they have nothing to close.
        place.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                if (!(panel instanceof Inner inner && inner.back())) {
                    close();
                }
                event.consume();
            }
        });
        veil = Optional.of(place);
        window.getChildren().add(place);
        panel.setFocusTraversable(true);
        // Only then is the panel in the window, and can have the focus.
        place.applyCss();
        panel.requestFocus();
    }

    @Override
    public void close() {
        veil.ifPresent(shown -> {
            window.getChildren().remove(shown);
            focusBefore.ifPresent(Node::requestFocus);
        });
        veil = Optional.empty();
    }

    boolean isOpen() {
        return veil.isPresent();
    }
}
