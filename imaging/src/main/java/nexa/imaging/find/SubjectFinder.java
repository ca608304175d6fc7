package nexa.imaging.find;

import java.util.Optional;
import java.util.function.BooleanSupplier;
import nexa.core.find.FoundSubject;
import nexa.core.find.SubjectClaim;
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
        return find(bgr, TrainedModels.OWN, isUnwanted);
    }

    static Optional<FoundSubject> find(Mat bgr, TrainedModels models, BooleanSupplier isUnwanted) {
        PictureSight sight = new PictureSight(bgr, models, isUnwanted);
        FoundSubject found = SubjectClaim.of(sight).found();
        return sight.isUnwanted() ? Optional.empty() : Optional.of(found);
    }
}
