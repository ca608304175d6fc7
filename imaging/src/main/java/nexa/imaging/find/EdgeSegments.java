package nexa.imaging.find;

import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import org.bytedeco.javacpp.Loader;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;
import org.bytedeco.opencv.opencv_java;
import org.opencv.core.CvType;
import org.opencv.ximgproc.EdgeDrawing;
import org.opencv.ximgproc.EdgeDrawing_Params;
import org.opencv.ximgproc.Ximgproc;

/** Straight edges of a grey picture, as they are first seen: by edge drawing, which follows edges and fits lines to them. */
final class EdgeSegments {
    private static final int LONG_SIDE = 1000;

    static {
        // The detector is only in OpenCV's own Java classes, which have a library of their own.
        Loader.load(opencv_java.class);
    }

    private EdgeSegments() {}

    /** The segments, in the picture's pixels, a pixel's middle being at one half. */
    static List<Segment> of(Mat grey) {
        double factor = Math.min(1, LONG_SIDE / (double) Math.max(grey.cols(), grey.rows()));
        try (Mat small = new Mat();
                Size size = new Size((int) Math.max(1, Math.round(grey.cols() * factor)), (int)
                        Math.max(1, Math.round(grey.rows() * factor)))) {
            opencv_imgproc.resize(grey, small, size, 0, 0, opencv_imgproc.INTER_AREA);
            return segments(small, (double) grey.cols() / small.cols(), (double) grey.rows() / small.rows());
        }
    }

    private static List<Segment> segments(Mat grey, double across, double down) {
        EdgeDrawing drawing = detector();
        ByteBuffer pixels = grey.createBuffer();
        org.opencv.core.Mat picture =
                new org.opencv.core.Mat(grey.rows(), grey.cols(), CvType.CV_8UC1, pixels, grey.step());
        org.opencv.core.Mat found = new org.opencv.core.Mat();
        try {
            drawing.detectEdges(picture);
            drawing.detectLines(found);
            float[] ends = new float[4 * found.rows()];
            if (ends.length > 0) {
                found.get(0, 0, ends);
            }
            List<Segment> segments = new ArrayList<>();
            for (int i = 0; i < ends.length; i += 4) {
                segments.add(new Segment(
                        new Point((ends[i] + 0.5) * across, (ends[i + 1] + 0.5) * down),
                        new Point((ends[i + 2] + 0.5) * across, (ends[i + 3] + 0.5) * down)));
            }
            return segments;
        } finally {
            found.release();
            picture.release();
        }
    }

    private static EdgeDrawing detector() {
        EdgeDrawing_Params settings = new EdgeDrawing_Params();
        settings.set_Sigma(1.2f);
        settings.set_GradientThresholdValue(16);
        settings.set_AnchorThresholdValue(0);
        settings.set_MinPathLength(10);
        settings.set_MinLineLength(-1);
        settings.set_LineFitErrorThreshold(1);
        settings.set_NFAValidation(true);
        EdgeDrawing drawing = Ximgproc.createEdgeDrawing();
        drawing.setParams(settings);
        return drawing;
    }
}
