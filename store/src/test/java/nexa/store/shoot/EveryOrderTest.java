package nexa.store.shoot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.BDDMockito.willAnswer;
import static org.mockito.Mockito.mock;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.files.Disk;
import nexa.store.Said;
import nexa.store.document.ShootDocument;
import nexa.store.document.ShootProblem;
import nexa.store.user.UserData;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * An edit is recorded beside the photos or apart, saved there, apart or not at all, there is room again or not, the program
 * crashes or not, something else changes the document or not: whatever comes after whatever, no edit is lost and none is laid
 * over a document it does not belong to.
 */
class EveryOrderTest {
    @TempDir
    Path temporary;

    private Path folder;
    private UserData userData;

    /** When something else changes the document. */
    private enum Outside {
        NEVER,
        WHILE_OPEN,
        AFTERWARDS,
        RESTORED
    }

    /** What happens, in this order. */
    private record Order(
            boolean hasDocument,
            boolean isRecordedApart,
            boolean isSavedApart,
            boolean crashesBefore,
            boolean hasRoomAgain,
            boolean opensBetween,
            boolean crashesAfter,
            Outside outside) {}

    /**
     * Of all 128 ways of the seven the sixteen words of a Hamming code, among which any three of the seven come in every way;
     * with {@code -Dnexa.thorough=true} all of them.
     */
    private static boolean isTried(int bits) {
        return Boolean.getBoolean("nexa.thorough")
                || IntStream.of(0b1010101, 0b1100110, 0b1111000)
                        .allMatch(check -> Integer.bitCount(bits & check) % 2 == 0);
    }

    static Stream<Order> orders() {
        return IntStream.range(0, 1 << 7)
                .filter(EveryOrderTest::isTried)
                .boxed()
                .flatMap(bits -> Stream.of(Outside.values())
                        .map(outside -> new Order(
                                (bits & 1) > 0,
                                (bits & 2) > 0,
                                (bits & 4) > 0,
                                (bits & 8) > 0,
                                (bits & 16) > 0,
                                (bits & 32) > 0,
                                (bits & 64) > 0,
                                outside)));
    }

    private final List<String> done = new ArrayList<>();
    private ShootFolder opened;
    private Shoot shoot;
    private Disk disk;
    private boolean hasNoRoomForLines;
    private boolean hasNoRoomForFiles;

    @ParameterizedTest
    @MethodSource("orders")
    void nothingIsLostAndNothingIsMixed(Order order) throws Exception {
        makeFolder();
        Path document = folder.resolve(ShootDocument.NAME);
        work(order, document);
        byte[] outside = Files.exists(document) ? Files.readAllBytes(document) : new byte[0];

        Shoot looked = ShootFolder.look(folder, userData).shoot();
        open();
        assertThat(shoot).as("looking shows what opening does").isEqualTo(looked);
        boolean isAnother = order.outside() != Outside.NEVER && !contains(shoot, "d.jpg");
        if (isAnother) {
            assertThat(document).as("what was put there is left").hasBinaryContent(outside);
            assertThat(angles(shoot))
                    .isEqualTo(angles(ShootDocument.read(document, "shoot").shoot()));
            assertThat(done).as("what was done is kept").allMatch(this::isKept);
        } else {
            assertThat(done).as("what was done is there").allMatch(file -> contains(shoot, file));
        }
        opened.close();
        open();
        assertThat(shoot).as("opened again, it is the same").isEqualTo(looked);
        assertThat(opened.notices()).as("and all is in order").isEmpty();
        opened.close();
    }

    private void makeFolder() throws IOException {
        folder = Files.createDirectory(temporary.resolve("shoot"));
        userData = new UserData(temporary.resolve("data"));
        disk = mock(Disk.class);
        willAnswer(call -> write(call.getArgument(0), call.getArgument(1), false, hasNoRoomForFiles))
                .given(disk)
                .replace(any(), any());
        willAnswer(call -> {
                    String line = call.<String>getArgument(1) + "\n";
                    return write(call.getArgument(0), line.getBytes(StandardCharsets.UTF_8), true, hasNoRoomForLines);
                })
                .given(disk)
                .appendLine(any(), any());
        for (String name : List.of("a.jpg", "b.jpg", "c.jpg", "d.jpg")) {
            Files.createFile(folder.resolve(name));
        }
    }

