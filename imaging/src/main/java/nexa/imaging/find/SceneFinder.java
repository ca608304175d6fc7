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
import nexa.core.shape.PhotoSpace;
import nexa.core.shoot.Subject;
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
        PhotoSpace space = PhotoSpace.of(new Size(bgr.cols(), bgr.rows()));
        List<Bounds> faces = FaceFinder.of(bgr);
        SalientMap map = Salience.of(bgr, isUnwanted);
        if (isUnwanted.getAsBoolean()) {
            return Optional.empty();
        }
        Optional<Scene.Thing> thing = faces.isEmpty() ? thing(map, space) : Optional.of(thing(faces, space));
        Bounds all = new Bounds(Point.ORIGIN, space.toPlane(new Point(1, 1)));
        return Optional.of(new Scene(map, all, thing, edges(bgr)));
    }

    private static Scene.Thing thing(List<Bounds> faces, PhotoSpace space) {
        FoundSubject found = SubjectClaim.of(faces, space.photo());
        Subject subject = found.subject().orElseThrow();
        return Scene.Thing.around(subject.in(space), subject.radiusIn(space).orElseThrow(), found.confidence());
    }

    private static Optional<Scene.Thing> thing(SalientMap map, PhotoSpace space) {
        Optional<SalientRegion> region = SalientRegions.heaviest(map);
        FoundSubject found = SubjectClaim.of(region);
        if (region.isEmpty() || found.confidence() < LEAST) {
            return Optional.empty();
        }
        double confidence = found.isSomething() ? found.confidence() : 0.35 * found.confidence() + 0.1;
        Bounds box = region.get().box();
        return Optional.of(new Scene.Thing(
                space.toPlane(region.get().middle()),
                new Bounds(space.toPlane(box.least()), space.toPlane(box.most())),
                confidence));
    }

    private static List<Segment> edges(Mat bgr) {
        try (Mat grey = new Mat()) {
            opencv_imgproc.cvtColor(bgr, grey, opencv_imgproc.COLOR_BGR2GRAY);
            return StraightEdges.of(grey).stream().map(EdgeLine::segment).toList();
        }
    }
}
