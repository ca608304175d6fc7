package nexa.desktop.session;

import static nexa.desktop.session.SessionFixture.await;
import static nexa.desktop.session.SessionFixture.on;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.geometry.Angle;
import nexa.core.series.Formats;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.store.shoot.ShootFolder;
import nexa.store.user.UserData;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ShootSessionTest {
    @TempDir
    Path temporary;

    private Path folder;
    private SessionFixture fixture;
    private ShootSession session;

    @BeforeEach
    void open() throws Exception {
        folder = SessionFixture.photos(Files.createDirectory(temporary.resolve("shoot")));
        fixture = SessionFixture.open(folder, temporary.resolve("data"));
        session = fixture.session();
    }

    @AfterEach
    void close() throws Exception {
        fixture.close();
    }

    private void turn(String file, double degrees) throws Exception {
        on(() -> {
            session.edit(Edit.Kind.LEVEL, shoot -> shoot.with(file, photo -> photo.withAngle(new Angle(degrees))));
            return null;
        });
    }

    private double angle(String file) throws Exception {
        return on(() -> session.shoot().photo(file).angle().degrees());
    }

    private <T> T run(Runnable action) throws Exception {
        return on(() -> {
            action.run();
            return null;
        });
    }

    @Test
    void everyEditCanBeUndoneAndRedoneAndTheViewGoesToWhatItChanged() throws Exception {
        turn("w2.png", 1);
        turn("t1.png", 2);
        run(() -> session.goTo(Optional.of("w4.png")));
        run(session.edits()::undo);
        assertThat(angle("t1.png")).isZero();
        assertThat(session.photoProperty().get()).hasValue("t1.png");
        run(session.edits()::undo);
        assertThat(angle("w2.png")).isZero();
        run(session.edits()::undo);
        run(session.edits()::redo);
        run(session.edits()::redo);
        assertThat(angle("w2.png")).isEqualTo(1);
        assertThat(angle("t1.png")).isEqualTo(2);
        assertThat(session.photoProperty().get()).hasValue("t1.png");
    }

    @Test
    void anEditAfterUndoingForgetsWhatWasUndoneAndOneThatChangesNothingIsNone() throws Exception {
        turn("w1.png", 1);
        run(session.edits()::undo);
        turn("w1.png", 0);
        assertThat(session.edits().historyProperty().get().redoable())
                .as("nothing was changed, so redoing is still there")
                .isPresent();
        turn("w1.png", 5);
        assertThat(session.edits().historyProperty().get().redoable()).isEmpty();
        assertThat(session.edits().historyProperty().get().edits()).hasSize(1);
    }

    @Test
    void whatWasDoneIsThereWhenTheShootIsOpenedAgain() throws Exception {
        turn("w3.png", -4.25);
        on(session::close).get();
        fixture = SessionFixture.open(folder, temporary.resolve("data"));
        session = fixture.session();
        assertThat(angle("w3.png")).isEqualTo(-4.25);
        assertThat(session.edits().historyProperty().get().undoable())
                .as("the history is of one run")
                .isEmpty();
    }

    @Test
    void aFormatThatGoesIsLeftBeforeItGoesAndComesBackWithItsCrops() throws Exception {
        String second = session.shoot().formats().get(1).id();
        run(() -> session.formatProperty().set(second));
        run(() -> session.edit(Edit.Kind.FORMAT, shoot -> Formats.remove(shoot, second)));
        assertThat(session.formatProperty().get()).isNotEqualTo(second);
        assertThat(session.shoot().formats()).extracting(Format::id).doesNotContain(second);
        run(session.edits()::undo);
        assertThat(session.formatProperty().get())
                .as("undone where it was done")
                .isEqualTo(second);
    }

    @Test
    void steppingPassesOverWhatCannotBeReadAndStaysAtTheEnds() throws Exception {
        on(session::close).get();
        Files.writeString(folder.resolve("w0.png"), "no photo");
        fixture = SessionFixture.open(folder, temporary.resolve("data"));
        session = fixture.session();
        List<String> files = session.photos().stream().map(Photo::file).toList();
        run(() -> session.goTo(Optional.of(files.get(0))));
        List<String> seen = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            run(() -> session.step(1));
            seen.add(session.photoProperty().get().orElseThrow());
        }
        assertThat(seen).doesNotContain("w0.png");
        assertThat(seen.get(7)).isEqualTo(seen.get(6));
        assertThat(session.isReady(session.shoot().photo("w0.png"))).isFalse();
    }

    @Test
    void fromAPhotoThatCannotBeReadItGoesToTheNextOneThatCan() throws Exception {
        on(session::close).get();
        Files.writeString(folder.resolve("w2.png"), "no photo");
        Files.writeString(folder.resolve("w3.png"), "no photo");
        fixture = SessionFixture.open(folder, temporary.resolve("data"));
        session = fixture.session();
        run(() -> session.reorder(Shoot.Order.NAME));
        await(() -> session.shoot().order() == Shoot.Order.NAME);
        run(() -> session.goTo(Optional.of("w2.png")));
        run(() -> session.step(1));
        assertThat(session.photoProperty().get()).hasValue("w4.png");
        run(() -> session.goTo(Optional.of("w3.png")));
        run(() -> session.step(-1));
        assertThat(session.photoProperty().get()).hasValue("w1.png");
    }

    @Test
    void aChangeOverManyPhotosIsOneEditAndWhatIsDoneMeanwhileComesAfterIt() throws Exception {
        Set<String> all = Set.of("w1.png", "w2.png", "w3.png", "w4.png", "t1.png", "t2.png");
        on(() -> {
            session.editMany(
                    Edit.Kind.MARK,
                    session.formatProperty().get(),
                    shoot -> shoot.withEach(all, photo -> photo.withMark(Mark.SELECT)));
            session.edit(
                    Edit.Kind.MARK,
                    shoot -> shoot.with("w1.png", photo -> {
                        assertThat(photo.mark()).isEqualTo(Mark.SELECT);
                        return photo.withMark(Mark.OUT);
                    }));
            return null;
        });
        await(() -> session.edits().historyProperty().get().edits().size() == 2);
        assertThat(session.shoot().photo("w1.png").mark()).isEqualTo(Mark.OUT);
        run(session.edits()::undo);
        run(session.edits()::undo);
        assertThat(session.shoot().photos()).allMatch(photo -> photo.mark() == Mark.OPEN);
    }

    @Test
    void whatIsStillBeingWorkedOutWhenTheShootIsPutAwayIsKept() throws Exception {
        on(() -> {
                    session.editMany(
                            Edit.Kind.MARK,
                            session.formatProperty().get(),
                            shoot -> shoot.withEach(Set.of("w1.png", "w2.png"), photo -> photo.withMark(Mark.OUT)));
                    return session.close();
                })
                .get();
        fixture = SessionFixture.open(folder, temporary.resolve("data"));
        session = fixture.session();
        assertThat(session.shoot().photo("w2.png").mark()).isEqualTo(Mark.OUT);
    }

    @Test
    void theFormatsOfANewShootWaitUntilSomethingIsDoneAndUndoingThatLetsThemWaitAgain() throws Exception {
        String format = session.formatProperty().get();
        assertThat(session.shoot().formats()).allMatch(one -> one.going() == Going.WAITS);
        run(() -> session.edit(
                Edit.Kind.DONE,
                shoot -> shoot.with(
                        "w1.png",
                        photo -> photo.withEntry(format, photo.entry(format).withDone(true)))));
        assertThat(session.shoot().formats().stream().filter(Format::goes).map(Format::id))
                .containsExactly(format);
        run(session.edits()::undo);
        assertThat(session.shoot().formats()).allMatch(one -> one.going() == Going.WAITS);
    }

    @Test
    void onlyThePhotosOpenedAreShownWhileTheOthersStayInTheShoot() throws Exception {
        run(() -> session.showOnly(Set.of("w1.png", "t2.png")));
        assertThat(session.photos()).extracting(Photo::file).containsExactlyInAnyOrder("w1.png", "t2.png");
        assertThat(session.shoot().photos()).hasSize(6);
    }

    @Test
    void theOrderIsKeptButIsNothingToUndo() throws Exception {
        assertThat(session.shoot().order()).isEqualTo(Shoot.Order.TIME);
        run(() -> session.reorder(Shoot.Order.NAME));
        await(() -> session.shoot().order() == Shoot.Order.NAME);
        assertThat(session.edits().historyProperty().get().undoable()).isEmpty();
        on(session::close).get();
        fixture = SessionFixture.open(folder, temporary.resolve("data"));
        session = fixture.session();
        assertThat(session.shoot().order()).isEqualTo(Shoot.Order.NAME);
    }

    @Test
    void aSecondWindowLooksAndSaysSoInsteadOfChangingAnything() throws Exception {
        ShootFolder second = ShootFolder.open(folder, new UserData(temporary.resolve("data")));
        List<String> refused = new ArrayList<>();
        ShootSession looking = on(() -> new ShootSession(second, null, new Background()));
        run(() -> looking.edits().onRefused(() -> refused.add("refused")));
        run(() -> looking.edit(Edit.Kind.MARK, shoot -> shoot.with("w1.png", photo -> photo.withMark(Mark.OUT))));
        assertThat(looking.isReadOnly()).isTrue();
        assertThat(refused).hasSize(1);
        assertThat(on(looking::shoot).photo("w1.png").mark()).isEqualTo(Mark.OPEN);
        on(looking::close).get();
    }
}
