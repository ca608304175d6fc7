package nexa.core.shape;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import org.junit.jupiter.api.Test;

class FocalLengthTest {
    private static final Segment LINE = new Segment(new Point(0.1, 0.1), new Point(0.2, 0.9));
    private static final SceneLines BOTH = new SceneLines(List.of(LINE, LINE), List.of(LINE, LINE));
    private static final OptionalDouble SILENT = OptionalDouble.empty();

    private static Optional<Perspective> said(double focal, SceneLines lines) {
        return Optional.of(Perspective.none(focal).withLines(lines));
    }

    @Test
    void whatTheFileSaysCountsAndElseItIsAssumed() {
        assertThat(FocalLength.of(Optional.empty(), OptionalDouble.of(85)))
                .isEqualTo(new FocalLength(85, FocalLength.Source.FILE));
        assertThat(FocalLength.of(Optional.empty(), OptionalDouble.of(3)))
                .isEqualTo(new FocalLength(8, FocalLength.Source.FILE));
        assertThat(FocalLength.of(Optional.empty(), SILENT)).isEqualTo(new FocalLength(35, FocalLength.Source.ASSUMED));
        assertThat(FocalLength.of(said(85, SceneLines.NONE), OptionalDouble.of(85))
                        .source())
                .isEqualTo(FocalLength.Source.FILE);
    }

    @Test
    void whatWasTypedStandsAboveTheFile() {
        assertThat(FocalLength.of(said(50, SceneLines.NONE), OptionalDouble.of(85)))
                .isEqualTo(new FocalLength(50, FocalLength.Source.TYPED));
        assertThat(FocalLength.known(said(50, SceneLines.NONE), SILENT)).hasValue(50);
    }

    @Test
    void whatLinesToldIsToldByThemAgain() {
        assertThat(FocalLength.of(said(41, BOTH), SILENT).source()).isEqualTo(FocalLength.Source.LINES);
        assertThat(FocalLength.known(said(41, BOTH), SILENT)).isEmpty();
        assertThat(FocalLength.known(said(90, BOTH), OptionalDouble.of(85))).hasValue(85);
        assertThat(FocalLength.known(said(200, BOTH), OptionalDouble.of(85))).hasValue(200);
        assertThat(FocalLength.known(Optional.empty(), SILENT)).isEmpty();
    }
}
