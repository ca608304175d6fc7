package nexa.core.lens;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shape.Distortion;
import nexa.core.shape.Lens;
import nexa.core.shape.LensMap;
import nexa.core.shape.LensProfile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LensFitTest {
    private static final Size PHOTO = new Size(6000, 4000);
    private static final LensProfile UNKNOWN =
            new LensProfile("made up", 1.5, 1.5, Optional.empty(), Optional.empty(), List.of());

    private static LensMap map(Distortion distortion) {
        return new LensMap(
                Lens.of(
                        new LensProfile("made up", 1.5, 1.5, Optional.of(distortion), Optional.empty(), List.of()),
                        1.5),
                PHOTO);
    }

    /** Straight lines of the scene as a lens draws them. */
    private static List<List<Point>> drawn(LensMap lens, int points, double laidWithin) {
        Random random = new Random(4);
        List<List<Point>> lines = new ArrayList<>();
        double[][] ends = {
            {300, 500, 5700, 420},
            {350, 3500, 5600, 3600},
            {500, 400, 420, 3700},
            {5500, 300, 5600, 3600},
            {800, 1400, 5200, 1300}
        };
        for (double[] end : ends) {
            List<Point> line = new ArrayList<>();
            for (int i = 0; i < points; i++) {
                double share = (double) i / (points - 1);
                Point straight = new Point(end[0] + share * (end[2] - end[0]), end[1] + share * (end[3] - end[1]));
                line.add(lens.toPhoto(straight)
                        .plus(new Point(random.nextGaussian(), random.nextGaussian()).times(laidWithin)));
            }
            lines.add(line);
        }
        return lines;
    }

    @ParameterizedTest
    @CsvSource({"0.01,-0.04,0.002", "0,0.03,0", "-0.02,0.01,0", "0.0125,-0.0607,-0.0004"})
    void theTermsOfALensAreFoundFromLinesItBent(double a, double b, double c) {
        LensMap lens = map(new Distortion(Distortion.Model.PTLENS, List.of(a, b, c)));
        LensFit fit = LensFit.of(drawn(lens, 9, 0), PHOTO, UNKNOWN, 1.5).orElseThrow();
        assertThat(fit.remains()).isLessThan(0.2);
        LensMap found = map(fit.distortion());
        // The middle's scale is the same in both; so all over the picture the points are.
        for (Point place : List.of(new Point(200, 200), new Point(5800, 300), new Point(3000, 300))) {
            assertThat(found.toStraightWithin(place).distance(lens.toStraightWithin(place)))
                    .isLessThan(6);
        }
    }

    @Test
    void pointsLaidByHandAreNotFollowedIntoTheirErrors() {
        LensMap lens = map(new Distortion(Distortion.Model.PTLENS, List.of(0.0, -0.03, 0.0)));
        LensFit fit = LensFit.of(drawn(lens, 4, 1), PHOTO, UNKNOWN, 1.5).orElseThrow();
        assertThat(fit.distortion().terms().get(1)).isCloseTo(-0.03, within(0.004));
        assertThat(fit.remains()).isBetween(0.2, 4.0);
        Point corner = new Point(60, 60);
        assertThat(map(fit.distortion()).toStraightWithin(corner).distance(lens.toStraightWithin(corner)))
                .isLessThan(12);
    }

    @Test
    void fewerThanThreeLinesOfThreePointsTellNothing() {
        LensMap lens = map(new Distortion(Distortion.Model.PTLENS, List.of(0.0, -0.03, 0.0)));
        assertThat(LensFit.of(drawn(lens, 2, 0), PHOTO, UNKNOWN, 1.5)).isEmpty();
        assertThat(LensFit.of(drawn(lens, 5, 0).subList(0, 2), PHOTO, UNKNOWN, 1.5))
                .isEmpty();
    }

    @Test
    void linesThatAreStraightAlreadyAreLeftSo() {
        LensMap none = map(new Distortion(Distortion.Model.PTLENS, List.of(0.0, 0.0, 0.0)));
        LensFit fit = LensFit.of(drawn(none, 3, 0), PHOTO, UNKNOWN, 1.5).orElseThrow();
        assertThat(fit.distortion().terms()).allSatisfy(term -> assertThat(term).isCloseTo(0, within(1e-6)));
    }

    @Test
    void ofFoundLinesThoseThatAreBentInTheSceneAreLeftOut() {
        LensMap lens = map(new Distortion(Distortion.Model.PTLENS, List.of(0.0, -0.03, 0.0)));
        List<List<Point>> straight = drawn(lens, 9, 0.2);
        List<Point> rim = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            double angle = Math.PI * i / 8;
            rim.add(new Point(3000 + 1500 * Math.cos(angle), 2500 - 300 * Math.sin(angle)));
        }
        List<List<Point>> all = new ArrayList<>(straight);
        all.add(2, rim);
        assertThat(LensFit.agreeing(all, PHOTO, UNKNOWN, 1.5)).isEqualTo(straight);
        assertThat(LensFit.agreeing(straight, PHOTO, UNKNOWN, 1.5)).isEqualTo(straight);
    }
}
