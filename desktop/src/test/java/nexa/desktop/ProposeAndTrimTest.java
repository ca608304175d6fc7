package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.propose.CropProposer;
import nexa.core.propose.Proposal;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.find.PhotoFinder;
import org.junit.jupiter.api.Test;

/** Borders trimmed, crops proposed and subjects found, all by hand in the window. */
class ProposeAndTrimTest extends WindowTest {
    private static final String BARS = "fern-0169.jpg";
    private static final String SCAN = "fern-0170.jpg";
    private static final String VASE = "fern-0144.jpg";

    private Trim trim(String file) {
        return session().shoot().photo(file).preparation().trim();
    }

    private boolean isSaid(String words) {
        return words().stream().anyMatch(each -> each.startsWith(words));
    }

    @Test
    void barsAndAScanAreTrimmedAndNothingOfThemIsDelivered() throws Exception {
        Path folder = sampleOf(BARS, SCAN, VASE);
        open(folder);
        push(KeyCode.F5);
        interact(() -> lookup("#sheet").query().requestFocus());
        push(KeyCode.SHIFT, KeyCode.F);
        waitFor(() -> lookup("#find-what-borders").tryQuery().isPresent());
        clickOn("#find-what-borders");
        waitFor(() -> isSaid("3 photos looked at") && words().stream().anyMatch(each -> each.endsWith("2 borders")));
        waitFor(() -> lookup("#found-fern-0169").tryQuery().isPresent());
        assertThat(lookup("#found-fern-0169").<ToggleButton>query().isSelected())
                .isTrue();
        assertThat(trim(BARS)).as("nothing before it is taken").isEqualTo(Trim.NONE);
        clickOn("#find-take");
        waitFor(() -> !trim(BARS).isNone() && !trim(SCAN).isNone());
        assertThat(trim(BARS).top() * 1200).isCloseTo(134, within(2.0));
        assertThat(trim(BARS).left()).isZero();

        push(KeyCode.F8);
        awaitStill("#deliver");
        for (String format : List.of("page", "feed", "tile")) {
            if (lookup("#goes-" + format).<ToggleButton>query().isSelected()) {
                clickInTurn("#goes-" + format);
            }
        }
        if (!lookup("#goes-own").<ToggleButton>query().isSelected()) {
            clickInTurn("#goes-own");
        }
        waitFor(() -> lookup("#deliver").<Labeled>query().getText().equals("Deliver 3 files"));
        clickOn("#deliver");
        waitFor(() -> delivered(folder).size() == 3 && isSaid("3 files delivered"));
        for (Path file : delivered(folder)) {
            if (!file.getFileName().toString().startsWith("fern-0144")) {
                assertNoBorder(file);
            }
        }
    }

    private static List<Path> delivered(Path folder) throws Exception {
        Path delivery = folder.resolve("delivery");
        if (!Files.exists(delivery)) {
            return List.of();
        }
        try (Stream<Path> files = Files.walk(delivery)) {
            return files.filter(file -> file.toString().endsWith(".jpg")).toList();
        }
    }

    /** Neither black bars nor the scan's paper lies along any side. */
    private static void assertNoBorder(Path file) throws Exception {
        BufferedImage image = ImageIO.read(file.toFile());
        assertThat(image.getHeight()).isBetween(800, 1100);
        for (int i = 0; i < image.getWidth(); i += 10) {
            for (int y : new int[] {0, image.getHeight() - 1}) {
                Color colour = new Color(image.getRGB(i, y));
                int brightness = (colour.getRed() + colour.getGreen() + colour.getBlue()) / 3;
                assertThat(brightness).as("%s at %d, %d", file, i, y).isBetween(20, 236);
            }
        }
    }

