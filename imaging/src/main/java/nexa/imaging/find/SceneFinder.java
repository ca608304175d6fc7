package nexa.imaging.find;

import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import nexa.core.find.EdgeLine;
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
        PictureSight sight = new PictureSight(bgr, TrainedModels.OWN, isUnwanted);
        SubjectClaim claim = SubjectClaim.of(sight);
        Optional<Scene.Thing> thing =
                claim.found().subject().isPresent() ? Optional.of(thing(claim, space)) : doubtful(claim, sight, space);
        Scene scene =
                new Scene(sight.map(), new Bounds(Point.ORIGIN, space.toPlane(new Point(1, 1))), thing, edges(bgr));
        return isUnwanted.getAsBoolean() ? Optional.empty() : Optional.of(scene);
    }

    private static Scene.Thing thing(SubjectClaim claim, PhotoSpace space) {
        Subject subject = claim.found().subject().orElseThrow();
        return Scene.Thing.of(subject, space, claim.found().confidence())
                .withHeads(claim.faces().stream()
                        .map(face -> new Bounds(space.toPlane(face.least()), space.toPlane(face.most())))
                        .toList());
    }

    /** What stands out, but not enough to be claimed. */
    private static Optional<Scene.Thing> doubtful(SubjectClaim claim, PictureSight sight, PhotoSpace space) {
        double confidence = claim.found().confidence();
        return sight.salient()
                .filter(region -> confidence >= LEAST)
                .map(region -> Scene.Thing.of(
                        Subject.around(region.middle(), region.box(), space.photo()), space, 0.35 * confidence + 0.1));
    }

    private static List<Segment> edges(Mat bgr) {
        try (Mat grey = new Mat()) {
            opencv_imgproc.cvtColor(bgr, grey, opencv_imgproc.COLOR_BGR2GRAY);
            return StraightEdges.of(grey).stream().map(EdgeLine::segment).toList();
        }
    }
}
