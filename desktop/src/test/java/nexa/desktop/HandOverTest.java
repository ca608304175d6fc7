package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.control.Labeled;
import org.junit.jupiter.api.Test;

/** Files delivered, stopped in the middle, and gone on with. */
class HandOverTest extends WindowTest {
    @Test
    void aDeliveryIsStoppedInTheMiddleAndGoesOn() throws Exception {
        Path folder = sample();
        open(folder);
        clickOn("#stop-handover");
        awaitStill("#deliver");
        clickOn("#goes-page").clickOn("#goes-own");
        waitFor(() -> lookup("#deliver").<Labeled>query().getText().matches("Deliver 7[0-9] files"));
        clickOn("#deliver");
        waitFor(() -> !delivered(folder).isEmpty());
        clickOn("#pause-delivery");
        waitFor(() -> lookup("#pause-delivery").<Labeled>query().getText().equals("Go on"));
        clickOn("#stop-delivery");
        waitFor(() -> detail().startsWith("Stopped."));
        List<String> first = delivered(folder);
        assertThat(first.size()).isLessThan(70);

        clickOn("#deliver");
        waitFor(() -> detail().contains("there already, just the same"));
        assertThat(delivered(folder)).hasSize(70).containsAll(first);
        assertThat(folder.resolve("delivery/nexa-files.csv")).exists();
    }

    private static List<String> delivered(Path folder) throws Exception {
        Path delivery = folder.resolve("delivery");
        if (!Files.exists(delivery)) {
            return List.of();
        }
        try (Stream<Path> files = Files.walk(delivery)) {
            return files.map(file -> delivery.relativize(file).toString())
                    .filter(name -> name.endsWith(".jpg"))
                    .toList();
        }
    }

    private String detail() {
        return lookup("#delivery-detail").<Labeled>query().getText();
    }
}
