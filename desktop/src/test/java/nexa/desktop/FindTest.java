package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.function.Predicate;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import nexa.core.geometry.Angle;
import nexa.core.shape.Vignette;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Levels found: of the photo on the easel, and of many photos at once. */
class FindTest extends WindowTest {
    private static final String LEANS = "fern-0153.jpg";
    private static final String LEANS_BY_HAND = "fern-0150.jpg";
    private static final String LEANS_FAR = "fern-0163.jpg";
    private static final String HILLS = "fern-0183.jpg";
    private static final String SHELF = "fern-0180.jpg";

    @BeforeEach
    void openSample() throws Exception {
        open(sampleOf(LEANS, LEANS_BY_HAND, LEANS_FAR, HILLS, SHELF));
    }

    private double angle(String file) {
        return session().shoot().photo(file).angle().degrees();
    }

    private boolean isSaid(Predicate<String> words) {
        return words().stream().anyMatch(words);
    }

    @Test
    void aSureLevelIsTakenAtOnceWithItsLinesAtHand() {
        goToEasel(LEANS);
        push(KeyCode.F);
        waitFor(() -> angle(LEANS) != 0);
        assertThat(angle(LEANS)).isCloseTo(-1.1, within(0.05));
        waitFor(() -> isSaid(words -> words.startsWith("5 lines")));
        assertThat(isSaid(words -> words.startsWith("Turned 1.1° to the left: level by")))
                .isTrue();

        double found = angle(LEANS);
        clickOn(lookup(".trace-bar .button")
                .match(node -> "×".equals(((Button) node).getText()))
                .<Button>queryAll()
                .iterator()
                .next());
        waitFor(() -> isSaid(words -> words.startsWith("4 lines")));
        assertThat(angle(LEANS)).as("by the other lines").isCloseTo(found, within(0.1));

        push(KeyCode.F);
        waitFor(() -> isSaid(words -> words.startsWith("Turned") || words.startsWith("Level already")));
        assertThat(angle(LEANS)).isEqualTo(found);
        push(KeyCode.F);
        // The camera looked down a little.
        waitFor(() -> isSaid(words -> words.startsWith("Uprights run together")));
        assertThat(angle(LEANS)).isEqualTo(found);
        assertThat(session().shoot().photo(LEANS).preparation().perspective()).isEmpty();

        while (angle(LEANS) != 0) {
            Shoot levelled = session().shoot();
            push(KeyCode.CONTROL, KeyCode.Z);
            waitFor(() -> session().shoot() != levelled);
        }
        assertThat(isSaid(words -> words.contains("lines, up to"))).isFalse();
    }

    @Test
    void whereItIsNotSureItSaysWhyAndChangesNothing() {
        goToEasel(HILLS);
        Shoot before = session().shoot();
        push(KeyCode.F);
        waitFor(() -> isSaid(words -> words.startsWith("Not sure of the level: ")));
        assertThat(session().shoot()).isSameAs(before);

        goToEasel(SHELF);
        push(KeyCode.F);
        waitFor(() -> isSaid(words -> words.contains("its lines run together in the distance")));
        assertThat(session().shoot()).isSameAs(before);
    }

