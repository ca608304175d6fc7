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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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

    private static Mat framed(Mat sensor, Mat camera, PixelSize size) {
        return RawFraming.of(sensor, camera, size).framed(sensor, camera, size);
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
        Mat framed = framed(sensor(), camera(28, 6, 1590, 1060, 1200, 800), new PixelSize(1590, 1060));
        assertThat(framed.cols()).isEqualTo(1590);
        assertThat(framed.rows()).isEqualTo(1060);
        assertThat(off(framed, sensor(), 28, 6, 1590, 1060)).isLessThan(0.02);
    }

    @Test
    void aCameraThatFramesWideGivesThatPartInItsOwnPixels() {
        Mat framed = framed(sensor(), camera(0, 94, 1640, 922, 820, 461), new PixelSize(820, 461));
        assertThat(framed.cols()).isEqualTo(820);
        assertThat(off(framed, sensor(), 0, 94, 1640, 922)).isLessThan(0.02);
    }

    @Test
    void picturesThatHaveNothingInCommonGiveTheMiddle() {
        Mat plain = new Mat(400, 600, opencv_core.CV_8UC3, new org.bytedeco.opencv.opencv_core.Scalar(90, 90, 90, 0));
        Mat framed = framed(sensor(), plain, new PixelSize(1600, 1070));
        assertThat(off(framed, sensor(), 20, 20, 1600, 1070)).isLessThan(0.01);
    }

    @Test
    void aPictureOfTheSizeWantedStaysAsItIs() {
        Mat sensor = sensor();
        assertThat(framed(sensor, camera(0, 0, WIDTH, HEIGHT, 800, 541), new PixelSize(WIDTH, HEIGHT)))
                .isSameAs(sensor);
    }

    @ParameterizedTest
    @CsvSource({"0, true", "1, false", "1, true", "2, false", "2, true", "3, false", "3, true"})
    void aPictureTurnedOrMirroredInItsPixelsTurnsTheSensors(int quarters, boolean isMirrored) {
        Mat camera = camera(20, 10, 1590, 1060, 1200, 800);
        if (isMirrored) {
            opencv_core.flip(camera, camera, 1);
        }
        if (quarters > 0) {
            opencv_core.rotate(camera, camera, quarters - 1);
        }
        PixelSize upright = new PixelSize(1590, 1060);
        PixelSize size = quarters % 2 == 0 ? upright : upright.swapped();
        Mat framed = framed(sensor(), camera, size);
        assertThat(new PixelSize(framed.cols(), framed.rows())).isEqualTo(size);
        Mat back = new Mat();
        framed.copyTo(back);
        for (int i = quarters; i > 0 && i < 4; i++) {
            opencv_core.rotate(back, back, 0);
        }
        if (isMirrored) {
            opencv_core.flip(back, back, 1);
        }
        assertThat(off(back, sensor(), 20, 10, 1590, 1060)).isLessThan(0.02);
    }

    @Test
    void aPictureCroppedInItsPixelsIsFoundAtItsPlace() {
        Mat framed = framed(sensor(), camera(700, 300, 820, 540, 820, 540), new PixelSize(820, 540));
        assertThat(off(framed, sensor(), 700, 300, 820, 540)).isLessThan(0.01);
    }

    @Test
    void picturesOfSomethingElseAreToldApartAndPlainOnesCannotBe() {
        Mat other = new Mat(800, 1200, opencv_core.CV_8UC3, new org.bytedeco.opencv.opencv_core.Scalar(90, 90, 90, 0));
        for (int i = 0; i < 40; i++) {
            opencv_imgproc.rectangle(
                    other,
                    new Rect(i * 331 % 1100, i * 197 % 700, 90, 70),
                    new org.bytedeco.opencv.opencv_core.Scalar(i * 6, 255 - i * 6, 40, 0),
                    -1,
                    8,
                    0);
        }
        PixelSize size = new PixelSize(1590, 1060);
        assertThat(RawFraming.of(sensor(), other, size).isLike()).isFalse();
        assertThat(RawFraming.of(sensor(), camera(28, 6, 1590, 1060, 1200, 800), size)
                        .isLike())
                .isTrue();
        Mat plain = new Mat(800, 1200, opencv_core.CV_8UC3, new org.bytedeco.opencv.opencv_core.Scalar(90, 90, 90, 0));
        assertThat(RawFraming.of(sensor(), plain, size).isLike()).isTrue();
    }
}
