package nexa.imaging.find;

import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import nexa.core.find.EdgeLine;
import nexa.core.find.FoundSubject;
import nexa.core.find.SalientMap;
import nexa.core.find.SalientRegion;
import nexa.core.find.SubjectClaim;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.propose.Scene;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;

/** Sees what crops are proposed by: what stands out, faces, and long edges. */
final class SceneFinder {
    /** What stands out less says nothing of where a crop should be. */
    private static final double LEAST = 0.15;

    private SceneFinder() {}

    /**
     * The scene of a picture, in its pixels.
     *
     * @param bgr as seen, 8 bits, three colours
     * @param isUnwanted asked between stages
     * @return empty if it is unwanted
     */
    static Optional<Scene> of(Mat bgr, BooleanSupplier isUnwanted) {
        Size size = new Size(bgr.cols(), bgr.rows());
        List<Bounds> faces = FaceFinder.of(bgr);
        SalientMap map = Salience.of(bgr, isUnwanted);
        if (isUnwanted.getAsBoolean()) {
            return Optional.empty();
        }
        Optional<Scene.Thing> thing = faces.isEmpty() ? thing(map, size) : Optional.of(thing(faces, size));
        Bounds all = new Bounds(Point.ORIGIN, new Point(size.width(), size.height()));
        return Optional.of(new Scene(map, all, thing, edges(bgr)));
    }

    private static Scene.Thing thing(List<Bounds> faces, Size size) {
        FoundSubject found = SubjectClaim.of(faces, size);
        Point at = inPixels(found.subject().orElseThrow().at(), size);
        double radius = found.subject().orElseThrow().radius().orElseThrow() * size.shortSide();
        Point reach = new Point(radius, radius);
        return new Scene.Thing(at, new Bounds(at.minus(reach), at.plus(reach)), found.confidence());
    }

    private static Optional<Scene.Thing> thing(SalientMap map, Size size) {
        Optional<SalientRegion> region = SalientRegions.heaviest(map);
        FoundSubject found = SubjectClaim.of(region);
        if (region.isEmpty() || found.confidence() < LEAST) {
            return Optional.empty();
        }
        double confidence = found.isSomething() ? found.confidence() : 0.35 * found.confidence() + 0.1;
        Bounds box = region.get().box();
        return Optional.of(new Scene.Thing(
                inPixels(region.get().middle(), size),
                new Bounds(inPixels(box.least(), size), inPixels(box.most(), size)),
                confidence));
    }

    private static Point inPixels(Point fraction, Size size) {
        return new Point(fraction.x() * size.width(), fraction.y() * size.height());
    }

    private static List<Segment> edges(Mat bgr) {
        try (Mat grey = new Mat()) {
            opencv_imgproc.cvtColor(bgr, grey, opencv_imgproc.COLOR_BGR2GRAY);
            return StraightEdges.of(grey).stream().map(EdgeLine::segment).toList();
        }
    }
}
