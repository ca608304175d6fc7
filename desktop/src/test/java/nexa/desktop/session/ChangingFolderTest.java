package nexa.desktop.session;

import static nexa.desktop.session.SessionFixture.await;
import static nexa.desktop.session.SessionFixture.on;
import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import javax.imageio.ImageIO;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.series.Reach;
import nexa.core.shoot.EdgeTexture;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Trim;
import nexa.imaging.decode.PhotoProblem;
import nexa.store.document.ShootDocument;
import nexa.store.shoot.ShootFolder;
import nexa.store.user.UserData;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Photos come, go, change and get other names while a shoot is open, or between two times that it is. */
class ChangingFolderTest {
    @TempDir
    Path temporary;

    private Path folder;
    private SessionFixture fixture;
    private ShootSession session;

    @BeforeEach
    void open() throws Exception {
        folder = SessionFixture.photos(Files.createDirectory(temporary.resolve("shoot")));
        reopen();
    }

    private void reopen() throws Exception {
        fixture = SessionFixture.open(folder, temporary.resolve("data"));
        session = fixture.session();
    }

    @AfterEach
    void close() throws Exception {
        fixture.close();
    }

    private void turn(String file, double degrees) throws Exception {
        run(() ->
                session.edit(Edit.Kind.LEVEL, shoot -> shoot.with(file, photo -> photo.withAngle(new Angle(degrees)))));
    }

    private static void run(Runnable action) throws Exception {
        on(() -> {
            action.run();
            return null;
        });
    }

    private boolean isReady(String file) {
        return session.shoot().find(file).map(session::isReady).orElse(false);
    }

    @Test
    void photosThatComeAreOfferedAndTakenInAtAWord() throws Exception {
        SessionFixture.write(folder, "new1", 300, 200);
        SessionFixture.write(folder, "new2", 200, 300);
        await(() -> session.changes().freshProperty().get().equals(Set.of("new1.png", "new2.png")));
        assertThat(on(() -> session.shoot().photos())).as("not before").hasSize(6);
        run(session.changes()::addFresh);
        await(() -> isReady("new1.png") && isReady("new2.png"));
        assertThat(on(() -> session.changes().freshProperty().get())).isEmpty();
        turn("new1.png", 2);
        run(session.edits()::undo);
        assertThat(on(() -> session.shoot().photos())).hasSize(8);
    }

    @Test
    void aPhotoThatGoesSaysSoAndComesBack() throws Exception {
        turn("w2.png", 3);
        Path away = Files.move(folder.resolve("w2.png"), temporary.resolve("away.png"));
        await(() -> session.hasProblem(session.shoot().photo("w2.png")));
        assertThat(on(() ->
                        session.readingProperty().get().problems().get("w2.png").reason()))
                .isEqualTo(PhotoProblem.Reason.MISSING);
        Files.move(away, folder.resolve("w2.png"));
        await(() -> isReady("w2.png"));
        assertThat(on(() -> session.shoot().photo("w2.png").angle())).isEqualTo(new Angle(3));
    }

    @Test
    void aPhotoThatIsAnotherOneNowIsReadAgain() throws Exception {
        SessionFixture.write(folder, "w1", 300, 240);
        await(() -> session.shoot().photo("w1.png").pixels().equals(Optional.of(new PixelSize(300, 240))));
        assertThat(on(() -> isReady("w1.png"))).isTrue();
    }

    /** By that it is told beforehand how well a fill beyond the photo will pass. */
    @Test
    void howBusyAPhotoIsIsReadAnewWithThePhoto() throws Exception {
        String format = on(() -> session.shoot().formats().get(0).id());
        run(() -> session.edit(Edit.Kind.REACH, shoot -> Reach.let(shoot, "w1.png", format, true)));
        await(() -> texture().isPresent());
        double plain = on(this::texture).orElseThrow().inside(Trim.Side.LEFT, 1);
        BufferedImage busy = new BufferedImage(600, 400, BufferedImage.TYPE_3BYTE_BGR);
        Random random = new Random(4);
        for (int y = 0; y < 400; y++) {
            for (int x = 0; x < 600; x++) {
                busy.setRGB(x, y, random.nextInt());
            }
        }
        ImageIO.write(busy, "png", folder.resolve("w1.png").toFile());
        await(() -> texture()
                .filter(now -> now.inside(Trim.Side.LEFT, 1) > plain + 1)
                .isPresent());
    }

    private Optional<EdgeTexture> texture() {
        return session.shoot().photo("w1.png").texture();
    }

    @Test
    void whatFailedOnceIsReadAgainWhenAskedFor() throws Exception {
        fixture.close();
        Files.writeString(folder.resolve("w0.png"), "no photo");
        reopen();
        assertThat(on(() -> session.hasProblem(session.shoot().photo("w0.png"))))
                .isTrue();
        SessionFixture.write(folder, "w0", 300, 200);
        run(() -> session.readAgain(Set.of("w0.png")));
        await(() -> isReady("w0.png"));
    }

