package nexa.imaging.raw;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import nexa.core.format.PixelSize;
import nexa.imaging.render.ClosedOnThrow;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * How a sensor's picture and the camera's own picture of the same photo lie over one another. Most cameras leave out a few
 * pixels at the edges, some frame as they were told, while the sensor keeps everything; and a picture may have been turned,
 * mirrored or cropped in its pixels since, or be of something else.
 */
public final class RawFraming {
    /** How long pictures are that are compared to tell what lies where. */
    private static final int COMPARED = 1200;
    /** How long they are to tell whether they show the same at all, and which way up. */
    private static final int SEEN = 256;
    /** So long is the sensor's picture that this is told by. */
    private static final int MOST_SEEN = 1600;
    /** A camera leaves out less of the edges than this, unless it frames otherwise. */
    private static final double EDGES = 0.9;
    /** Below this, the middle is as good as any place. */
    private static final float ALIKE = 0.4f;
    /** Below this, two pictures do not show the same. */
    private static final float LIKE = 0.6f;
    /** A turn, or another scale, has to be better by this: what is the same seen either way is not turned. */
    private static final float BETTER = 0.02f;
    /** Levels of 255. */
    private static final double PLAIN = 2;

    private static final int QUARTERS = 4;

    private final Turn turn;
    private final double scale;
    private final float alike;

    private RawFraming(Turn turn, double scale, float alike) {
        this.turn = turn;
        this.scale = scale;
        this.alike = alike;
    }

    /** How a picture is turned: mirrored left to right first, then by quarters clockwise. */
    private record Turn(boolean isMirrored, int quarters) {
        static final Turn NONE = new Turn(false, 0);

        static Stream<Turn> all() {
            return Stream.of(false, true)
                    .flatMap(mirrored ->
                            IntStream.range(0, QUARTERS).mapToObj(quarters -> new Turn(mirrored, quarters)));
        }

        void apply(Mat pixels) {
            if (isMirrored) {
                opencv_core.flip(pixels, pixels, 1);
            }
            if (quarters > 0) {
                opencv_core.rotate(pixels, pixels, quarters - 1);
            }
        }
    }

    /**
     * A part of a picture, and how much what it shows is like the other one, up to 1.
     *
     * @param scale its pixels for each of the photo's
     */
    private record Part(double left, double top, double scale, float alike) {}

    /**
     * How two pictures of a photo lie over one another, over all turns and their mirrors.
     *
     * @param sensor BGR of 16 bits, light as it is, upright
     * @param framed BGR of 8 bits in sRGB, upright
     * @param size of the photo in the sensor's pixels, in the ratio of the one framed
     */
    public static RawFraming of(Mat sensor, Mat framed, PixelSize size) {
        double small = Math.min(1, (double) SEEN / Math.max(size.width(), size.height()));
        double shrunk = Math.min(1, (double) MOST_SEEN / Math.max(sensor.cols(), sensor.rows()));
        try (Mat sought = new Mat();
                Mat seen = new Mat()) {
            grey(framed, sought, size.width() * small, size.height() * small);
            if (isPlain(sought)) {
                return new RawFraming(Turn.NONE, largest(sensor, size), 1);
            }
            grey(sensor, seen, sensor.cols() * shrunk, sensor.rows() * shrunk);
            return Turn.all()
                    .flatMap(turn -> seen(seen, sought, turn, size, shrunk, small))
                    .reduce((best, next) -> next.alike > best.alike + BETTER ? next : best)
                    .orElseThrow();
        }
    }

    /** With a turn, at all scales that the photo may have. */
    private static Stream<RawFraming> seen(
            Mat seen, Mat sought, Turn turn, PixelSize size, double shrunk, double small) {
        try (Mat turned = seen.clone()) {
            turn.apply(turned);
            double largest = largest(turned, size) / shrunk;
            // All of it, or its own pixels cropped.
            List<Double> scales = largest > 1 ? List.of(largest, 1.0) : List.of(largest);
            return scales.stream()
                    .map(scale -> new RawFraming(turn, scale, alike(turned, sought, small / scale / shrunk)))
                    .toList()
                    .stream();
        }
    }

    /** How much the most like part of a picture, brought to a scale, is like another one. */
    private static float alike(Mat grey, Mat sought, double scale) {
        try (Mat seen = new Mat();
                Mat alike = new Mat();
                DoublePointer most = new DoublePointer(1);
                Size size = new Size((int) Math.max(sought.cols(), Math.round(grey.cols() * scale)), (int)
                        Math.max(sought.rows(), Math.round(grey.rows() * scale)))) {
            opencv_imgproc.resize(grey, seen, size, 0, 0, opencv_imgproc.INTER_AREA);
            opencv_imgproc.matchTemplate(seen, sought, alike, opencv_imgproc.TM_CCOEFF_NORMED);
            opencv_core.minMaxLoc(alike, null, most, null, null, null);
            return (float) most.get();
        }
    }

    /** Whether the two show the same; what is plain looks like anything. */
    public boolean isLike() {
        return alike >= LIKE;
    }

    /**
     * Brings the sensor's picture to what the other one frames, and to a size.
     *
     * @param sensor as in {@link #of}; closed if it is not what comes back
     * @param framed as in {@link #of}
     * @param size of the photo
     */
    public Mat framed(Mat sensor, Mat framed, PixelSize size) {
        turn.apply(sensor);
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
        Mat cut = ClosedOnThrow.filled(new Mat(), result -> {
            try (Rect place = new Rect(left, top, width, height);
                    Mat seen = new Mat(sensor, place);
                    Size wanted = new Size(size.width(), size.height())) {
                int how = width > size.width() ? opencv_imgproc.INTER_AREA : opencv_imgproc.INTER_CUBIC;
                opencv_imgproc.resize(seen, result, wanted, 0, 0, how);
            }
        });
        sensor.close();
        return cut;
    }

    private Part part(Mat sensor, Mat framed, PixelSize size) {
        double largest = largest(sensor, size);
        boolean isAboutTheSame = largest >= 1 && largest < 1 / EDGES;
        List<Double> scales = isAboutTheSame ? List.of(1.0, largest) : List.of(scale == 1 ? 1 : largest);
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
