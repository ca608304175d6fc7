package nexa.core.propose;

import java.util.Optional;
import nexa.core.guide.GuideKind;

/** What speaks for a proposal. */
public enum Reason {
    SUBJECT_LEFT_THIRD(GuideKind.THIRDS),
    SUBJECT_RIGHT_THIRD(GuideKind.THIRDS),
    SUBJECT_LEFT_SECTION(GuideKind.GOLDEN),
    SUBJECT_RIGHT_SECTION(GuideKind.GOLDEN),
    SUBJECT_UPPER_THIRD(GuideKind.THIRDS),
    SUBJECT_LOWER_THIRD(GuideKind.THIRDS),
    EYES_UPPER_THIRD(GuideKind.THIRDS),
    EYES_UPPER_SECTION(GuideKind.GOLDEN),
    EDGE_UPPER_THIRD(GuideKind.THIRDS),
    EDGE_LOWER_THIRD(GuideKind.THIRDS),
    EDGE_UPPER_SECTION(GuideKind.GOLDEN),
    EDGE_LOWER_SECTION(GuideKind.GOLDEN),
    /** The crop is so tight that the subject fills more of it. */
    CLOSE(null),
    /** No larger crop fits. */
    MOST_OF_PHOTO(null),
    /** All of the subject is inside, with room around it. */
    ROOM_AROUND(null),
    /** All that stands out is inside, and no side of the crop runs through any of it. */
    NOTHING_CUT(null),
    SUBJECT_MIDDLE(GuideKind.CENTRE);

    private final GuideKind guide;

    Reason(GuideKind guide) {
        this.guide = guide;
    }

    /** The guide it names, if it names one. */
    public Optional<GuideKind> guide() {
        return Optional.ofNullable(guide);
    }

    static Reason subjectAcross(boolean isLeft, boolean isThird) {
        if (isThird) {
            return isLeft ? SUBJECT_LEFT_THIRD : SUBJECT_RIGHT_THIRD;
        }
        return isLeft ? SUBJECT_LEFT_SECTION : SUBJECT_RIGHT_SECTION;
    }

    static Reason edge(boolean isUpper, boolean isThird) {
        if (isThird) {
            return isUpper ? EDGE_UPPER_THIRD : EDGE_LOWER_THIRD;
        }
        return isUpper ? EDGE_UPPER_SECTION : EDGE_LOWER_SECTION;
    }
}
