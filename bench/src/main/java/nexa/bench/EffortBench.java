package nexa.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;
import nexa.core.series.StartAgain;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.desktop.NexaApplication;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.Shell;
import nexa.store.user.UserData;

/**
 * The effort of a whole shoot, counted: with real input, every readable photo of the sample shoot is brought to every format.
 * Levels, borders and subjects are found in all and taken as they are ticked. In each format the first wide photo gets the
 * tightest of the first four crops proposed, by what the stage says of each under the pointer; it is carried to all. Then the
 * line-up is flicked through, wide ones and tall ones in each format, and what is in step is said to be right at one go. What
 * is left is looked at one by one on the easel. A click, a drag and a key each count as one gesture, a key that is held too;
 * moving the pointer does not.
 */
public final class EffortBench {
    private EffortBench() {}

    public static void main(String[] arguments) {
        Application.launch(Bench.class, arguments);
    }

    /** The application that is worked with. */
    public static final class Bench extends Application {
        private static final long FLICK_MILLIS = 420;
        private static final Pattern KEPT = Pattern.compile("([0-9]+) % of the photo kept");

        private Path folder;
        private Shell shell;
        private Stage stage;
        private Hands hands;
        private int oneByOne;

        @Override
        public void init() throws Exception {
            folder = Files.createTempDirectory("nexa-effort");
            Path shoot = Files.createDirectory(folder.resolve("shoot"));
            try (Stream<Path> files = Files.list(LargePhotos.sample())) {
                for (Path file : files.toList()) {
                    Files.copy(file, shoot.resolve(file.getFileName().toString()));
                }
            }
        }

        @Override
        public void start(Stage given) {
            stage = given;
            hands = new Hands(stage);
            shell = NexaApplication.open(stage, new UserData(folder.resolve("data")), Optional.empty(), outside -> {});
            stage.setX(0);
            stage.setY(0);
            stage.show();
            shell.open(List.of(folder.resolve("shoot")));
            Thread photographer = new Thread(this::work, "photographer");
            photographer.setDaemon(true);
            photographer.start();
        }

        @Override
        public void stop() {
            shell.closeShoot().join();
            LargePhotos.delete(folder);
        }

        private void work() {
            try {
                hands.await(() -> shell.session().isPresent());
                int photos = session().shoot().photos().size();
                hands.await(() -> session().readingProperty().get().facts().size() == photos);
                // As a photographer finds it: nothing done yet.
                Hands.onScreen(() -> {
                    session().edit(Edit.Kind.START_AGAIN, EffortBench::untouched);
                    return null;
                });
                List<Format> formats = session().shoot().formats();
                findAll();
                System.out.println("found and taken: " + hands.gestures());
                hands.key(KeyCode.F6);
                for (int i = 0; i < formats.size(); i++) {
                    work(formats.get(i), i + 1);
                    lead();
                }
                System.out.println("led and carried: " + hands.gestures());
                hands.key(KeyCode.F7);
                hands.await(() -> hands.find("#lineup").isPresent());
                for (int i = formats.size() - 1; i >= 0; i--) {
                    work(formats.get(i), i + 1);
                    boolean isWide = (formats.size() - 1 - i) % 2 == 0;
                    lookThrough(formats.get(i), isWide ? "Wide" : "Tall");
                    lookThrough(formats.get(i), isWide ? "Tall" : "Wide");
                }
                System.out.println("lined up: " + hands.gestures());
                hands.key(KeyCode.F6);
                hands.await(() -> hands.find(".stage").isPresent());
                for (int i = 0; i < formats.size(); i++) {
                    work(formats.get(i), i + 1);
                    finish(formats.get(i));
                }
                System.out.println("one by one: " + oneByOne);
                tell(formats.size());
            } catch (Exception e) {
                System.out.println("the shoot was not finished");
                e.printStackTrace(System.out);
            }
            Platform.runLater(Platform::exit);
        }

        /** Finds levels, borders and subjects in all photos, and takes what is ticked. */
        private void findAll() throws Exception {
            hands.await(() -> hands.find("#sheet").isPresent());
            hands.settle();
            hands.press(KeyCode.SHIFT, KeyCode.F);
            for (String what : List.of("#find-what-levels", "#find-what-borders", "#find-what-subjects")) {
                hands.await(() -> hands.find(what).isPresent());
                hands.settle();
                if (!what.equals("#find-what-levels")) {
                    hands.click(what);
                }
                hands.settle();
                hands.await(() -> hands.find("#find-stop").isEmpty()
                        && !hands.find("#find-take").orElseThrow().isDisabled());
            }
            hands.settle();
            hands.click("#find-take");
            hands.await(() -> hands.find("#find-take").isEmpty()
                    && session().photos().stream()
                            .anyMatch(photo -> photo.subject().isPresent()));
        }