    @Test
    void aTrimIsDraggedTypedOfferedAndTakenAway() throws Exception {
        open(sampleOf(SCAN));
        goToEasel(SCAN);
        clickOn("#desk-shape");
        clickOn("#page-trim");
        clickOn("#find-border");
        waitFor(() -> isSaid("A border: all sides"));
        assertThat(trim(SCAN)).as("only offered").isEqualTo(Trim.NONE);
        clickOn("#find-border");
        waitFor(() -> !trim(SCAN).isNone());
        Trim found = trim(SCAN);
        assertThat(found.left() * 1800).isCloseTo(65, within(2.0));
        Crop inside = crop();
        assertThat(session().photo().orElseThrow().outline().contains(inside, 1e-6))
                .isTrue();

        clickOn("#trim-top");
        awaitStill("#trim-handle-top");
        drag("#trim-handle-top").moveBy(0, 30).moveBy(0, 10).drop();
        waitFor(() -> trim(SCAN).top() > found.top() + 0.02);
        assertThat(trim(SCAN).bottom()).isEqualTo(found.bottom());
        double dragged = trim(SCAN).top();
        pushAtOnce(KeyCode.DOWN, KeyCode.DOWN);
        waitFor(() -> trim(SCAN).top() > dragged);
        assertThat(trim(SCAN).top() * 1200).isCloseTo(dragged * 1200 + 2, within(1e-6));

        clickOn("#trim-left");
        interact(() -> lookup("#trim-left").<TextField>query().setText("200"));
        push(KeyCode.ENTER);
        waitFor(() -> Math.abs(trim(SCAN).left() * 1800 - 200) < 1e-6);
        push(KeyCode.ESCAPE);
        waitFor(() -> !lookup("#trim-handle-left").query().getParent().isVisible());
        clickOn("#untrim");
        waitFor(() -> trim(SCAN).isNone());
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> Math.abs(trim(SCAN).left() * 1800 - 200) < 1e-6);
    }

    @Test
    void theSecondProposalIsShownAndTakenWithTheGuideItNames() throws Exception {
        Path folder = sampleOf(VASE, SCAN);
        open(folder);
        goToEasel(VASE);
        Photo photo = session().photo().orElseThrow();
        Shoot before = session().shoot();
        double ratio = crop().size().ratio();
        List<Proposal> proposals = new CropProposer(
                        PhotoFinder.scene(new PhotoFolder(folder), photo, () -> false)
                                .orElseThrow(),
                        photo)
                .propose(ratio, 12);
        push(KeyCode.K);
        waitFor(() -> lookup("#proposals").query().isVisible());
        push(KeyCode.RIGHT);
        push(KeyCode.RIGHT);
        assertThat(session().shoot()).as("only shown").isSameAs(before);
        push(KeyCode.ESCAPE);
        waitFor(() -> !lookup("#proposals").query().isVisible());
        assertThat(session().shoot()).isSameAs(before);

        push(KeyCode.K);
        waitFor(() -> lookup("#proposals").query().isVisible());
        push(KeyCode.RIGHT);
        push(KeyCode.RIGHT);
        push(KeyCode.ENTER);
        waitFor(() -> session().shoot() != before);
        assertThat(lookup("#proposals").query().isVisible()).isFalse();
        assertThat(crop().centre().distance(proposals.get(1).crop().centre())).isLessThan(1e-6);
        assertThat(crop().size().width())
                .isCloseTo(proposals.get(1).crop().size().width(), within(1e-6));
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> session().shoot().photo(VASE).equals(before.photo(VASE)));

        push(KeyCode.K);
        waitFor(() -> lookup("#proposals").query().isVisible());
        push(KeyCode.PAGE_DOWN);
        waitFor(() -> !session().photoProperty().get().equals(Optional.of(VASE)));
        assertThat(lookup("#proposals").query().isVisible())
                .as("any other key closes it and acts")
                .isFalse();
    }

    @Test
    void subjectsFoundForAllBringTheSetInStepAndWhatWasOnViewIsRightAtOneGo() throws Exception {
        open(sampleOf("fern-0138.jpg", "fern-0139.jpg", VASE, "fern-0147.jpg", "fern-0153.jpg"));
        goToEasel("fern-0147.jpg");
        push(KeyCode.DIGIT3);
        waitFor(() -> session().formatProperty().get().equals("tile"));
        awaitPicture();
        dragBy("#handle-bottom_right", -90, -90);
        interact(() -> session()
                .edit(
                        Edit.Kind.SUBJECT,
                        shoot -> shoot.with(
                                "fern-0147.jpg",
                                lead -> lead.withSubject(
                                        Optional.of(new Subject(new Point(0.48, 0.52), OptionalDouble.empty()))))));
        push(KeyCode.C);
        waitFor(() -> lookup("#carry-both").tryQuery().isPresent());
        clickOn("#carry-both");
        waitFor(() -> lookup("#carry-find").query().isVisible());
        clickOn("#carry-find");
        waitFor(() -> isSaid("5 photos looked at"));
        assertNoOtherToolkitIsLoaded();
        clickOn("#find-take");
        waitFor(() -> lookup("#carry-do").tryQuery().isPresent()
                && session().shoot().photo("fern-0153.jpg").subject().isPresent());
        clickOn("#carry-both");
        waitFor(() -> !lookup("#carry-do").query().isDisabled());
        clickOn("#carry-do");
        waitFor(() -> lookup("#carry-do").tryQuery().isEmpty());

        push(KeyCode.F7);
        waitFor(() -> lookup("#lineup-fern-0153").tryQuery().isPresent());
        assertThat(lookup("#these-are-right").query().isDisabled())
                .as("nothing was on view large enough")
                .isTrue();
        press(KeyCode.SPACE);
        waitFor(() -> lookup(".flick").query().isVisible());
        for (int i = 0; i < 5; i++) {
            push(KeyCode.RIGHT);
        }
        release(KeyCode.SPACE);
        waitFor(() -> !lookup(".flick").query().isVisible());
        waitFor(() -> !lookup("#these-are-right").query().isDisabled());
        clickOn("#these-are-right");
        waitFor(() -> session().shoot().photo("fern-0147.jpg").entry("tile").isDone());
        assertThat(session().shoot().photo("fern-0139.jpg").entry("tile").isDone())
                .as("tall ones were not on view")
                .isFalse();
    }

    /** Windows of another toolkit, loaded beside this one, would end the process. */
    private static void assertNoOtherToolkitIsLoaded() throws Exception {
        Path maps = Path.of("/proc/self/maps");
        if (Files.exists(maps)) {
            assertThat(Files.readAllLines(maps))
                    .anyMatch(line -> line.contains("opencv_dnn"))
                    .noneMatch(line -> line.contains("opencv_highgui"));
        }
    }
}
