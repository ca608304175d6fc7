package nexa.store.lens;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import nexa.core.lens.AtFocal;
import nexa.core.lens.KnownCamera;
import nexa.core.lens.KnownLens;
import nexa.core.lens.LensBook;
import nexa.core.lens.OwnProfile;
import nexa.core.lens.Taken;
import nexa.core.lens.VignettingSample;
import nexa.core.shape.Distortion;
import nexa.core.shape.LateralChromaticAberration;
import nexa.store.Said;
import nexa.store.document.ShootProblem;
import nexa.store.user.UserData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OwnLensesTest {
    @TempDir
    Path temporary;

    private static Taken taken(String lens, double focal) {
        return new Taken(
                Optional.of("Alder Works"),
                Optional.of("Alder A2"),
                Optional.ofNullable(lens),
                focal > 0 ? OptionalDouble.of(focal) : OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    private static Distortion bent(double b) {
        return new Distortion(Distortion.Model.PTLENS, List.of(0.001, b, -1e-7));
    }

    private OwnLenses lenses() {
        return OwnLenses.of(new UserData(temporary));
    }

    private LensBook book() {
        return LensBook.EMPTY.withOwn(lenses().read().book());
    }

    private void keep(Taken taken, Distortion distortion) throws Exception {
        lenses().keep(begun(taken, book()).with(taken.focal().orElseThrow(), distortion));
    }

    private static OwnProfile begun(Taken taken, LensBook book) {
        return OwnProfile.begun(taken, 1.5, book).orElseThrow();
    }

    @Test
    void whatWasKeptIsKnownOfOtherPhotosOfTheSameCameraAndLens() throws Exception {
        keep(taken("Birch 24-70 <old>", 24), bent(-0.03));
        assertThat(book().lens(taken("birch 24-70 <OLD>", 24)).orElseThrow().distortion())
                .containsExactly(new AtFocal<>(24, bent(-0.03)));
        assertThat(book().lens(taken("Birch 50", 24))).isEmpty();
        keep(taken("Birch 24-70 <old>", 70), bent(0.01));
        keep(taken("Birch 24-70 <old>", 24.2), bent(-0.02));
        assertThat(book().lens(taken("Birch 24-70 <old>", 24)).orElseThrow().distortion())
                .containsExactly(new AtFocal<>(24.2, bent(-0.02)), new AtFocal<>(70, bent(0.01)));
        try (var files = Files.list(temporary.resolve("lenses"))) {
            assertThat(files).hasSize(1);
        }
    }

    @Test
    void aLensWithoutANameIsKnownByItsCamera() throws Exception {
        keep(taken(null, 8), bent(-0.05));
        assertThat(book().lens(taken(null, 8)).orElseThrow().distortion()).hasSize(1);
        assertThat(OwnProfile.begun(taken("Birch 50", 0), 1.5, book())).isEmpty();
        assertThat(OwnProfile.begun(Taken.UNKNOWN, 1.5, book())).isEmpty();
    }

    @Test
    void onesOwnCountBeforeTheDataAndKeepTheRestOfIt() throws Exception {
        KnownCamera camera = new KnownCamera("Alder Works", "Alder A2", "Alder M", 1.53);
        KnownLens published = new KnownLens(
                "Birch",
                "Birch 50",
                Set.of("Alder M"),
                1,
                1.5,
                true,
                List.of(new AtFocal<>(50, new Distortion(Distortion.Model.POLY3, List.of(0.01)))),
                List.of(new AtFocal<>(50, LateralChromaticAberration.linear(1.001, 0.999))),
                List.of());
        LensBook data = new LensBook(List.of(camera), List.of(published));
        OwnProfile own = begun(taken("Birch 50", 50), data).with(50, bent(-0.01));
        assertThat(own.lens().fringes())
                .as("what others measured beside the bending stays")
                .isEqualTo(published.fringes());
        lenses().keep(own);
        LensBook both = data.withOwn(lenses().read().book());
        assertThat(both.lens(taken("Birch 50", 50))).contains(own.lens());
        assertThat(both.choices(taken("Birch 50", 50))).startsWith(own.lens()).contains(published);
    }

    @Test
    void allThatIsKnownOfALensIsWrittenAndReadAgain() throws Exception {
        KnownLens all = new KnownLens(
                "Birch & Sons",
                "Birch 24-70",
                Set.of("Alder L", "Alder M"),
                1.53,
                1.5,
                true,
                List.of(
                        new AtFocal<>(24, new Distortion(Distortion.Model.POLY5, List.of(-0.01, 1e-9))),
                        new AtFocal<>(70, new Distortion(Distortion.Model.POLY5, List.of(0.01, 0.002)))),
                List.of(new AtFocal<>(
                        24,
                        new LateralChromaticAberration(List.of(1.0004, 1e-5, 0.0001), List.of(0.9997, 0.0, -0.0001)))),
                List.of(new VignettingSample(24, 2.8, 1000, List.of(-0.5, 0.1, -0.02))));
        lenses().keep(new OwnProfile(new KnownCamera("Alder Works", "Alder A2", "Alder M", 1.53), all));
        assertThat(lenses().read().book().lenses()).containsExactly(all);
    }

    @Test
    void whereItCannotBeKeptTheMessageNamesTheFile() throws Exception {
        Files.createFile(temporary.resolve("lenses"));
        OwnProfile profile = begun(taken("Birch 50", 50), LensBook.EMPTY).with(50, bent(0));
        assertThatExceptionOfType(ShootProblem.class)
                .isThrownBy(() -> lenses().keep(profile))
                .satisfies(Said.saying("could not be kept in " + temporary.resolve("lenses")));
    }
}
