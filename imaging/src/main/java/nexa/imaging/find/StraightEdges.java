package nexa.imaging.find;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.find.EdgeLine;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import org.bytedeco.opencv.opencv_core.Mat;

/** The straight edges of a picture that may be level or upright, to a fraction of a pixel. */
final class StraightEdges {
    private static final int MOST = 400;
    /** Shorter ones say too little, in diagonals of the picture. */
    private static final double SHORTEST = 0.022;
    /** Nearer to the picture's border, in pixels, lies what is the border's. */
    private static final double BORDER = 6.5;

    private StraightEdges() {}

    static List<EdgeLine> of(Mat grey) {
        SegmentRefit refit = new SegmentRefit(Gradient.of(grey));
        double shortest = SHORTEST * Math.hypot(grey.cols(), grey.rows());
        return EdgeSegments.of(grey).stream()
                .filter(segment -> segment.length() >= shortest
                        && EdgeLine.isOfUse(segment)
                        && isInside(segment, grey.cols(), grey.rows()))
                .sorted(Comparator.comparingDouble(segment -> -segment.length()))
                .limit(MOST)
                .map(refit::of)
                .flatMap(Optional::stream)
                .filter(line -> line.rms() < EdgeLine.STRAIGHT)
                .toList();
    }

    private static boolean isInside(Segment segment, int width, int height) {
        Point middle = segment.from().plus(segment.to()).times(0.5);
        return middle.x() > BORDER
                && middle.x() < width - BORDER
                && middle.y() > BORDER
                && middle.y() < height - BORDER;
    }
}
