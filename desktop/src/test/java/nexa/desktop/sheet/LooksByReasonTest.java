package nexa.desktop.sheet;

import static nexa.desktop.session.SessionFixture.on;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import nexa.core.format.OutputSize;
import nexa.core.geometry.Point;
import nexa.core.series.CarryAcross;
import nexa.core.series.Formats;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Subject;
import nexa.desktop.session.SessionFixture;
import nexa.desktop.session.ShootSession;
import nexa.desktop.session.WorkedOut;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What needs a look, by reason. */
class LooksByReasonTest {
    private static final String FORMAT = "square";

    @TempDir
    Path temporary;

    private SessionFixture fixture;
    private ShootSession session;

    @BeforeEach
    void open() throws Exception {
        Path folder = SessionFixture.photos(Files.createDirectory(temporary.resolve("shoot")));
        Files.writeString(folder.resolve("w4.png"), "no photo");
        fixture = SessionFixture.open(folder, temporary.resolve("data"));
        session = fixture.session();
        on(() -> {
            session.formatProperty().set(FORMAT);
            return null;
        });
    }

    @AfterEach
    void close() throws Exception {
        fixture.close();
    }

    private LooksByReason found() throws Exception {
        return on(() -> LooksByReason.of(WorkedOut.of(session.now())));
    }

    @Test
    void reasonsComeWithTheGravestFirstAndEachHoldsAllItsPhotos() throws Exception {
        on(() -> {
            CarryAcross all = new CarryAcross("w1.png", FORMAT, Set.of(Carry.values()), false, false);
            session.edit(
                    Edit.Kind.CARRY,
                    shoot -> all.to(shoot, List.of("w2.png", "w3.png"))
                            .shoot()
                            .with(
                                    "w3.png",
                                    photo -> photo.withSubject(
                                            Optional.of(new Subject(new Point(0.01, 0.5), OptionalDouble.empty())))));
            return null;
        });
        LooksByReason found = found();
        assertThat(found.groups())
                .extracting(LooksByReason.Group::reason)
                .containsExactly(
                        LooksByReason.Reason.UNREADABLE,
                        LooksByReason.Reason.SUBJECT_CUT,
                        LooksByReason.Reason.NOT_LOOKED_AT);
        assertThat(found.groups().get(2).files()).containsExactlyInAnyOrder("w2.png", "w3.png");
        assertThat(found.count()).as("w4, w2 and w3: a photo counts once").isEqualTo(3);
    }

    @Test
    void tooFewPixelsAreTheFormatsMatterAndCountOnce() throws Exception {
        on(() -> {
            session.edit(
                    Edit.Kind.FORMAT,
                    shoot -> Formats.change(shoot, shoot.format(FORMAT).withSize(new OutputSize.Pixels(2000, 2000))));
            return null;
        });
        LooksByReason found = found();
        assertThat(found.groups())
                .extracting(LooksByReason.Group::reason)
                .containsExactly(LooksByReason.Reason.UNREADABLE, LooksByReason.Reason.TOO_FEW_PIXELS);
        assertThat(found.groups().get(1).files()).hasSize(5);
        assertThat(found.count()).isEqualTo(2);
    }
}
