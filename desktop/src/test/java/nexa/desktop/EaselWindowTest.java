package nexa.desktop;

import java.nio.file.Path;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import nexa.core.shoot.Photo;
import org.junit.jupiter.api.BeforeEach;

/** A photo of the sample on the easel. */
abstract class EaselWindowTest extends WindowTest {
    Path folder;

    @BeforeEach
    void openSample() throws Exception {
        folder = sampleOf("fern-0139.jpg", "fern-0147.jpg", "fern-0169.jpg");
        open(folder);
        goToEasel("fern-0169.jpg");
    }

    Photo photo() {
        return session().photo().orElseThrow();
    }

    double angle() {
        return photo().angle().degrees();
    }

    boolean isSelected(String query) {
        return lookup(query).<ToggleButton>query().isSelected();
    }

    Bounds placeOf(String query) {
        Node node = lookup(query).query();
        return node.localToScreen(node.getBoundsInLocal());
    }
}
