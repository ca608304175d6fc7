package nexa.desktop.tool.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import nexa.core.guide.GuideKind;
import nexa.core.guide.Way;
import nexa.desktop.stage.MatKind;
import nexa.store.user.Preferences;
import nexa.store.user.UserData;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class EaselSettingsTest {
    @TempDir
    Path data;

    private Preferences preferences;

    private EaselSettings settings() {
        preferences = Preferences.load(new UserData(data));
        return new EaselSettings(preferences);
    }

    @AfterEach
    void finishWriting() {
        preferences.close();
    }

    @Test
    void aGuideIsChosenAloneAndASecondClickTakesItAway() {
        EaselSettings settings = settings();
        settings.choose(GuideKind.SPIRAL);
        assertThat(settings.shownKinds()).containsExactly(GuideKind.SPIRAL);
        settings.choose(GuideKind.SPIRAL);
        assertThat(settings.shownKinds()).isEmpty();
    }

    @Test
    void aSecondGuideIsLaidWithTheFirstAndEitherCanGo() {
        EaselSettings settings = settings();
        settings.choose(GuideKind.GOLDEN);
        settings.chooseBeside(GuideKind.DIAGONALS);
        assertThat(settings.shownKinds()).containsExactly(GuideKind.GOLDEN, GuideKind.DIAGONALS);
        settings.chooseBeside(GuideKind.GOLDEN);
        assertThat(settings.shownKinds()).containsExactly(GuideKind.DIAGONALS);
        settings.chooseBeside(GuideKind.GRID);
        settings.chooseBeside(GuideKind.GRID);
        assertThat(settings.shownKinds()).containsExactly(GuideKind.DIAGONALS);
    }

    @Test
    void steppingGoesThroughTheChosenGuidesBothWaysAndAround() {
        EaselSettings settings = settings();
        settings.stepped().set(Set.of(GuideKind.THIRDS, GuideKind.GOLDEN, GuideKind.GRID));
        settings.choose(GuideKind.GOLDEN);
        settings.step(1);
        assertThat(settings.guide().get()).hasValue(GuideKind.GRID);
        settings.step(1);
        assertThat(settings.guide().get()).hasValue(GuideKind.THIRDS);
        settings.step(-1);
        assertThat(settings.guide().get()).hasValue(GuideKind.GRID);
        settings.setStepped(GuideKind.THIRDS, false);
        settings.step(1);
        assertThat(settings.guide().get()).as("no longer among them").hasValue(GuideKind.GOLDEN);
        settings.setStepped(GuideKind.GOLDEN, false);
        settings.setStepped(GuideKind.GRID, false);
        settings.step(1);
        assertThat(settings.guide().get()).as("nothing to step through").hasValue(GuideKind.GOLDEN);
    }

    @Test
    void eachGuideRemembersItsWay() {
        EaselSettings settings = settings();
        settings.choose(GuideKind.SPIRAL);
        settings.turn();
        settings.turn();
        settings.choose(GuideKind.TRIANGLES);
        settings.turn();
        assertThat(settings.way(GuideKind.SPIRAL))
                .isEqualTo(GuideKind.SPIRAL.ways().get(2));
        assertThat(settings.way(GuideKind.TRIANGLES)).isEqualTo(Way.MIRRORED);
        assertThat(settings.way(GuideKind.TRUE_SPIRAL)).isEqualTo(Way.UNTURNED);
    }

    @Test
    void whatAPhotographerLikesIsThereInTheNextRun() {
        UserData user = new UserData(data);
        try (Preferences earlier = Preferences.load(user)) {
            EaselSettings first = new EaselSettings(earlier);
            first.choose(GuideKind.SPIRAL);
            first.chooseBeside(GuideKind.GRID);
            first.turn();
            first.gridLines().set(12);
            first.mat().set(MatKind.DARK);
            first.strength().set(45);
            first.surround().set(SurroundKind.BLACK);
            first.holdsPhoto().set(true);
            first.papers().set(Set.of(1, 9));
        }
        EaselSettings next = settings();
        assertThat(next.shownKinds()).containsExactly(GuideKind.SPIRAL, GuideKind.GRID);
        assertThat(next.way(GuideKind.SPIRAL)).isEqualTo(GuideKind.SPIRAL.ways().get(1));
        assertThat(next.gridLines().get()).isEqualTo(12);
        assertThat(next.mat().get()).isEqualTo(MatKind.DARK);
        assertThat(next.strength().get()).isEqualTo(45);
        assertThat(next.surround().get()).isEqualTo(SurroundKind.BLACK);
        assertThat(next.holdsPhoto().get()).isTrue();
        assertThat(next.papers().get()).containsExactlyInAnyOrder(1, 9);
    }

    @Test
    void aFormatsOutlineIsLeftOutWhateverItsIdAndComesBack() {
        EaselSettings first = settings();
        assertThat(first.isOutlined("page, ünusual")).isTrue();
        first.setOutlined("page, ünusual", false);
        first.setOutlined("feed", false);
        first.setOutlined("feed", true);
        preferences.close();
        EaselSettings next = settings();
        assertThat(next.isOutlined("page, ünusual")).isFalse();
        assertThat(next.isOutlined("feed")).isTrue();
        assertThat(next.isOutlined("page")).isTrue();
    }

    @Test
    void whatAnotherVersionWroteIsLeftForTheUsual() throws Exception {
        Files.writeString(
                data.resolve("preferences.properties"),
                "guide=FAN\nmat=LEATHER\nguide.lines=many\nguide.ways=SPIRAL\nguide.show=OFF\n");
        EaselSettings settings = settings();
        assertThat(settings.guide().get()).isEqualTo(Optional.of(GuideKind.THIRDS));
        assertThat(settings.mat().get()).isEqualTo(MatKind.PAPER);
        assertThat(settings.gridLines().get()).isEqualTo(8);
        assertThat(settings.way(GuideKind.SPIRAL)).isEqualTo(Way.UNTURNED);
        assertThat(settings.show().get()).isEqualTo(GuideShow.OFF);
    }
}
