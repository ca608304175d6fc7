package nexa.core.lens;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import nexa.core.shape.Distortion;
import nexa.core.shape.Lens;
import org.junit.jupiter.api.Test;

class LensBookTest {
    private static final KnownCamera CAMERA = new KnownCamera("Alder Works", "Alder A2", "Alder M", 1.5);
    private static final KnownCamera POCKET = new KnownCamera("Alder Works", "Pocket 3", "alderPocket3", 4.5);
    private static final KnownLens WIDE = lens("Birch", "Birch 24mm f/2", "Alder M", 1, 24);
    private static final KnownLens WIDE_SMALL = lens("Birch", "Birch 24mm f/2", "Alder M", 1.5, 24);
    private static final KnownLens WIDE_SMALLER = lens("Birch", "Birch 24mm f/2", "Alder M", 2, 24);
    private static final KnownLens ZOOM = lens("Alder Works", "Kit 18-55mm", "Alder M", 1.5, 18, 55);
    private static final KnownLens FIXED = lens("Alder Works", "Pocket 3 & others", "alderPocket3", 4.5, 6);
    private static final LensBook BOOK =
            new LensBook(List.of(CAMERA, POCKET), List.of(ZOOM, WIDE, WIDE_SMALL, WIDE_SMALLER, FIXED));

    private static KnownLens lens(String maker, String model, String mount, double cropFactor, double... focals) {
        List<AtFocal<Distortion>> distortion = Arrays.stream(focals)
                .mapToObj(
                        focal -> new AtFocal<>(focal, new Distortion(Distortion.Model.POLY3, List.of(-0.001 * focal))))
                .toList();
        return new KnownLens(maker, model, Set.of(mount), cropFactor, 1.5, true, distortion, List.of(), List.of());
    }

    private static Taken taken(String maker, String camera, String lens, double focal) {
        return new Taken(
                Optional.ofNullable(maker),
                Optional.ofNullable(camera),
                Optional.ofNullable(lens),
                focal > 0 ? OptionalDouble.of(focal) : OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    @Test
    void namesAgreeButForCaseBlanksAndTheMakerBeforeThem() {
        assertThat(BOOK.lens(taken("alder works", "ALDER A2", "alder works kit18-55MM", 24)))
                .contains(ZOOM);
        assertThat(BOOK.lens(taken("Alder Works", "Alder A2", "Kit 18-55mm II", 24)))
                .isEmpty();
    }

    @Test
    void ofSeveralMeasurementsTheLargestSensorsThatAreNoSmallerCount() {
        assertThat(BOOK.lens(taken("Alder Works", "Alder A2", "Birch 24mm f/2", 24)))
                .contains(WIDE_SMALL);
        assertThat(BOOK.fitting(taken(null, "unheard of", "Birch 24mm f/2", 24)))
                .as("of an unknown camera any may be right, so the photographer chooses")
                .containsExactly(WIDE, WIDE_SMALL, WIDE_SMALLER);
        assertThat(BOOK.lens(taken(null, "unheard of", "Birch 24mm f/2", 24))).isEmpty();
    }

    @Test
    void aCameraWhoseLensCannotBeTakenOffNeedsNoLensName() {
        assertThat(BOOK.lens(taken("Alder Works", "Pocket 3", null, 6))).contains(FIXED);
        assertThat(BOOK.lens(taken("Alder Works", "Alder A2", null, 24))).isEmpty();
    }

    @Test
    void thePhotosOwnFocalLengthsTellACropFactorTheDataDoesNot() {
        Taken taken = new Taken(
                Optional.empty(),
                Optional.of("unheard of"),
                Optional.of("Birch 24mm f/2"),
                OptionalDouble.of(24),
                OptionalDouble.of(36),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        assertThat(BOOK.lens(taken)).contains(WIDE_SMALL);
        assertThat(BOOK.focalLength35(taken)).hasValue(36);
        assertThat(BOOK.putRight(WIDE_SMALL, taken).map(Lens::cameraCrop)).contains(1.5);
    }

    @Test
    void aKnownCameraTellsTheFocalLengthOnFullFrame() {
        assertThat(BOOK.focalLength35(taken("Alder Works", "Alder A2", null, 24)))
                .hasValue(36);
        assertThat(BOOK.focalLength35(taken("Alder Works", "Alder A2", null, 0)))
                .isEmpty();
        assertThat(BOOK.focalLength35(taken(null, "unheard of", null, 24))).isEmpty();
    }

    @Test
    void choicesBeginWithWhatIsLikely() {
        assertThat(BOOK.choices(taken("Alder Works", "Pocket 3", "unheard of", 6)))
                .first()
                .isEqualTo(FIXED);
        assertThat(BOOK.choices(taken("Alder Works", "Alder A2", "Kit 18-55mm", 6)))
                .startsWith(ZOOM)
                .hasSize(5);
    }

    @Test
    void aZoomWithoutAFocalLengthHasNoProfileButAPrimeHas() {
        assertThat(ZOOM.profile(taken("Alder Works", "Alder A2", null, 0))).isEmpty();
        assertThat(WIDE.profile(taken("Alder Works", "Alder A2", null, 0))).isPresent();
        assertThat(BOOK.putRight(WIDE, taken("Alder Works", "Alder A2", null, 24))
                        .map(Lens::cameraCrop))
                .contains(1.5);
    }

    @Test
    void aLensThatIsNotMeantToDrawStraightKeepsItsBending() {
        KnownLens round =
                new KnownLens("Birch", "Round 8mm", Set.of(), 1, 1.5, false, WIDE.distortion(), List.of(), List.of());
        assertThat(round.profile(taken(null, null, null, 8)).orElseThrow().distortion())
                .isEmpty();
    }

    @Test
    void theSpanIsTheRangeInTheNameUnlessMeasurementsLieOutsideIt() {
        assertThat(span("Kit 18-55mm", 18, 55)).isEqualTo(37);
        assertThat(span("Kit 18-55mm", 10, 55)).isEqualTo(45);
        assertThat(span("Birch 24 mm", 24)).isEqualTo(1);
        assertThat(span("Birch", 20, 30)).isEqualTo(10);
    }

    private static double span(String model, double... focals) {
        List<VignettingSample> darkening = Arrays.stream(focals)
                .mapToObj(focal -> new VignettingSample(focal, 4, 10, List.of(-0.3, 0.0, 0.0)))
                .toList();
        return new KnownLens("Birch", model, Set.of(), 1, 1.5, true, List.of(), List.of(), darkening).span();
    }
}
