package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.event.Event;
import javafx.geometry.VerticalDirection;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.DragEvent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.TransferMode;
import nexa.core.format.Ask;
import nexa.core.format.Asks;
import nexa.core.format.Format;
import nexa.core.series.AskCheck;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.PhotoNames;
import nexa.store.document.ShootDocument;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** What was asked for: a brief used and made, what it asks checked, and what a new shoot says to begin with; by real input. */
class BriefTest extends WindowTest {
    private static final String BRIEF = "Fernhill shop.nexa-brief.json";
    private static final String TUNED = "fern-0165.jpg";

    private Path shoot() throws Exception {
        return sampleOf("fern-0147.jpg", "fern-0139.jpg", "fern-0160.jpg", TUNED, BRIEF);
    }

    private Path newShoot(String... photos) throws Exception {
        Path folder = sampleOf(photos);
        Files.delete(folder.resolve(ShootDocument.NAME));
        return folder;
    }

    private boolean isSaid(Predicate<String> words) {
        return words().stream().anyMatch(words);
    }

    /** Whether that is the photo in what needs a look, with what is asked of it. */
    private boolean isEntry(Node node) {
        String said = node instanceof Button && node.getAccessibleText() != null ? node.getAccessibleText() : "";
        return said.startsWith(PhotoNames.base(TUNED) + ": ") && said.endsWith("asked 75 to 90 %");
    }

    /** Scrolls the sheet's panel until all of something is in sight. */
    private void scrollTo(Node entry) {
        Node panel = lookup(".side-panel").match(WindowTest::isShown).query();
        for (int i = 0; i < 60 && !isAboveTheEndOf(panel, entry); i++) {
            moveTo(panel).scroll(1, VerticalDirection.DOWN);
            WaitForAsyncUtils.waitForFxEvents();
        }
    }

    private static boolean isAboveTheEndOf(Node panel, Node entry) {
        return entry.localToScene(entry.getBoundsInLocal()).getMaxY()
                < panel.localToScene(panel.getBoundsInLocal()).getMaxY() - 4;
    }

    private List<String> formats() {
        return session().shoot().formats().stream().map(Format::id).toList();
    }

    private double share(String file) {
        Photo photo = session().shoot().photo(file);
        return AskCheck.of(
                        session().crop(photo, session().shoot().format("page")),
                        session().levels())
                .stream()
                .filter(check -> check.ask() == Ask.SHARE)
                .findFirst()
                .orElseThrow()
                .measured()
                .get(0);
    }

    @Test
    void aCropThatIsNotAsABriefAsksIsSeenPutRightAndGone() throws Exception {
        open(shoot());
        goToEasel("fern-0147.jpg");
        clickOn("#add-format").clickOn("A brief…");
        awaitStill("#brief-use");
        assertThat(words()).contains("2 formats are there (2 of them change), 3 are added.");
        clickOn("#brief-use");
        waitFor(() -> formats().size() == 8);
        assertThat(formats())
                .containsExactly("page", "feed", "tile", "banner", "own", "shop-list", "shop-header", "postcard");
        // What is found in the background makes notes and lists anew.
        waitFor(() -> session().workedOutProperty().get().crops().rows().stream()
                .flatMap(row -> row.asked().stream())
                .noneMatch(check -> check.outcome() == AskCheck.Outcome.NO_LEVEL));
        push(KeyCode.F8);
        clickInTurn("#change-page", "#editor-page-asked");
        awaitStill("#ask-share-most");
        type("#ask-share-least", "75");
        assertThat(words()).as("more than the most").anyMatch(said -> said.startsWith("Not like this"));
        type("#ask-share-most", "90");
        type("#ask-share-least", "75");
        waitFor(() -> session().shoot().format("page").asks().share().equals(Optional.of(new Asks.Share(0.75, 0.9))));
        push(KeyCode.ESCAPE);

        push(KeyCode.F5);
        waitFor(() -> lookup("#look-not_as_asked-share").tryQuery().isPresent());
        awaitStill("#look-not_as_asked-share");
        assertThat(share(TUNED)).isLessThan(0.75);
        Button entry = lookup(this::isEntry).query();
        scrollTo(entry);
        clickOn(entry);
        awaitPicture();
        assertThat(session().photoProperty().get()).contains(TUNED);
        waitFor(() -> isSaid(said -> said.startsWith("subject ")));
        double width = crop().size().width() * share(TUNED) / 0.8;
        type("#number-width", String.valueOf(Math.round(width)));
        waitFor(() -> share(TUNED) > 0.75);
        push(KeyCode.F5);
        waitFor(() -> session().workedOutProperty().get().crops().find(TUNED).orElseThrow().asked().stream()
                .noneMatch(check -> check.ask() == Ask.SHARE && check.outcome() == AskCheck.Outcome.MISSED));
        waitFor(() -> lookup(this::isEntry).tryQuery().isEmpty());
    }

