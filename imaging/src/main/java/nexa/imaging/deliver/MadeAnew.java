package nexa.imaging.deliver;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import nexa.core.message.Message;

/** Counts the files that were there as they were asked for, made by an earlier version of some step, and were made anew. */
final class MadeAnew {
    private final Set<MakingStep> steps = EnumSet.noneOf(MakingStep.class);
    private int files;

    /**
     * A file was made.
     *
     * @param outdated the steps because of which it was made anew; empty if it was not there before
     */
    synchronized void add(Set<MakingStep> outdated) {
        steps.addAll(outdated);
        files += outdated.isEmpty() ? 0 : 1;
    }

    /** How many there were, and why; empty if there were none. */
    synchronized Optional<Message> told() {
        return steps.stream()
                .map(MakingStep::anew)
                .reduce((some, next) -> Message.of("delivered.anewAnd", some, next))
                .map(reasons -> Message.of("delivered.anew", files, reasons));
    }
}