    @Test
    void photosRenamedOutsideKeepWhatWasDoneAsOneEdit() throws Exception {
        turn("w1.png", 2);
        turn("t1.png", -1);
        fixture.close();
        Files.move(folder.resolve("w1.png"), folder.resolve("kiln 1.png"));
        Files.move(folder.resolve("t1.png"), folder.resolve("kiln 2.png"));
        reopen();
        await(() -> session.changes().renamedProperty().get().size() == 2);
        assertThat(on(() -> session.shoot().photo("kiln 1.png").angle()))
                .as("never by itself")
                .isEqualTo(Angle.NONE);
        run(session.changes()::takeRenamedAlong);
        assertThat(on(() -> session.shoot().photo("kiln 1.png").angle())).isEqualTo(new Angle(2));
        assertThat(on(session::photos))
                .extracting(Photo::file)
                .contains("kiln 1.png", "kiln 2.png")
                .doesNotContain("w1.png", "t1.png");
        run(session.edits()::undo);
        assertThat(on(session::photos)).extracting(Photo::file).contains("w1.png");
        run(session.edits()::redo);
        fixture.close();
        reopen();
        assertThat(on(session::photos)).hasSize(6);
        assertThat(on(() -> session.shoot().photo("kiln 2.png").angle())).isEqualTo(new Angle(-1));
    }

    @Test
    void lookingAtAShootIsEnoughToKnowItsPhotosUnderOtherNames() throws Exception {
        turn("w1.png", 2);
        fixture.close();
        Path document = folder.resolve(ShootDocument.NAME);
        String earlier =
                Files.readString(document).replaceAll("(?s),?\\s*\"identity\"\\s*:\\s*(\\{[^}]*}|\"[^\"]*\")", "");
        assertThat(earlier).doesNotContain("identity");
        Files.writeString(document, earlier);
        reopen();
        await(() -> Files.readString(document).contains("identity"));
        fixture.close();
        Files.move(folder.resolve("w1.png"), folder.resolve("kiln 1.png"));
        reopen();
        await(() -> session.changes().renamedProperty().get().equals(Map.of("w1.png", "kiln 1.png")));
    }

    @Test
    void whatWasSetAsideForARestoredDocumentIsTakenAtAWord() throws Exception {
        turn("w1.png", 2);
        fixture.close();
        Path document = folder.resolve(ShootDocument.NAME);
        String backup = Files.readString(document).replace("2.0", "5.0");
        // Nobody can take a lock that is a folder, so what is done now is kept apart.
        Path lock = folder.resolve(".nexa-shoot.lock");
        Files.deleteIfExists(lock);
        Files.createDirectory(lock);
        reopen();
        turn("w1.png", 3);
        fixture.close();
        Files.delete(lock);
        Files.writeString(document, backup);

        reopen();
        assertThat(on(() -> session.shoot().photo("w1.png").angle())).isEqualTo(new Angle(5));
        assertThat(on(session.edits()::setAside)).isPresent();
        run(session.edits()::goOnWithSetAside);
        assertThat(on(() -> session.shoot().photo("w1.png").angle())).isEqualTo(new Angle(3));
        run(session.edits()::undo);
        assertThat(on(() -> session.shoot().photo("w1.png").angle())).isEqualTo(new Angle(5));
    }

    @Test
    void photosRenamedWhileTheShootIsOpenKeepWhatWasDone() throws Exception {
        turn("w1.png", 2);
        Files.move(folder.resolve("w1.png"), folder.resolve("kiln 1.png"));
        await(() -> session.changes().freshProperty().get().equals(Set.of("kiln 1.png")));
        run(session.changes()::addFresh);
        await(() -> session.changes().renamedProperty().get().equals(Map.of("w1.png", "kiln 1.png")));
        run(session.changes()::takeRenamedAlong);
        assertThat(on(() -> session.shoot().photo("kiln 1.png").angle())).isEqualTo(new Angle(2));
    }

    @Test
    void aGestureThatGoesOnIsRecordedAndOneThatCameToNothingIsNot() throws Exception {
        turn("w1.png", 1);
        run(() -> session.edits().recordDraft(shoot -> shoot.with("w1.png", photo -> photo.withAngle(new Angle(7)))));
        assertThat(on(() -> session.shoot().photo("w1.png").angle())).isEqualTo(new Angle(1));
        await(() -> recordedAngle().equals(new Angle(7)));
        run(session.edits()::dropDraft);
        await(() -> recordedAngle().equals(new Angle(1)));
    }

    /** As another window, or the next run after a crash, finds it. */
    private Angle recordedAngle() throws Exception {
        return ShootFolder.look(folder, new UserData(temporary.resolve("data")))
                .shoot()
                .photo("w1.png")
                .angle();
    }
}
