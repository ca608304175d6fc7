package nexa.desktop.stage;

import static org.assertj.core.api.Assertions.assertThat;

import nexa.imaging.pictures.Picture;
import org.junit.jupiter.api.Test;

/** A drawing is made from the coarsest picture that has the pixels for it. */
class SourcesTest {
    private static final Picture PREVIEW = Picture.blank(200, 100);
    private static final Picture FULL = Picture.blank(600, 300);

    @Test
    void fullPixelsAreNoLongerTheSourceOnceZoomedOut() {
        Sources both = Sources.NONE.with(FULL).with(PREVIEW);
        assertThat(both.forWidth(150)).hasValue(PREVIEW);
        assertThat(both.forWidth(220)).as("so little enlarging is not seen").hasValue(PREVIEW);
        assertThat(both.forWidth(400)).hasValue(FULL);
        assertThat(both.finest()).hasValue(FULL);
    }

    @Test
    void whatIsThereIsUsedUntilSomethingFinerHasBeenRead() {
        Sources coarse = Sources.NONE.with(PREVIEW);
        assertThat(coarse.forWidth(600)).hasValue(PREVIEW);
        assertThat(coarse.isTooCoarseFor(600)).isTrue();
        assertThat(coarse.with(FULL).isTooCoarseFor(600)).isFalse();
        assertThat(Sources.NONE.forWidth(10)).isEmpty();
        assertThat(coarse.with(Picture.blank(200, 100)).pictures()).hasSize(1);
    }
}
