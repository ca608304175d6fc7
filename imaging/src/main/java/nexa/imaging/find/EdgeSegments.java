package nexa.imaging.find;

import java.nio.FloatBuffer;
import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;
import org.bytedeco.opencv.opencv_imgproc.LineSegmentDetector;

/**
 * Straight edges of a grey picture, as they are first seen, by OpenCV's line segment detector. Edge drawing would be faster, but
 * brings OpenCV's own windows with it, whose toolkit cannot be in one program with that of JavaFX.
 */
final class EdgeSegments {
    private static final int LONG_SIDE = 800;
    private static final double BLUR = 0.9;
    private static final double QUANTIZATION = 2;
    private static final double ANGLE_TOLERANCE = 22.5;
    private static final double DENSITY = 0.7;
    private static final int BINS = 1024;

    private EdgeSegments() {}

    /** The segments, in the picture's pixels, a pixel's middle being at one half. */
    static List<Segment> of(Mat grey) {
        double factor = Math.min(1, LONG_SIDE / (double) Math.max(grey.cols(), grey.rows()));
        try (Mat small = new Mat();
                Size size = new Size((int) Math.max(1, Math.round(grey.cols() * factor)), (int)
                        Math.max(1, Math.round(grey.rows() * factor)));
                Size any = new Size(0, 0)) {
            opencv_imgproc.resize(grey, small, size, 0, 0, opencv_imgproc.INTER_AREA);
            opencv_imgproc.GaussianBlur(small, small, any, BLUR);
            return segments(small, (double) grey.cols() / small.cols(), (double) grey.rows() / small.rows());
        }
    }

    private static List<Segment> segments(Mat grey, double across, double down) {
        try (LineSegmentDetector detector = opencv_imgproc.createLineSegmentDetector(
                        opencv_imgproc.LSD_REFINE_STD, 1, 0.6, QUANTIZATION, ANGLE_TOLERANCE, 0, DENSITY, BINS);
                Mat found = new Mat()) {
            detector.detect(grey, found);
            List<Segment> segments = new ArrayList<>();
            if (found.empty()) {
                return segments;
            }
            float[] ends = new float[4 * found.rows()];
            ((FloatBuffer) found.createBuffer()).get(ends);
            for (int i = 0; i < ends.length; i += 4) {
                segments.add(new Segment(
                        new Point((ends[i] + 0.5) * across, (ends[i + 1] + 0.5) * down),
                        new Point((ends[i + 2] + 0.5) * across, (ends[i + 3] + 0.5) * down)));
            }
            return segments;
        }
    }
}
