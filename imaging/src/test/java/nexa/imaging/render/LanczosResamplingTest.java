package nexa.imaging.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import nexa.core.format.PixelSize;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Resizing along the result's axes. */
class LanczosResamplingTest {
    @ParameterizedTest
    @ValueSource(ints = {opencv_core.CV_8U, opencv_core.CV_16U})
    void anEvenPictureStaysEvenAtAnySizeAndUpToItsEdges(int depth) {
        for (int channels : new int[] {1, 3}) {
            try (Mat even = new Mat(90, 130, opencv_core.CV_MAKETYPE(depth, channels), new Scalar(77, 77, 77, 0))) {
                for (PixelSize to :
                        new PixelSize[] {new PixelSize(7, 5), new PixelSize(130, 31), new PixelSize(200, 300)}) {
                    Crop all = new Crop(new Point(65, 45), new Size(130, 90));
                    try (Mat resized = LanczosResampling.resized(even, all, to, 0)) {
                        assertThat(resized.cols()).isEqualTo(to.width());
                        assertThat(resized.rows()).isEqualTo(to.height());
                        assertThat(resized.type()).isEqualTo(even.type());
                        assertThat(opencv_core.mean(resized).get(0)).isCloseTo(77, within(1e-9));
                    }
                }
            }
        }
    }

    /** A slope stays where it is, whatever becomes of its size, sharpened or not; away from the edges, where it ends. */
    @ParameterizedTest
    @ValueSource(doubles = {0.4, 1.3, 4.9, 9.7, 13.1, 33})
    void aSlopeStaysASlopeAtAnyScaleOverAllTiles(double scale) {
        int side = 1200;
        float[] slope = new float[side * side];
        for (int i = 0; i < slope.length; i++) {
            slope[i] = i % side + 3 * (i / side);
        }
        PixelSize to = new PixelSize((int) (900 / scale), (int) (840 / scale));
        Crop part = new Crop(new Point(600.5, 590), new Size(900, 840));
        try (FloatPointer memory = new FloatPointer(slope);
                Mat source = new Mat(side, side, opencv_core.CV_32FC1, memory)) {
            for (double sharpening : new double[] {0, 0.1}) {
                try (Mat resized = LanczosResampling.resized(source, part, to, sharpening);
                        FloatIndexer values = resized.createIndexer()) {
                    for (int y = 0; y < to.height(); y++) {
                        for (int x = y % 17; x < to.width(); x += 17) {
                            double column = 150.5 + (x + 0.5) * 900 / to.width() - 0.5;
                            double row = 170 + (y + 0.5) * 840 / to.height() - 0.5;
                            assertThat((double) values.get(y, x))
                                    .as("%d, %d", x, y)
                                    .isCloseTo(column + 3 * row, within(0.02));
                        }
                    }
                }
            }
        }
    }

    @Test
    void blocksJoinWithoutASeam() {
        byte[] ramp = new byte[400 * 50];
        for (int i = 0; i < ramp.length; i++) {
            ramp[i] = (byte) (i / 50 / 2);
        }
        try (BytePointer memory = new BytePointer(ramp);
                Mat slope = new Mat(400, 50, opencv_core.CV_8UC1, memory);
                Mat resized = LanczosResampling.resized(
                        slope, new Crop(new Point(25, 200), new Size(50, 400)), new PixelSize(25, 200), 0)) {
            for (int y = 4; y < 196; y++) {
                assertThat(resized.ptr(y, 12).get() & 255).isBetween(y - 1, y + 1);
            }
        }
    }
}