    @Test
    void whatIsAskedIsChangedAndTakenBackAsAStepOfItsOwn() throws Exception {
        open(shoot());
        push(KeyCode.F8);
        clickInTurn("#change-feed", "#editor-page-asked");
        awaitStill("#ask-across");
        assertThat(lookup("#ask-ppi").query().isDisabled()).as("not for paper").isTrue();
        type("#ask-across", "50");
        waitFor(() -> session().shoot().format("feed").asks().place().isPresent());
        clickOn("#ask-all-photo");
        waitFor(() -> session().shoot().format("feed").asks().allPhoto());
        type("#ask-level", "nonsense");
        waitFor(() -> isSaid(said -> said.startsWith("Not like this")));
        assertThat(session().shoot().format("feed").asks().level()).isEmpty();
        push(KeyCode.ESCAPE);
        assertThat(session()
                        .edits()
                        .historyProperty()
                        .get()
                        .undoable()
                        .map(edit -> edit.kind().name()))
                .contains("ASKS");
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> !session().shoot().format("feed").asks().allPhoto());
        push(KeyCode.CONTROL, KeyCode.Z);
        waitFor(() -> session().shoot().format("feed").asks().isNone());
    }

    @Test
    void aNewShootSaysWhatToBeginWithUntilSomethingIsDone() throws Exception {
        open(newShoot("fern-0168.webp", "fern-0189.jpg", "fern-0139.jpg", BRIEF));
        awaitStill("#begin-brief");
        waitFor(() -> session().photoProperty().get().equals(Optional.of("fern-0189.jpg")));
        assertThat(lookup(".carry").match(WindowTest::isShown).<Node>query().getStyleClass())
                .as("there is nothing to carry yet")
                .doesNotContain("main-action");
        clickOn("#begin-brief");
        awaitStill("#brief-use");
        clickOn("#brief-use");
        waitFor(() -> formats().contains("catalogue-page"));
        assertThat(session().shoot().formats().stream().filter(Format::goes)).hasSize(5);
        awaitStill("#begin-find");
        interact(() -> lookup("#sheet").query().requestFocus());
        push(KeyCode.S);
        waitFor(() ->
                lookup("#begin-find").tryQuery().filter(WindowTest::isShown).isEmpty());
    }

    @Test
    void aBriefIsMadeOfTheShootKeptAndForgottenAndABrokenOneSaysWhy() throws Exception {
        Path folder = shoot();
        Files.writeString(
                folder.resolve("From afar.nexa-brief.json"), "{ \"nexaBrief\": 7, \"name\": \"x\", \"formats\": [] }");
        open(folder);
        goToEasel("fern-0147.jpg");
        clickOn("#add-format").clickOn("A brief…");
        awaitStill("#brief-make");
        clickOn(lookup(node -> node instanceof ToggleButton entry && "From afar".equals(entry.getText()))
                .<Node>query());
        waitFor(() -> isSaid(said -> said.contains("a newer Nexa may read it")));
        assertThat(lookup("#brief-use").query().isDisabled()).isTrue();
        clickOn("#brief-make");
        awaitStill("#brief-name");
        clickOn("#brief-of-own");
        type("#brief-name", "Spring / page");
        Path kept = temporary.resolve("briefs").resolve("Spring - page.nexa-brief.json");
        waitFor(() -> lookup(node -> node instanceof ToggleButton entry && "Spring / page".equals(entry.getText()))
                .tryQuery()
                .isPresent());
        assertThat(Files.list(kept.getParent())).hasSize(1);
        assertThat(lookup("#brief-use").query().isDisabled())
                .as("it would change nothing")
                .isTrue();
        clickInTurn("#brief-forget");
        waitFor(() -> isSaid(said -> said.equals("“Spring / page” is forgotten.")));
        assertThat(Files.list(kept.getParent())).isEmpty();
        clickInTurn("#brief-again");
        waitFor(() -> Files.exists(kept));
    }

    /** A window system would hand it over so. */
    private void drop(Path file) {
        Dragboard dragged = mock(Dragboard.class);
        when(dragged.getFiles()).thenReturn(List.of(file.toFile()));
        interact(() -> Event.fireEvent(
                shell,
                new DragEvent(DragEvent.DRAG_DROPPED, dragged, 0, 0, 0, 0, TransferMode.COPY, null, null, null)));
    }

    @Test
    void aBriefThatIsDroppedIsKeptWithOrWithoutAShootAndABrokenOneIsNot() throws Exception {
        Path broken =
                Files.writeString(temporary.resolve("broken.nexa-brief.json"), "{ \"nexaBrief\": 1, \"name\": 3 }");
        drop(broken);
        waitFor(() -> isSaid(said -> said.contains("Nothing of it was taken")));
        Path sent = Files.copy(Path.of("..", "sample", "photos", BRIEF), temporary.resolve(BRIEF));
        drop(sent);
        waitFor(() -> isSaid(said -> said.equals("The brief “Fernhill shop” is kept. Open a shoot to use it.")));
        assertThat(temporary.resolve("briefs").resolve(BRIEF)).exists();
        open(newShoot("fern-0139.jpg"));
        drop(sent);
        awaitStill("#brief-use");
        assertThat(words()).contains("Kept", "No format is there, 5 are added.");
    }
}
