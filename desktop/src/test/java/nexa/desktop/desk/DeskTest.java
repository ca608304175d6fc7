package nexa.desktop.desk;

import static nexa.desktop.session.SessionFixture.on;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxToolkit;

/** Parts that share a place of the desk, whether leaves of the first or folded together where it is narrow. */
class DeskTest {
    private static final double EACH = 300;

    private final List<DeskPart> leaves = List.of(part("desk.level"), part("desk.crop"));
    private final List<DeskPart> others = List.of(part("desk.guide"), part("desk.step"));

    @BeforeAll
    static void startToolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
    }

    private static DeskPart part(String key) {
        DeskPart part = new DeskPart(key);
        return part.with(new VBox(part.head()), EACH);
    }

    private Desk row(List<DeskPart> first, double width) throws Exception {
        return on(() -> {
            Desk row = new Desk(first, others);
            row.resize(width, 100);
            row.layout();
            return row;
        });
    }

    private static List<String> said(DeskPart part) {
        return part.head().getChildren().stream()
                .map(heading -> ((Labeled) heading).getText())
                .toList();
    }

    private List<DeskPart> seen() {
        return Stream.concat(leaves.stream(), others.stream())
                .filter(part -> part.node().getParent() != null && part.node().isVisible())
                .toList();
    }

    private static void press(DeskPart in, int heading) throws Exception {
        on(() -> {
            ((ToggleButton) in.head().getChildren().get(heading)).fire();
            return null;
        });
    }

    @Test
    void aLeafAloneHasItsTitleAndNoNames() throws Exception {
        row(leaves.subList(0, 1), 4 * EACH);
        assertThat(said(leaves.get(0))).containsExactly("Level");
        assertThat(leaves.get(0).head().getChildren()).noneMatch(ToggleButton.class::isInstance);
        assertThat(seen()).containsExactly(leaves.get(0), others.get(0), others.get(1));
    }

    @Test
    void leavesAreNamedInTheFirstPlaceAndOneOfThemIsOpen() throws Exception {
        Desk row = row(leaves, 4 * EACH);
        assertThat(said(leaves.get(0))).hasSize(2);
        assertThat(seen()).containsExactly(leaves.get(0), others.get(0), others.get(1));
        press(leaves.get(0), 1);
        assertThat(seen()).containsExactly(leaves.get(1), others.get(0), others.get(1));
        assertThat(((ToggleButton) leaves.get(1).head().getChildren().get(1)).isSelected())
                .isTrue();

        on(() -> {
            row.resize(2.5 * EACH, 100);
            row.layout();
            return null;
        });
        assertThat(seen()).as("the leaf last used stays").containsExactly(leaves.get(1), others.get(0));
    }

    @Test
    void whereThereIsNoRoomTheLastPartsFoldBehindTheirHeadings() throws Exception {
        Desk row = row(leaves.subList(0, 1), 2.5 * EACH);
        assertThat(seen()).containsExactly(leaves.get(0), others.get(0));
        assertThat(said(others.get(0))).hasSize(2);
        press(others.get(0), 1);
        assertThat(seen()).containsExactly(leaves.get(0), others.get(1));
        Node open = others.get(1).node();
        assertThat(open.getLayoutX()).as("beside the first place").isEqualTo(EACH);

        on(() -> {
            row.resize(4 * EACH, 100);
            row.layout();
            return null;
        });
        assertThat(seen()).containsExactly(leaves.get(0), others.get(0), others.get(1));
        assertThat(said(others.get(1))).as("its title again").hasSize(1);
    }
}
