package nexa.core.find;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Size;
import nexa.core.shape.PhotoSpace;
import nexa.core.shoot.Subject;

/** Says what a picture is about: its faces, else what stands out. */
public final class SubjectClaim {
    /** What stands out less is not said to be the subject. */
    private static final double LEAST = 0.3;

    private static final double FACES = 0.9;

    /** A head reaches so much further than the face in it. */
    private static final double HEAD = 0.75;

    private SubjectClaim() {}

    /**
     * The subject that faces are.
     *
     * @param faces at least one, in the picture's pixels
     */
    public static FoundSubject of(List<Bounds> faces, Size picture) {
        Bounds all = Bounds.of(faces.stream()
                .flatMap(face -> Stream.of(face.least(), face.most()))
                .toList());
        boolean isOne = faces.size() == 1;
        double radius = isOne
                ? all.extent().x() * HEAD
                : Math.max(all.extent().x(), all.extent().y()) / 2;
        Subject subject = Subject.of(all.middle(), OptionalDouble.of(radius), PhotoSpace.of(picture));
        return new FoundSubject(
                isOne ? FoundSubject.Reason.FACE : FoundSubject.Reason.FACES, Optional.of(subject), FACES);
    }

    /** The subject that what stands out is, if it does so enough. */
    public static FoundSubject of(Optional<SalientRegion> region) {
        if (region.isEmpty()) {
            return new FoundSubject(FoundSubject.Reason.NOTHING_STANDS_OUT, Optional.empty(), 0);
        }
        SalientRegion found = region.get();
        double confidence = found.confidence();
        if (confidence < LEAST) {
            return new FoundSubject(found.doubt(), Optional.empty(), confidence);
        }
        Subject subject =
                new Subject(found.middle(), OptionalDouble.of(Math.max(Subject.SMALLEST, Math.min(1, found.radius()))));
        return new FoundSubject(FoundSubject.Reason.STANDS_OUT, Optional.of(subject), confidence);
    }
}