        /** Goes on with a format by its number, unless it is the one worked in. */
        private void work(Format format, int number) throws Exception {
            hands.settle();
            if (!session().formatProperty().get().equals(format.id())) {
                hands.key(KeyCode.getKeyCode(String.valueOf(number)));
                hands.await(() -> session().formatProperty().get().equals(format.id()));
            }
        }

        /** Looks at what is not done yet one by one. */
        private void finish(Format format) throws Exception {
            int left = notDone(format);
            while (left > 0) {
                int before = left;
                Optional<String> here = session().photo().map(Photo::file);
                hands.key(KeyCode.ENTER);
                oneByOne++;
                // The first one may be done already: then it only goes on.
                hands.await(() -> notDone(format) < before
                        || !session().photo().map(Photo::file).equals(here));
                left = notDone(format);
            }
        }

        /** Flicks through a lane until every crop was seen, and says of those in step that they are right. */
        private void lookThrough(Format format, String lane) throws Exception {
            hands.settle();
            Node button = Hands.onScreen(() -> stage.getScene().getRoot().lookupAll(".choice").stream()
                    .filter(node -> node instanceof ToggleButton toggle
                            && toggle.getText().equals(lane))
                    .findFirst()
                    .orElseThrow());
            if (!((ToggleButton) button).isSelected()) {
                hands.clickOn(button);
            }
            hands.settle();
            long count = session().photos().stream()
                    .filter(photo -> isReady(photo)
                            && photo.mark() != Mark.OUT
                            && (photo.orientation() == Orientation.WIDE) == lane.equals("Wide"))
                    .count();
            hands.hold(KeyCode.SPACE, FLICK_MILLIS * (count + 2));
            hands.settle();
            int before = notDone(format);
            hands.click("#these-are-right");
            hands.await(() -> notDone(format) < before);
        }

        /** Takes the tightest of four proposals for the first wide photo, and carries it to all. */
        private void lead() throws Exception {
            Photo lead = session().photos().stream()
                    .filter(photo -> isReady(photo) && photo.orientation() == Orientation.WIDE)
                    .findFirst()
                    .orElseThrow();
            if (!session().photo().equals(Optional.of(lead))) {
                // In the proof strip, where all first photos are seen.
                Hands.onScreen(() -> {
                    session().goTo(Optional.of(lead.file()));
                    return null;
                });
                hands.count();
            }
            hands.await(() -> hands.find("#handle-bottom_right").isPresent());
            hands.settle();
            hands.key(KeyCode.K);
            hands.await(() -> hands.find("#proposals").isPresent());
            hands.settle();
            String tightest = "";
            int least = 100;
            for (int i = 1; i <= 4; i++) {
                String print = "#proposal-" + i;
                Hands.onScreen(() -> {
                    hands.point(hands.find(print).orElseThrow());
                    return null;
                });
                hands.settle();
                int kept = kept();
                if (kept < least) {
                    least = kept;
                    tightest = print;
                }
            }
            hands.click(tightest);
            hands.settle();
            hands.key(KeyCode.C);
            hands.await(() -> hands.find("#carry-both").isPresent());
            hands.settle();
            hands.click("#carry-both");
            hands.await(() ->
                    hands.find("#carry-do").filter(node -> !node.isDisabled()).isPresent());
            hands.settle();
            hands.click("#carry-do");
            hands.await(() -> hands.find("#carry-do").isEmpty());
            hands.settle();
        }

        /** How much of the photo is kept, as the stage says. */
        private int kept() throws Exception {
            return Hands.onScreen(() -> stage.getScene().getRoot().lookupAll(".label").stream()
                    .filter(node -> node instanceof Labeled && node.isVisible())
                    .map(node -> KEPT.matcher(((Labeled) node).getText()))
                    .filter(Matcher::matches)
                    .map(said -> Integer.parseInt(said.group(1)))
                    .findFirst()
                    .orElseThrow());
        }

        private int notDone(Format format) {
            return (int) session().photos().stream()
                    .filter(photo -> isReady(photo)
                            && photo.mark() != Mark.OUT
                            && !photo.entry(format.id()).isDone())
                    .count();
        }

        private boolean isReady(Photo photo) {
            return session().isReady(photo);
        }

        private void tell(int formats) {
            long photos = session().photos().stream().filter(this::isReady).count();
            System.out.println(String.format(
                    Locale.ROOT,
                    "%d readable photos in %d formats: %d gestures, %.2f a photo and format; %.2f with an Enter each",
                    photos,
                    formats,
                    hands.gestures(),
                    (double) hands.gestures() / (photos * formats),
                    (double) (hands.gestures() + photos * formats - oneByOne) / (photos * formats)));
        }

        private ShootSession session() {
            return shell.session().orElseThrow();
        }
    }

    private static Shoot untouched(Shoot shoot) {
        Shoot fresh = shoot;
        for (Photo photo : shoot.photos()) {
            fresh = StartAgain.photos(fresh, Set.of(photo.file()));
        }
        return fresh;
    }
}
