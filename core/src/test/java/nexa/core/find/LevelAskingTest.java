package nexa.core.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;

/** What edges and horizons of known places say of a picture's lean. */
class LevelAskingTest {
    private static final Size PICTURE = new Size(1600, 1067);
    private static final double HALF_DIAGONAL = Math.hypot(1600, 1067) / 2;

    private static Segment through(Point middle, double degrees, double length) {
        Point half = new Point(Math.cos(Math.toRadians(degrees)), Math.sin(Math.toRadians(degrees))).times(length / 2);
        return new Segment(middle.minus(half), middle.plus(half));
    }

    /** Uprights that lean by an angle in the picture's middle and run together upwards or downwards. */
    private static List<EdgeLine> uprights(double lean, double convergence, double scatter) {
        Random random = new Random(7);
        List<EdgeLine> lines = new ArrayList<>();
        double k = Math.toRadians(convergence);
        double rho = Math.toRadians(lean);
        for (int i = 0; i < 12; i++) {
            Point middle = new Point(100 + 127 * i, 300 + 400 * random.nextDouble());
            double x = (middle.x() - 800) / HALF_DIAGONAL;
            double y = (middle.y() - 533.5) / HALF_DIAGONAL;
            double off = Math.toDegrees(Math.atan2(Math.sin(rho) + k * x, Math.cos(rho) - k * y));
            lines.add(new EdgeLine(through(middle, 90 + off + scatter * random.nextGaussian(), 260), 0.2));
        }
        return lines;
    }

    /** Level lines one below the other. */
    private static List<EdgeLine> levels(double lean, double convergence) {
        List<EdgeLine> lines = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            double y = 80 + 110 * i;
            double off = lean + convergence * (y - 533.5) / HALF_DIAGONAL;
            lines.add(new EdgeLine(through(new Point(700 + 20 * i, y), off, 700), 0.2));
        }
        return lines;
    }

    private static LevelAsking ask(List<EdgeLine> edges, Horizon... horizons) {
        return LevelAsking.of(PICTURE, edges, edge -> true, () -> List.of(horizons));
    }

    private static HorizonEdge horizon(double lean, double cover, double fall) {
        Segment segment = through(new Point(800, 500), lean, 1600);
        return new HorizonEdge(
                segment, lean, 0.47, cover, 1, 0.95, 0.95, 0.3, 0.01, 0.2, 0.02, 0.05, 6, 40, fall, 0.3, 3, 0.4, 3.5);
    }

    @Test
    void uprightsThatRunTogetherGiveTheLeanOfTheOneInTheMiddle() {
        LevelAsking.Answer claim = ask(uprights(1.7, 15, 0.02)).claim().orElseThrow();
        assertThat(claim.lean()).isCloseTo(1.7, within(0.03));
        assertThat(claim.by()).isEqualTo(FoundLevel.Reason.UPRIGHTS);
        assertThat(claim.lines())
                .as("each speaks for the same lean, though they lean differently")
                .allSatisfy(line -> {
                    assertThat(line.lean()).isCloseTo(1.7, within(0.15));
                });
    }

    @Test
    void scatteredUprightsClaimNothing() {
        assertThat(ask(uprights(1.7, 0, 4)).claim()).isEmpty();
    }

    @Test
    void levelLinesSeenStraightOnClaimAndThoseSeenAtAnAngleDoNot() {
        assertThat(ask(levels(-2.2, 0)).claim().orElseThrow().lean()).isCloseTo(-2.2, within(0.02));
        LevelAsking atAnAngle = ask(levels(-2.2, 3));
        assertThat(atAnAngle.claim()).isEmpty();
        assertThat(atAnAngle.why()).isEqualTo(FoundLevel.Reason.RUN_TOGETHER);
        assertThat(atAnAngle.offers()).isEmpty();
    }

    @Test
    void aHorizonIsClaimedWhereItIsClearAndOnlyOfferedWhereItIsNot() {
        assertThat(ask(List.of(), horizon(0.9, 0.9, 60)).claim().orElseThrow().lean())
                .isEqualTo(0.9);
        LevelAsking faint = ask(List.of(), horizon(0.9, 0.42, 60));
        assertThat(faint.offers()).isNotEmpty();
        assertThat(ask(List.of(), horizon(0.9, 0.9, -40)).claim())
                .as("brighter below may be a table's edge")
                .isEmpty();
        assertThat(ask(List.of(), horizon(20, 0.9, 60)).offers()).isEmpty();
    }

    @Test
    void aHorizonDoesNotCountAmongUprights() {
        assertThat(ask(uprights(1, 0, 0.02), horizon(4, 0.9, 60))
                        .claim()
                        .orElseThrow()
                        .lean())
                .isCloseTo(1, within(0.03));
    }

    @Test
    void clearAnswersThatDifferClaimNothing() {
        List<EdgeLine> both = new ArrayList<>(uprights(0, 0, 0.02));
        both.addAll(levels(2, 0));
        LevelAsking asking = ask(both);
        assertThat(asking.claim()).isEmpty();
        assertThat(asking.why()).isEqualTo(FoundLevel.Reason.LINES_DISAGREE);
    }

    @Test
    void anEmptyPictureIsPlain() {
        assertThat(ask(List.of()).why()).isEqualTo(FoundLevel.Reason.PLAIN);
    }
}
