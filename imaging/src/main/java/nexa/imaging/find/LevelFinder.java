package nexa.imaging.find;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import nexa.core.find.EdgeLine;
import nexa.core.find.FoundLevel;
import nexa.core.find.LevelAsking;
import nexa.core.find.LevelClaim;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point2f;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/** Finds how far a picture is off level. It is asked as it is and turned by odd angles; see {@link LevelClaim}. */
public final class LevelFinder {
    /** Pictures are looked at with a long side of so many pixels; larger ones are made smaller before. */
    public static final int LONG_SIDE = 1600;

    /** What is not looked at when asked again, as a share of the picture. */
    private static final double CUT = 0.25;

    private final Mat picture;
    private final BooleanSupplier isUnwanted;

    private LevelFinder(Mat picture, BooleanSupplier isUnwanted) {
        this.picture = picture;
        this.isUnwanted = isUnwanted;
    }

    /**
     * Finds it.
     *
     * @param bgr as seen, 8 bits, three colours, its long side at most {@link #LONG_SIDE}
     * @param isUnwanted asked between all stages: once it is, none begins any more
     * @return with the lines in the picture's pixels; empty if it is unwanted
     */
    public static Optional<FoundLevel> find(Mat bgr, BooleanSupplier isUnwanted) {
        return new LevelFinder(bgr, isUnwanted).level();
    }

    private Optional<FoundLevel> level() {
        List<LevelAsking> askings = new ArrayList<>();
        while (LevelClaim.needsAsking(askings)) {
            Optional<LevelAsking> asking = asked(LevelClaim.TURNS.get(askings.size()));
            if (asking.isEmpty()) {
                return Optional.empty();
            }
            askings.add(asking.get());
        }
        return Optional.of(LevelClaim.of(askings));
    }

    private Optional<LevelAsking> asked(double degrees) {
        if (isUnwanted.getAsBoolean()) {
            return Optional.empty();
        }
        if (degrees == 0) {
            return asked(picture, edge -> true);
        }
        try (Mat turned = turned(degrees)) {
            return asked(turned, isSeen(degrees, turned)).map(asking -> asking.turned(-degrees, back(degrees, turned)));
        }
    }

    /** Each time one side of the picture is not looked at, as if the photo had been taken or cut a little differently. */
    private static Predicate<EdgeLine> isSeen(double degrees, Mat bgr) {
        double left = CUT * bgr.cols();
        double top = CUT * bgr.rows();
        return edge -> {
            Point middle = edge.segment().from().plus(edge.segment().to()).times(0.5);
            return switch (LevelClaim.TURNS.indexOf(degrees)) {
                case 1 -> middle.x() > left;
                case 2 -> middle.x() < bgr.cols() - left;
                case 3 -> middle.y() > top;
                default -> middle.y() < bgr.rows() - top;
            };
        };
    }

    private Optional<LevelAsking> asked(Mat bgr, Predicate<EdgeLine> isSeen) {
        List<EdgeLine> edges;
        try (Mat grey = new Mat()) {
            opencv_imgproc.cvtColor(bgr, grey, opencv_imgproc.COLOR_BGR2GRAY);
            edges = StraightEdges.of(grey);
        }
        if (isUnwanted.getAsBoolean()) {
            return Optional.empty();
        }
        LevelAsking asking = LevelAsking.of(
                new nexa.core.geometry.Size(bgr.cols(), bgr.rows()),
                edges,
                isSeen,
                () -> HorizonFinder.of(bgr, isUnwanted));
        return isUnwanted.getAsBoolean() ? Optional.empty() : Optional.of(asking);
    }

    /** The picture turned clockwise, and cut to what it fills. */
    private Mat turned(double degrees) {
        double width = picture.cols();
        double height = picture.rows();
        double sin = Math.sin(Math.toRadians(Math.abs(degrees)));
        double cos = Math.cos(Math.toRadians(degrees));
        double factor = Math.min(width / (width * cos + height * sin), height / (width * sin + height * cos));
        int inner = (int) Math.max(1, width * factor - 2);
        int upper = (int) Math.max(1, height * factor - 2);
        try (Point2f middle = new Point2f((float) (width - 1) / 2, (float) (height - 1) / 2);
                Mat rotation = opencv_imgproc.getRotationMatrix2D(middle, -degrees, 1);
                DoubleIndexer matrix = rotation.createIndexer();
                Size size = new Size(inner, upper);
                Scalar none = new Scalar(0)) {
            matrix.put(0, 2, matrix.get(0, 2) - (picture.cols() - inner) / 2);
            matrix.put(1, 2, matrix.get(1, 2) - (picture.rows() - upper) / 2);
            Mat turned = new Mat();
            opencv_imgproc.warpAffine(
                    picture, turned, rotation, size, opencv_imgproc.INTER_LINEAR, opencv_core.BORDER_REPLICATE, none);
            return turned;
        }
    }

    /** Where a segment of the turned picture lies in the picture. */
    private UnaryOperator<Segment> back(double degrees, Mat turned) {
        Angle angle = new Angle(degrees);
        Point corner = new Point((picture.cols() - turned.cols()) / 2, (picture.rows() - turned.rows()) / 2);
        Point middle = new Point(picture.cols() / 2.0, picture.rows() / 2.0);
        UnaryOperator<Point> place =
                point -> angle.toPhoto(point.plus(corner).minus(middle)).plus(middle);
        return segment -> new Segment(place.apply(segment.from()), place.apply(segment.to()));
    }
}
