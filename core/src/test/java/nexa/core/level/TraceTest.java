package nexa.core.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import org.junit.jupiter.api.Test;

class TraceTest {
    private static Segment leaning(double degrees, double length) {
        double radians = Math.toRadians(degrees);
        return new Segment(
                new Point(1000, 1000), new Point(1000 + length * Math.cos(radians), 1000 + length * Math.sin(radians)));
    }

    @Test
    void aLongerLineIsLessUncertain() {
        assertThat(Trace.uncertainty(100)).isCloseTo(0.81, within(0.01));
        assertThat(Trace.isLongEnough(100)).isTrue();
        assertThat(Trace.isLongEnough(60)).isFalse();
        assertThat(Trace.isLongEnough(0)).isFalse();
    }

    @Test
    void levelAndUprightLinesThatLeanAlikeAgree() {
        Trace trace = Trace.NONE.with(leaning(2, 500)).with(leaning(92.2, 700));
        assertThat(trace.disagreement()).isCloseTo(0.2, within(1e-9));
        assertThat(trace.disagrees()).isFalse();
        assertThat(trace.angle().orElseThrow().degrees()).isBetween(-2.2, -2.0);
    }

    @Test
    void aFloorRunningAwayDisagreesWithTheUprights() {
        Trace trace = Trace.NONE.with(leaning(1, 500)).with(leaning(95, 700));
        assertThat(trace.disagrees()).isTrue();
        assertThat(trace.without(0).disagrees()).isFalse();
        assertThat(trace.without(0).angle().orElseThrow().degrees()).isCloseTo(-5, within(1e-9));
    }

    @Test
    void linesJustEitherSideOfHalfARightAngleAgree() {
        assertThat(Trace.NONE.with(leaning(44.9, 500)).with(leaning(-44.9, 500)).disagreement())
                .isCloseTo(0.2, within(1e-9));
    }

    @Test
    void aLineIsLevelOnScreenOnceThePhotoIsTurnedByItsAngle() {
        Segment line = leaning(3.5, 800);
        assertThat(Trace.isLevel(line, Angle.NONE)).isFalse();
        assertThat(Trace.leanOnScreen(line, new Angle(1))).isCloseTo(4.5, within(1e-9));
        assertThat(Trace.isLevel(line, TracedLevel.of(line))).isTrue();
    }

    @Test
    void noLinesGiveNoAngle() {
        assertThat(Trace.NONE.angle()).isEmpty();
        assertThat(Trace.NONE.disagrees()).isFalse();
    }
}
