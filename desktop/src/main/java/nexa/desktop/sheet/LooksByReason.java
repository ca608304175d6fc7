package nexa.desktop.sheet;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import nexa.core.series.NeedsLook;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.desktop.session.ShootNow;
import nexa.desktop.session.WorkedOut;

/**
 * The photos that need a look in the format worked in, reason by reason.
 *
 * @param groups the gravest first, none without photos
 */
record LooksByReason(List<Group> groups) {

    /** Why, the gravest first. */
    enum Reason {
        UNREADABLE,
        NOTHING_LEFT,
        SUBJECT_CUT,
        TOO_FEW_PIXELS,
        FILL_SHOWS,
        OUT_OF_STEP,
        LIMITED,
        NOT_LOOKED_AT;

        /** Whether photos with it cannot be worked on. */
        boolean isProblem() {
            return this == UNREADABLE || this == NOTHING_LEFT;
        }

        private static Reason of(NeedsLook look) {
            return valueOf(look.name());
        }
    }

    /**
     * The photos with one reason.
     *
     * @param files in the shoot's order
     */
    record Group(Reason reason, List<String> files) {}

    static LooksByReason of(WorkedOut known) {
        ShootNow now = known.now();
        Map<Reason, List<String>> files = new EnumMap<>(Reason.class);
        for (Photo photo : now.photos()) {
            if (now.hasProblem(photo)) {
                add(files, now.reading().leavesNothing(photo) ? Reason.NOTHING_LEFT : Reason.UNREADABLE, photo);
            } else if (photo.mark() != Mark.OUT) {
                known.crops()
                        .find(photo.file())
                        .ifPresent(row -> row.looks().forEach(look -> add(files, Reason.of(look), photo)));
            }
        }
        return new LooksByReason(files.entrySet().stream()
                .map(group -> new Group(group.getKey(), List.copyOf(group.getValue())))
                .toList());
    }

    private static void add(Map<Reason, List<String>> files, Reason reason, Photo photo) {
        files.computeIfAbsent(reason, none -> new ArrayList<>()).add(photo.file());
    }

    /** How many things need a look: photos, but too few pixels are the format's matter, and count once. */
    long count() {
        boolean hasTooFew = groups.stream().anyMatch(group -> group.reason() == Reason.TOO_FEW_PIXELS);
        long photos = groups.stream()
                .filter(group -> group.reason() != Reason.TOO_FEW_PIXELS)
                .flatMap(group -> group.files().stream())
                .distinct()
                .count();
        return photos + (hasTooFew ? 1 : 0);
    }
}
