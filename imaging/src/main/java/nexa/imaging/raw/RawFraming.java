package nexa.imaging.raw;

import java.util.List;
import nexa.core.format.PixelSize;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Which part of a sensor's picture the camera's own picture shows. Most cameras leave out a few pixels at the edges, and some
 * frame as they were told, while the sensor keeps everything.
 */
public final class RawFraming {
    /** How long pictures are that are compared with each other. */
    private static final int COMPARED = 1200;
    /** A camera leaves out less of the edges than this, unless it frames otherwise. */
    private static final double EDGES = 0.9;
    /** Below this, two pictures have nothing in common, and the middle is as good as any place. */
    private static final float ALIKE = 0.4f;
    /** Levels of 255. */
    private static final double PLAIN = 2;

    private RawFraming() {}

    /**
     * A part of a picture, and how much what it shows is like the other one, up to 1.
     *
     * @param scale its pixels for each of the photo's
     */
    private record Part(double left, double top, double scale, float alike) {}

    /**
     * Brings a sensor's picture to what another one of the same photo frames, and to a size.
     *
     * @param sensor BGR of 16 bits, light as it is, upright; closed if it is not what comes back
     * @param framed BGR of 8 bits in sRGB, upright
     * @param size of the photo, in the ratio of the one framed
     */
    public static Mat framed(Mat sensor, Mat framed, PixelSize size) {
        return isOf(size, sensor) ? sensor : cut(sensor, part(sensor, framed, size), size);
    }

    /** As {@link #framed}, the middle of it, where there is no other picture. */
    public static Mat middle(Mat sensor, PixelSize size) {
        return isOf(size, sensor) ? sensor : cut(sensor, middle(sensor, size, largest(sensor, size), 1), size);
    }

    private static boolean isOf(PixelSize size, Mat sensor) {
        return sensor.cols() == size.width() && sensor.rows() == size.height();
    }

    private static Mat cut(Mat sensor, Part part, PixelSize size) {
        int width = (int) Math.min(sensor.cols(), Math.max(1, Math.round(part.scale * size.width())));
        int height = (int) Math.min(sensor.rows(), Math.max(1, Math.round(part.scale * size.height())));
        int left = (int) Math.max(0, Math.min(sensor.cols() - width, Math.round(part.left)));
        int top = (int) Math.max(0, Math.min(sensor.rows() - height, Math.round(part.top)));
        Mat result = new Mat();
        try (Rect place = new Rect(left, top, width, height);
                Mat seen = new Mat(sensor, place);
                Size wanted = new Size(size.width(), size.height())) {
            int how = width > size.width() ? opencv_imgproc.INTER_AREA : opencv_imgproc.INTER_CUBIC;
            opencv_imgproc.resize(seen, result, wanted, 0, 0, how);
        }
        sensor.close();
        return result;
    }

    private static Part part(Mat sensor, Mat framed, PixelSize size) {
        double largest = largest(sensor, size);
        boolean isAboutTheSame = largest >= 1 && largest < 1 / EDGES;
        List<Double> scales = isAboutTheSame ? List.of(1.0, largest) : List.of(largest);
        Part best = scales.stream()
                .map(scale -> placed(sensor, framed, size, scale))
                .reduce((one, other) -> other.alike > one.alike ? other : one)
                .orElseThrow();
        return best.alike >= ALIKE ? best : middle(sensor, size, best.scale, best.alike);
    }

    private static double largest(Mat sensor, PixelSize size) {
        return Math.min((double) sensor.cols() / size.width(), (double) sensor.rows() / size.height());
    }

    private static Part middle(Mat sensor, PixelSize size, double scale, float alike) {
        double left = (sensor.cols() - scale * size.width()) / 2;
        double top = (sensor.rows() - scale * size.height()) / 2;
        return new Part(left, top, scale, alike);
    }

    /** Where the framed picture lies in the sensor's, if so many of that one's pixels are one of the photo's. */
    private static Part placed(Mat sensor, Mat framed, PixelSize size, double scale) {
        double small = Math.min(1, (double) COMPARED / Math.max(size.width(), size.height()));
        try (Mat seen = new Mat();
                Mat sought = new Mat();
                Mat alike = new Mat();
                Point at = new Point();
                DoublePointer most = new DoublePointer(1)) {
            grey(sensor, seen, sensor.cols() * small / scale, sensor.rows() * small / scale);
            grey(
                    framed,
                    sought,
                    Math.min(seen.cols(), size.width() * small),
                    Math.min(seen.rows(), size.height() * small));
            if (isPlain(sought)) {
                return middle(sensor, size, scale, 0);
            }
            opencv_imgproc.matchTemplate(seen, sought, alike, opencv_imgproc.TM_CCOEFF_NORMED);
            opencv_core.minMaxLoc(alike, null, most, null, at, null);
            return new Part(at.x() * scale / small, at.y() * scale / small, scale, (float) most.get());
        }
    }

    /** A plain picture looks like any other. */
    private static boolean isPlain(Mat grey) {
        try (Mat mean = new Mat();
                Mat spread = new Mat()) {
            opencv_core.meanStdDev(grey, mean, spread);
            return spread.createIndexer() instanceof DoubleIndexer values && values.get(0) < PLAIN;
        }
    }

    /** Grey, of 8 bits and about as the eye sees it, where numbers tell light as it is. */
    private static void grey(Mat from, Mat to, double width, double height) {
        try (Size size = new Size((int) Math.max(1, Math.round(width)), (int) Math.max(1, Math.round(height)));
                Mat small = new Mat();
                Mat root = new Mat()) {
            opencv_imgproc.resize(from, small, size, 0, 0, opencv_imgproc.INTER_AREA);
            opencv_imgproc.cvtColor(small, to, opencv_imgproc.COLOR_BGR2GRAY);
            if (to.depth() == opencv_core.CV_16U) {
                to.convertTo(root, opencv_core.CV_32F, 1.0 / 65_535, 0);
                opencv_core.sqrt(root, root);
                root.convertTo(to, opencv_core.CV_8U, 255, 0);
            }
        }
    }
}
