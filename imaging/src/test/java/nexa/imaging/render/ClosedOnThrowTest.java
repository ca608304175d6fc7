package nexa.imaging.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.io.IOException;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;

/** Pixels that a stage throws over keep no memory. */
class ClosedOnThrowTest {
    private final Mat pixels = new Mat(4, 6, opencv_core.CV_8UC3);

    @Test
    void whatAStageHandsOnStaysOpen() {
        try (Mat made = ClosedOnThrow.with(pixels, given -> given)) {
            assertThat(made.isNull()).isFalse();
            assertThat(made.cols()).isEqualTo(6);
        }
    }

    @Test
    void whereAStageThrowsItsPixelsAreClosed() {
        assertThatExceptionOfType(IOException.class)
                .isThrownBy(() -> ClosedOnThrow.filled(pixels, given -> {
                    throw new IOException("cut off");
                }));
        assertThat(pixels.isNull()).isTrue();
    }

    @Test
    void anErrorClosesThemToo() {
        assertThatExceptionOfType(OutOfMemoryError.class)
                .isThrownBy(() -> ClosedOnThrow.with(pixels, given -> {
                    throw new OutOfMemoryError();
                }));
        assertThat(pixels.isNull()).isTrue();
    }
}
