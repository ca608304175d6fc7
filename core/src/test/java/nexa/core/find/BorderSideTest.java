package nexa.core.find;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** A border is plain up to a straight, sharp edge, and nothing else is one. */
class BorderSideTest {
    private static final BorderSide.Colour WHITE = new BorderSide.Colour(255, 255, 255);

    private static BorderSide side(
            double depth, double share, double cover, double early, double drift, double noise, double sharp) {
        return new BorderSide(depth, share, cover, cover, early, drift, noise, sharp, 0, WHITE);
    }

    @Test
    void whatIsPlainUpToAStraightSharpEdgeIsABorder() {
        assertThat(side(40.6, 0.04, 0.9, 0, 0.5, 0.1, 0.8).isBorder()).isTrue();
        assertThat(side(40.6, 0.04, 0.9, 0, 0.5, 0.1, 0.8).cut()).isEqualTo(41);
        assertThat(side(40.3, 0.04, 0.9, 0, 0.5, 0.1, 0.8).cut())
                .as("a third of a pixel stays")
                .isEqualTo(40);
    }

    @Test
    void whatHasPictureInItOrChangesOrEndsSoftlyIsNone() {
        assertThat(side(1.5, 0.01, 0.9, 0, 0.5, 0.1, 0.8).isBorder())
                .as("an edge of the pixels")
                .isFalse();
        assertThat(side(500, 0.5, 0.9, 0, 0.5, 0.1, 0.8).isBorder())
                .as("half the picture")
                .isFalse();
        assertThat(side(40, 0.04, 0.4, 0, 0.5, 0.1, 0.8).isBorder())
                .as("seen along too little")
                .isFalse();
        assertThat(side(40, 0.04, 0.9, 0.1, 0.5, 0.1, 0.8).isBorder())
                .as("picture in it")
                .isFalse();
        assertThat(side(40, 0.04, 0.9, 0, 9, 0.1, 0.8).isBorder()).as("a sky").isFalse();
        assertThat(side(40, 0.04, 0.9, 0, 0.5, 0.1, 0.1).isBorder()).as("soft").isFalse();
        assertThat(side(40, 0.04, 0.9, 0, 0.5, 7, 0.8).isBorder()).as("a table").isFalse();
    }

    @Test
    void anEdgeThatIsLessSharpMustBeSeenAllAlongAndAThinBorderMayBeMixedWithThePicture() {
        assertThat(side(40, 0.04, 0.9, 0, 0.5, 0.1, 0.3).isBorder()).isTrue();
        assertThat(side(40, 0.04, 0.7, 0, 0.5, 0.1, 0.3).isBorder()).isFalse();
        assertThat(side(6, 0.006, 1, 0, 8, 0.1, 0.8).isBorder()).isTrue();
        assertThat(side(16, 0.016, 1, 0, 8, 0.1, 0.8).isBorder()).isFalse();
    }

    @Test
    void theFourthSideOfAFrameNeedsLittleWhereItsEdgeIsExpected() {
        BorderSide sure = side(40, 0.04, 0.9, 0, 0.5, 0.1, 0.8);
        BorderSide hidden = side(41, 0.04, 0.15, 0, 0.5, 0.1, 0.1);
        assertThat(hidden.isBorder()).isFalse();
        assertThat(hidden.isBorderLike(sure)).isTrue();
        assertThat(side(60, 0.06, 0.15, 0, 0.5, 0.1, 0.1).isBorderLike(sure))
                .as("elsewhere")
                .isFalse();
        assertThat(side(41, 0.04, 0.15, 0.1, 0.5, 0.1, 0.1).isBorderLike(sure))
                .as("picture in it")
                .isFalse();
    }
}