    /** Forces nothing to the disk: no power is lost here. */
    private Object write(Path file, byte[] contents, boolean isAdded, boolean isFull) throws IOException {
        if (isFull && file.startsWith(folder)) {
            throw new IOException("No space left on device");
        }
        StandardOpenOption how = isAdded ? StandardOpenOption.APPEND : StandardOpenOption.TRUNCATE_EXISTING;
        return Files.write(file, contents, StandardOpenOption.CREATE, StandardOpenOption.WRITE, how);
    }

    /** Four edits, with what happens between them. */
    private void work(Order order, Path document) throws Exception {
        open();
        if (order.hasDocument()) {
            edit("a.jpg", false);
        }
        byte[] backup = Files.exists(document) ? Files.readAllBytes(document) : other();
        hasNoRoomForLines = order.isRecordedApart();
        hasNoRoomForFiles = order.isSavedApart();
        edit("b.jpg", order.crashesBefore());
        if (order.outside() == Outside.WHILE_OPEN) {
            Files.write(document, other());
        }
        hasNoRoomForLines &= !order.hasRoomAgain();
        hasNoRoomForFiles &= !order.hasRoomAgain();
        boolean mixesAlready = order.outside() == Outside.WHILE_OPEN;
        if (order.opensBetween() && !mixesAlready) {
            opened.close();
            open();
        }
        edit("c.jpg", false);
        edit("d.jpg", order.crashesAfter());
        opened.close();
        if (order.outside() == Outside.AFTERWARDS || order.outside() == Outside.RESTORED) {
            // What was in the document that somebody else puts another one in the place of is theirs to keep.
            String replaced = Files.exists(document) ? Files.readString(document) : "";
            done.removeIf(file -> replaced.contains(said(file)));
            Files.write(document, order.outside() == Outside.RESTORED ? backup : other());
        }
    }

    private void open() throws ShootProblem {
        opened = ShootFolder.open(folder, userData, disk);
        shoot = opened.shoot();
    }

    private void edit(String file, boolean crashes) throws ShootProblem {
        Shoot next = shoot.with(file, photo -> photo.withAngle(angle(file)));
        opened.record(Edit.between(Edit.Kind.LEVEL, Optional.empty(), shoot, next));
        done.add(file);
        shoot = next;
        if (!crashes) {
            try {
                opened.save(shoot);
            } catch (ShootProblem e) {
                assertThat(Said.WORDS.say(e)).contains("changed by something else");
            }
        }
    }

    private static Angle angle(String file) {
        return new Angle(file.charAt(0) - 'a' + 1.0625);
    }

    private static String said(String file) {
        return String.valueOf(angle(file).degrees());
    }

    private static Map<String, Angle> angles(Shoot shoot) {
        return shoot.photos().stream()
                .filter(photo -> !photo.angle().equals(Angle.NONE))
                .collect(Collectors.toMap(Photo::file, Photo::angle));
    }

    private static boolean contains(Shoot shoot, String file) {
        return shoot.find(file).map(photo -> photo.angle().equals(angle(file))).orElse(false);
    }

    private static byte[] other() {
        return "{ \"nexa\": 1, \"title\": \"another one\" }\n".getBytes(StandardCharsets.UTF_8);
    }

    /** Whether an edit is in a file that was kept, or still in the document beside the photos. */
    private boolean isKept(String file) {
        try (Stream<Path> files = Files.walk(temporary)) {
            return files.filter(Files::isRegularFile)
                    .filter(kept -> kept.getFileName().toString().startsWith("nexa-shoot"))
                    .anyMatch(kept -> read(kept).contains(said(file)));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }
}
