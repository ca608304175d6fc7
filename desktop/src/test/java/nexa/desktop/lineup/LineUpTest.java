package nexa.desktop.lineup;

import static nexa.desktop.session.SessionFixture.on;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Size;
import nexa.core.series.Adjust;
import nexa.core.series.CarryAcross;
import nexa.core.series.CropTable;
import nexa.core.series.Leads;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Shoot;
import nexa.desktop.session.SessionFixture;
import nexa.desktop.session.ShootSession;
import nexa.desktop.session.WorkedOut;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The crops of a set beside their lead's, the furthest out of step first. */
class LineUpTest {
    private static final String FORMAT = "square";

    @TempDir
    Path temporary;

    private SessionFixture fixture;
    private ShootSession session;

    @BeforeEach
    void leadAndCarry() throws Exception {
        Path folder = SessionFixture.photos(Files.createDirectory(temporary.resolve("shoot")));
        fixture = SessionFixture.open(folder, temporary.resolve("data"));
        session = fixture.session();
        on(() -> {
            session.formatProperty().set(FORMAT);
            session.edit(Edit.Kind.RESIZE, shoot -> tightened(shoot, "w1.png", 300));
            CarryAcross all = new CarryAcross("w1.png", FORMAT, Set.of(Carry.values()), false, false);
            session.edit(
                    Edit.Kind.CARRY,
                    shoot -> all.to(shoot, List.of("w2.png", "w3.png", "w4.png", "t1.png", "t2.png"))
                            .shoot());
            return null;
        });
    }

    @AfterEach
    void close() throws Exception {
        fixture.close();
    }

    private static Shoot tightened(Shoot shoot, String file, double side) {
        Crop crop = shoot.photo(file).outline().untouched(1);
        return new Adjust(shoot, file, FORMAT).to(crop.withSize(new Size(side, side)));
    }

    private LineUp lineUp(Orientation orientation, boolean furthestFirst) throws Exception {
        return on(() -> LineUp.of(WorkedOut.of(session.now()), orientation, furthestFirst, Map.of()));
    }

    private static List<String> files(LineUp lineUp) {
        return lineUp.entries().stream().map(CropTable.Row::file).toList();
    }

    @Test
    void whatWasCarriedIsInStep() throws Exception {
        LineUp wide = lineUp(Orientation.WIDE, true);
        assertThat(files(wide)).containsExactly("w1.png", "w2.png", "w3.png", "w4.png");
        assertThat(wide.out()).isEmpty();
        assertThat(files(lineUp(Orientation.TALL, true))).containsExactly("t1.png", "t2.png");
        assertThat(lineUp(Orientation.TALL, true).out()).isEmpty();
    }

    @Test
    void theFurthestOutOfStepComesFirst() throws Exception {
        on(() -> {
            session.edit(Edit.Kind.TIGHTEN, shoot -> tightened(shoot, "w2.png", 260));
            session.edit(Edit.Kind.TIGHTEN, shoot -> tightened(shoot, "w4.png", 180));
            return null;
        });
        LineUp wide = lineUp(Orientation.WIDE, true);
        assertThat(files(wide)).startsWith("w4.png", "w2.png");
        assertThat(wide.out()).extracting(CropTable.Row::file).containsExactly("w4.png", "w2.png");
        assertThat(files(lineUp(Orientation.WIDE, false)))
                .as("as they lie in the shoot")
                .containsExactly("w1.png", "w2.png", "w3.png", "w4.png");
    }

    @Test
    void anOwnCropFollowsNobodyAndIsNeverOutOfStep() throws Exception {
        on(() -> {
            session.edit(Edit.Kind.LET_GO, shoot -> Leads.letGo(shoot, Set.of("w3.png"), FORMAT));
            session.edit(Edit.Kind.TIGHTEN, shoot -> tightened(shoot, "w3.png", 120));
            return null;
        });
        LineUp wide = lineUp(Orientation.WIDE, true);
        assertThat(wide.find("w3.png").orElseThrow().follows()).isFalse();
        assertThat(wide.out()).isEmpty();
    }

    @Test
    void photosMarkedOutAreNotLinedUp() throws Exception {
        on(() -> {
            session.edit(Edit.Kind.MARK, shoot -> shoot.with("w2.png", photo -> photo.withMark(Mark.OUT)));
            return null;
        });
        assertThat(files(lineUp(Orientation.WIDE, true))).containsExactly("w1.png", "w3.png", "w4.png");
        assertThat(lineUp(Orientation.WIDE, true).find("w2.png")).isEmpty();
    }
}
