package nexa.store.shoot;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.store.user.UserData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Kills a program that edits a shoot, at random moments, and looks at what is left. */
class CrashTest {
    private static final int KILLS = Integer.getInteger("nexa.kills", 3);
    private static final int PHOTOS = 5;

    @TempDir
    Path temporary;

    /** The program that is killed: edits without end, and tells each edit that is finished. */
    public static final class Editor {
        private Editor() {}

        public static void main(String[] arguments) throws Exception {
            ShootFolder folder = ShootFolder.open(Path.of(arguments[0]), new UserData(Path.of(arguments[1])));
            int number = Integer.parseInt(arguments[2]);
            Shoot shoot = folder.shoot();
            while (true) {
                number++;
                Shoot next = Editing.edited(shoot, number);
                folder.record(Edit.between(Edit.Kind.LEVEL, Optional.empty(), shoot, next));
                System.out.println(number);
                shoot = next;
                if (number % 3 == 0) {
                    folder.save(shoot);
                }
            }
        }
    }

    /** The edit with a number: it writes that number into the angle of one photo. */
    static final class Editing {
        private Editing() {}

        static Shoot edited(Shoot shoot, int number) {
            return shoot.with(file(number), photo -> photo.withAngle(new Angle(number / 10_000.0)));
        }

        static String file(int number) {
            return "p" + number % PHOTOS + ".jpg";
        }
    }

    @Test
    void noFinishedEditIsLostHoweverOftenTheProgramIsKilled() throws Exception {
        Path folder = Files.createDirectory(temporary.resolve("shoot"));
        UserData userData = new UserData(temporary.resolve("data"));
        for (int i = 0; i < PHOTOS; i++) {
            Files.createFile(folder.resolve("p" + i + ".jpg"));
        }
        Random random = new Random(11);
        int last = 0;
        for (int kill = 0; kill < KILLS; kill++) {
            int upTo = last + random.nextInt(8);
            last = Math.max(last, editUntilKilled(folder, userData, last, upTo));
            Map<String, Double> expected = new HashMap<>();
            for (int number = Math.max(1, last - PHOTOS + 1); number <= last; number++) {
                expected.put(Editing.file(number), number / 10_000.0);
            }
            try (ShootFolder opened = ShootFolder.open(folder, userData)) {
                assertThat(opened.isReadOnly()).isFalse();
                for (Photo photo : opened.shoot().photos()) {
                    assertThat(photo.angle().degrees())
                            .as("%s after kill %d, finished edit %d", photo.file(), kill, last)
                            .isGreaterThanOrEqualTo(expected.getOrDefault(photo.file(), 0.0));
                }
                last = opened.shoot().photos().stream()
                        .mapToInt(photo -> (int) Math.round(photo.angle().degrees() * 10_000))
                        .max()
                        .orElse(last);
            }
        }
        assertThat(last).as("edits made in all").isGreaterThan(KILLS);
    }

    /** Another program. */
    static ProcessBuilder java(Class<?> program, String... arguments) {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-Xshare:auto",
                "-cp",
                System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                program.getName()));
        command.addAll(List.of(arguments));
        return new ProcessBuilder(command);
    }

    private static int editUntilKilled(Path folder, UserData userData, int from, int upTo) throws Exception {
        Process editor = java(Editor.class, folder.toString(), userData.folder().toString(), String.valueOf(from))
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        int finished = from;
        try (BufferedReader told =
                new BufferedReader(new InputStreamReader(editor.getInputStream(), StandardCharsets.UTF_8))) {
            String line = told.readLine();
            while (line != null) {
                finished = Integer.parseInt(line);
                if (finished > upTo) {
                    // SIGKILL, while the program is already at the next edit or save.
                    editor.toHandle().destroyForcibly();
                }
                line = told.readLine();
            }
        }
        editor.waitFor();
        assertThat(finished).as("the program did edit").isGreaterThan(from);
        return finished;
    }

    @Test
    void aJournalCutOffInItsLastLineGivesEverythingBeforeIt() throws Exception {
        Path folder = Files.createDirectory(temporary.resolve("shoot"));
        UserData userData = new UserData(temporary.resolve("data"));
        Files.createFile(folder.resolve("p1.jpg"));
        Files.createFile(folder.resolve("p2.jpg"));
        try (ShootFolder opened = ShootFolder.open(folder, userData)) {
            Shoot shoot = opened.shoot();
            for (int number : List.of(1, 2)) {
                Shoot next = Editing.edited(shoot, number);
                opened.record(Edit.between(Edit.Kind.LEVEL, Optional.empty(), shoot, next));
                shoot = next;
            }
        }
        Path journal = folder.resolve(".nexa-shoot.journal");
        String whole = Files.readString(journal);
        Files.writeString(journal, whole.substring(0, whole.length() - 12));
        try (ShootFolder again = ShootFolder.open(folder, userData)) {
            assertThat(again.shoot().photo("p1.jpg").angle()).isEqualTo(new Angle(0.0001));
            assertThat(again.shoot().photo("p2.jpg").angle()).isEqualTo(Angle.NONE);
        }
    }
}
