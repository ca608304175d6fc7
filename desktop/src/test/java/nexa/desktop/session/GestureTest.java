package nexa.desktop.session;

import static nexa.desktop.session.SessionFixture.await;
import static nexa.desktop.session.SessionFixture.on;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import nexa.core.geometry.Crop;
import nexa.core.series.CarryAcross;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.ShootDraft;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the hand lets go of in a shoot of many photos. */
class GestureTest {
    private static final int PHOTOS = 220;
    private static final String FORMAT = "square";

    @TempDir
    private Path temporary;

    private SessionFixture fixture;
    private ShootSession session;
    private Gesture gesture;
    private int endings;

    @BeforeEach
    void open() throws Exception {
        Path folder = Files.createDirectory(temporary.resolve("shoot"));
        for (int i = 0; i < PHOTOS; i++) {
            SessionFixture.write(folder, name(i), 30, 20);
        }
        fixture = SessionFixture.open(folder, temporary.resolve("data"));
        session = fixture.session();
        on(() -> {
            session.formatProperty().set(FORMAT);
            session.goTo(Optional.of(file(0)));
            List<String> others =
                    IntStream.range(1, PHOTOS).mapToObj(GestureTest::file).toList();
            CarryAcross all = new CarryAcross(file(0), FORMAT, Set.of(Carry.values()), false, false);
            session.edit(Edit.Kind.CARRY, shoot -> all.to(shoot, others).shoot());
            session.edit(Edit.Kind.DONE, GestureTest::allDone);
            gesture = new Gesture(session, () -> endings++);
            return null;
        });
    }

    @AfterEach
    void close() throws Exception {
        fixture.close();
    }

    private static String name(int number) {
        return "p" + (1000 + number);
    }

    private static String file(int number) {
        return name(number) + ".png";
    }

    private static Shoot allDone(Shoot shoot) {
        ShootDraft draft = shoot.draft();
        shoot.photos()
                .forEach(photo -> draft.change(
                        photo.file(),
                        known -> known.withEntry(FORMAT, known.entry(FORMAT).withDone(true))));
        return draft.shoot();
    }

    private Crop tighten() {
        PhotoCrop lead = session.crop().orElseThrow();
        gesture.begin(lead, Edit.Kind.TIGHTEN);
        Crop tighter = lead.crop().withSize(lead.crop().size().times(0.5));
        gesture.setCrop(tighter);
        gesture.hold();
        return tighter;
    }

    private long done() {
        return session.shoot().photos().stream()
                .filter(photo -> photo.entry(FORMAT).isDone())
                .count();
    }

    @Test
    void theLeadStaysInHandUntilWhatFollowsItIsWorkedOut() throws Exception {
        on(() -> {
            Shoot before = session.shoot();
            tighten();
            gesture.letGo();
            assertThat(session.shoot()).as("nothing is worked out on the spot").isSameAs(before);
            assertThat(gesture.isBusy()).isTrue();
            assertThat(endings).isZero();
            return null;
        });
        await(() -> !gesture.isBusy());
        assertThat(endings).isOne();
        assertThat(on(this::done))
                .as("those that moved with it are to be looked at again")
                .isOne();
    }

    @Test
    void whatIsDoneNextWaitsForIt() throws Exception {
        on(() -> {
            Crop tighter = tighten();
            gesture.letGo();
            gesture.begin(session.crop().orElseThrow(), Edit.Kind.SLIDE);
            assertThat(session.crop().orElseThrow().crop()).isEqualTo(tighter);
            assertThat(endings).isOne();
            gesture.end();
            assertThat(session.edits().historyProperty().get().undoable().map(Edit::kind))
                    .hasValue(Edit.Kind.TIGHTEN);
            return null;
        });
    }

    @Test
    void endedAtOnceItIsTheShootsPresentState() throws Exception {
        on(() -> {
            Crop tighter = tighten();
            gesture.end();
            assertThat(gesture.isBusy()).isFalse();
            assertThat(session.crop().orElseThrow().crop()).isEqualTo(tighter);
            return null;
        });
    }
}
