package nexa.desktop.sheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.Ask;
import nexa.core.message.EnumName;
import nexa.core.series.AskCheck;
import nexa.core.series.CropTable;
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
        NOT_AS_ASKED,
        OUT_OF_STEP,
        LIMITED,
        ASK_NOT_KNOWN,
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
     * A reason; of what is asked, each thing is one by itself.
     *
     * @param asked what is not as asked, if it is that
     * @param unknown why it is not known, if it is that
     */
    record Why(Reason reason, Optional<Ask> asked, Optional<AskCheck.Outcome> unknown) {
        static Why of(Reason reason) {
            return new Why(reason, Optional.empty(), Optional.empty());
        }

        static Why of(AskCheck check) {
            return check.outcome().isKnown()
                    ? new Why(Reason.NOT_AS_ASKED, Optional.of(check.ask()), Optional.empty())
                    : new Why(Reason.ASK_NOT_KNOWN, Optional.empty(), Optional.of(check.outcome()));
        }

        /** Its name among all of them. */
        String id() {
            return EnumName.of(reason)
                    + asked.map(ask -> "-" + EnumName.of(ask)).orElse("")
                    + unknown.map(outcome -> "-" + EnumName.of(outcome)).orElse("");
        }
    }

    /**
     * A photo with a reason.
     *
     * @param check how it meets what is asked, if that is the reason
     */
    record Entry(String file, Optional<AskCheck> check) {}

    /**
     * The photos with one reason.
     *
     * @param entries in the shoot's order
     */
    record Group(Why why, List<Entry> entries) {
        Reason reason() {
            return why.reason();
        }

        List<String> files() {
            return entries.stream().map(Entry::file).toList();
        }
    }

    static LooksByReason of(WorkedOut known) {
        ShootNow now = known.now();
        Map<Why, List<Entry>> files = new HashMap<>();
        for (Photo photo : now.photos()) {
            if (now.hasProblem(photo)) {
                Reason reason = now.reading().leavesNothing(photo) ? Reason.NOTHING_LEFT : Reason.UNREADABLE;
                add(files, Why.of(reason), new Entry(photo.file(), Optional.empty()));
            } else if (photo.mark() != Mark.OUT) {
                known.crops().find(photo.file()).ifPresent(row -> add(files, row));
            }
        }
        return new LooksByReason(files.entrySet().stream()
                .map(group -> new Group(group.getKey(), List.copyOf(group.getValue())))
                .sorted(Comparator.comparing(Group::reason)
                        .thenComparing(
                                group -> group.why().asked().map(Enum::ordinal).orElse(0))
                        .thenComparing(group ->
                                group.why().unknown().map(Enum::ordinal).orElse(0)))
                .toList());
    }

    private static void add(Map<Why, List<Entry>> files, CropTable.Row row) {
        for (NeedsLook look : row.looks()) {
            if (!look.isOfAsks()) {
                add(files, Why.of(Reason.of(look)), new Entry(row.file(), Optional.empty()));
            }
        }
        Set<Why> told = new HashSet<>();
        for (AskCheck check : row.asked()) {
            // A subject that is not known is so whatever is asked of it.
            if (check.outcome() != AskCheck.Outcome.MET && told.add(Why.of(check))) {
                add(files, Why.of(check), new Entry(row.file(), Optional.of(check)));
            }
        }
    }

    private static void add(Map<Why, List<Entry>> files, Why why, Entry entry) {
        files.computeIfAbsent(why, none -> new ArrayList<>()).add(entry);
    }

    /**
     * How many things need a look: photos, but too few pixels are the format's matter, and count once; what is not known is counted
     * apart.
     */
    long count() {
        boolean hasTooFew = groups.stream().anyMatch(group -> group.reason() == Reason.TOO_FEW_PIXELS);
        long photos = groups.stream()
                .filter(group -> group.reason() != Reason.TOO_FEW_PIXELS && group.reason() != Reason.ASK_NOT_KNOWN)
                .flatMap(group -> group.files().stream())
                .distinct()
                .count();
        return photos + (hasTooFew ? 1 : 0);
    }
}
