package nexa.core.shoot;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The edits of this run of the program, in order, with the place where the shoot stands now. An immutable value.
 *
 * @param edits all of them, the oldest first
 * @param position how many of them are in force; the others were undone
 */
public record History(List<Edit> edits, int position) {
    public static final History EMPTY = new History(List.of(), 0);

    public History {
        edits = List.copyOf(edits);
    }

    /** The history after one more edit. What had been undone can no longer be redone. */
    public History with(Edit edit) {
        List<Edit> kept = new ArrayList<>(edits.subList(0, position));
        kept.add(edit);
        return new History(kept, kept.size());
    }

    /** The edit that undoing takes back. */
    public Optional<Edit> undoable() {
        return position > 0 ? Optional.of(edits.get(position - 1)) : Optional.empty();
    }

    /** The edit that redoing brings again. */
    public Optional<Edit> redoable() {
        return position < edits.size() ? Optional.of(edits.get(position)) : Optional.empty();
    }

    public History undone() {
        return new History(edits, Math.max(0, position - 1));
    }

    public History redone() {
        return new History(edits, Math.min(edits.size(), position + 1));
    }
}