    @Test
    void whatIsLikelyIsTakenOnlyWhenAskedAgain() {
        interact(() ->
                session().edit(Edit.Kind.LEVEL, shoot -> shoot.with(LEANS_FAR, photo -> photo.withAngle(Angle.NONE))));
        goToEasel(LEANS_FAR);
        push(KeyCode.F);
        waitFor(() -> isSaid(words -> words.startsWith("Perhaps 6.0°, by these lines. F again takes it.")));
        assertThat(angle(LEANS_FAR)).isZero();
        // Light and colour move nothing: the offer stays.
        interact(() -> session()
                .edit(
                        Edit.Kind.EDGE,
                        shoot -> shoot.with(
                                LEANS_FAR,
                                photo -> photo.withPreparation(
                                        photo.preparation().withVignette(new Vignette(-1, 0.7))))));
        push(KeyCode.F);
        waitFor(() -> angle(LEANS_FAR) != 0);
        assertThat(angle(LEANS_FAR)).isCloseTo(-6, within(0.05));
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> angle(LEANS_FAR) == 0);
    }

    @Test
    void anotherToolPutsAwayWhatIsOffered() {
        interact(() ->
                session().edit(Edit.Kind.LEVEL, shoot -> shoot.with(LEANS_FAR, photo -> photo.withAngle(Angle.NONE))));
        goToEasel(LEANS_FAR);
        Predicate<String> offered = words -> words.startsWith("Perhaps 6.0°");
        push(KeyCode.F);
        waitFor(() -> isSaid(offered));
        push(KeyCode.P);
        waitFor(() -> isSaid(words -> words.startsWith("Click on the subject")));
        push(KeyCode.ESCAPE);
        push(KeyCode.F);
        waitFor(() -> isSaid(offered));
        assertThat(angle(LEANS_FAR)).as("it is offered anew").isZero();

        clickOn("#desk-shape");
        clickOn("#page-trim");
        clickOn("#find-border");
        waitFor(() -> isSaid(words -> words.contains("border")) && !isSaid(offered));
        push(KeyCode.F);
        waitFor(() -> isSaid(offered));
        assertThat(angle(LEANS_FAR)).isZero();
    }

    @Test
    void manyAreShownBeforeWhatIsTickedIsTakenAsOneStep() {
        interact(() ->
                session().edit(Edit.Kind.LEVEL, shoot -> shoot.with(LEANS_FAR, photo -> photo.withAngle(Angle.NONE))));
        Shoot before = session().shoot();
        push(KeyCode.F5);
        interact(() -> lookup("#sheet").query().requestFocus());
        push(KeyCode.SHIFT, KeyCode.F);
        waitFor(() -> isSaid(words -> words.equals("5 photos looked at")));
        waitFor(() -> lookup("#found-fern-0153").tryQuery().isPresent());
        assertThat(session().shoot()).as("nothing before it is taken").isSameAs(before);
        assertThat(isTicked("fern-0153")).as("sure").isTrue();
        assertThat(isTicked("fern-0163")).as("likely").isFalse();
        assertThat(isTicked("fern-0150")).as("levelled by hand").isFalse();
        assertThat(words())
                .contains("Sure", "Perhaps, by these lines", "Levelled already", "3.1° right; by hand 3.10°");

        clickOn("#found-fern-0153");
        waitFor(() -> isSaid(words -> words.equals("Take 0 levels")));
        assertThat(lookup("#find-take").query().isDisabled()).isTrue();
        push(KeyCode.SPACE);
        clickOn("#found-fern-0163");
        waitFor(() -> isSaid(words -> words.equals("Take 2 levels")));

        push(KeyCode.ENTER);
        waitFor(() -> lookup("#found-large").tryQuery().isPresent());
        push(KeyCode.ESCAPE);
        waitFor(() -> lookup("#found-large").tryQuery().isEmpty());
        clickOn("#find-take");
        waitFor(() -> angle(LEANS) != 0);
        assertThat(angle(LEANS)).isCloseTo(-1.1, within(0.05));
        assertThat(angle(LEANS_FAR)).isCloseTo(-6, within(0.05));
        assertThat(angle(LEANS_BY_HAND)).isEqualTo(3.1);

        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> angle(LEANS) == 0);
        assertThat(angle(LEANS_FAR)).as("one step").isZero();
    }

    @Test
    void groupsAreTickedAtTheirHeadingAndCropsProposedForEveryFormatAtOnce() {
        push(KeyCode.F5);
        interact(() -> lookup("#sheet").query().requestFocus());
        push(KeyCode.SHIFT, KeyCode.F);
        waitFor(() -> lookup("#find-what-crops").tryQuery().isPresent());
        clickOn("#find-what-crops");
        waitFor(() -> isSaid(words -> words.equals("5 photos looked at")));
        awaitStill("#find-take");
        assertThat(words()).contains("Catalogue page: Cropped already");
        push(KeyCode.CONTROL, KeyCode.A);
        // Catalogue page, Feed post and Shop tile; the banner stays, the photo's own shape waits for no proposal.
        waitFor(() -> isSaid(words -> words.equals("Take 15 crops")));
        clickOn("#all-done_crops-page");
        waitFor(() -> isSaid(words -> words.startsWith("Take ") && !words.equals("Take 15 crops")));
        clickOn("#all-done_crops-page");
        waitFor(() -> isSaid(words -> words.equals("Take 15 crops")));
        Shoot before = session().shoot();
        clickOn("#find-take");
        waitFor(() -> !session().shoot().equals(before));
        for (String format : List.of("page", "feed", "tile")) {
            assertThat(session().shoot().photo(HILLS).crops()).containsKey(format);
        }
        assertThat(session().shoot().photo(HILLS).crops()).doesNotContainKeys("banner", "own");
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> session().shoot().equals(before));
    }

    private boolean isTicked(String name) {
        return lookup("#found-" + name).<ToggleButton>query().isSelected();
    }
}
