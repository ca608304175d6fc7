package nexa.imaging.raw;

import static org.assertj.core.api.Assertions.assertThat;

import nexa.core.format.PixelSize;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.MatImages;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class RawFramingTest {
    private static final int WIDTH = 1640;
    private static final int HEIGHT = 1110;

    private Mat scene;

    @BeforeEach
    void makeScene() {
        scene = MatImages.mat(TestPhotos.scene(WIDTH, HEIGHT).getRaster(), false);
    }

    /** Light as a sensor tells it, where the picture is the root of light. */
    private Mat sensor() {
        Mat deep = new Mat();
        scene.convertTo(deep, opencv_core.CV_32F, 1.0 / 255, 0);
        opencv_core.multiply(deep, deep, deep);
        deep.convertTo(deep, opencv_core.CV_16U, 65_535, 0);
        return deep;
    }

    private Mat camera(int left, int top, int width, int height, int toWidth, int toHeight) {
        Mat seen = new Mat();
        try (Mat part = new Mat(scene, new Rect(left, top, width, height));
                Size size = new Size(toWidth, toHeight)) {
            opencv_imgproc.resize(part, seen, size, 0, 0, opencv_imgproc.INTER_AREA);
        }
        return seen;
    }

    /** The mean difference to what a part of the sensor saw, in parts of white. */
    private static double off(Mat framed, Mat sensor, int left, int top, int width, int height) {
        try (Mat part = new Mat(sensor, new Rect(left, top, width, height));
                Mat same = new Mat();
                Mat apart = new Mat();
                Size size = new Size(framed.cols(), framed.rows())) {
            opencv_imgproc.resize(part, same, size, 0, 0, opencv_imgproc.INTER_AREA);
            opencv_core.absdiff(framed, same, apart);
            return opencv_core.mean(apart).get(1) / 65_535;
        }
    }

    @Test
    void aFewPixelsThatTheCameraLeavesOutAreLeftOutOnTheSameSides() {
        Mat framed = RawFraming.framed(sensor(), camera(28, 6, 1590, 1060, 1200, 800), new PixelSize(1590, 1060));
        assertThat(framed.cols()).isEqualTo(1590);
        assertThat(framed.rows()).isEqualTo(1060);
        assertThat(off(framed, sensor(), 28, 6, 1590, 1060)).isLessThan(0.02);
    }

    @Test
    void aCameraThatFramesWideGivesThatPartInItsOwnPixels() {
        Mat framed = RawFraming.framed(sensor(), camera(0, 94, 1640, 922, 820, 461), new PixelSize(820, 461));
        assertThat(framed.cols()).isEqualTo(820);
        assertThat(off(framed, sensor(), 0, 94, 1640, 922)).isLessThan(0.02);
    }

    @Test
    void picturesThatHaveNothingInCommonGiveTheMiddle() {
        Mat plain = new Mat(400, 600, opencv_core.CV_8UC3, new org.bytedeco.opencv.opencv_core.Scalar(90, 90, 90, 0));
        Mat framed = RawFraming.framed(sensor(), plain, new PixelSize(1600, 1070));
        assertThat(off(framed, sensor(), 20, 20, 1600, 1070)).isLessThan(0.01);
    }

    @Test
    void aPictureOfTheSizeWantedStaysAsItIs() {
        Mat sensor = sensor();
        assertThat(RawFraming.framed(sensor, camera(0, 0, 800, 600, 800, 600), new PixelSize(WIDTH, HEIGHT)))
                .isSameAs(sensor);
    }
}
