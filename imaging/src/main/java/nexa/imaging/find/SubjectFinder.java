package nexa.imaging.find;

import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import nexa.core.find.FoundSubject;
import nexa.core.find.SalientMap;
import nexa.core.find.SubjectClaim;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Size;
import org.bytedeco.opencv.opencv_core.Mat;

/** Finds what a picture is about. */
public final class SubjectFinder {
    /** Pictures are looked at with a long side of so many pixels; larger ones are made smaller before. */
    public static final int LONG_SIDE = 960;

    private SubjectFinder() {}

    /**
     * Finds it.
     *
     * @param bgr as seen, 8 bits, three colours
     * @param isUnwanted asked between all stages: once it is, none begins any more
     * @return empty if it is unwanted
     */
    public static Optional<FoundSubject> find(Mat bgr, BooleanSupplier isUnwanted) {
        if (isUnwanted.getAsBoolean()) {
            return Optional.empty();
        }
        List<Bounds> faces = FaceFinder.of(bgr);
        if (!faces.isEmpty()) {
            return Optional.of(SubjectClaim.of(faces, new Size(bgr.cols(), bgr.rows())));
        }
        SalientMap map = Salience.of(bgr, isUnwanted);
        return isUnwanted.getAsBoolean()
                ? Optional.empty()
                : Optional.of(SubjectClaim.of(SalientRegions.heaviest(map)));
    }
}
