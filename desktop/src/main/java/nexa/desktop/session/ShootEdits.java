package nexa.desktop.session;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.shoot.Edit;
import nexa.core.shoot.History;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.store.shoot.ShootFolder;

/**
 * Makes edits of what the photographer does: into the history, and saved at once in the background. A read-only shoot stays as
 * it is.
 */
public final class ShootEdits {
    /** So many photos are gone over in the background. */
    private static final int MANY = 200;

    private final ShootFolder folder;
    private final PresentShoot shoot;
    private final Selection selection;
    private final Autosave autosave;
    private final ReadOnlyObjectWrapper<History> history = new ReadOnlyObjectWrapper<>(History.EMPTY);
    /** The photos of a gesture that goes on, of which something was recorded. */
    private Set<String> drafted = Set.of();

    private Runnable refused = () -> {};

    ShootEdits(ShootFolder folder, PresentShoot shoot, Selection selection, Autosave autosave) {
        this.folder = folder;
        this.shoot = shoot;
        this.selection = selection;
        this.autosave = autosave;
    }

    /** What happens when something is to be changed in a shoot that is read-only. */
    public void onRefused(Runnable action) {
        refused = action;
    }

    private void ifWritable(Runnable action) {
        if (folder.isReadOnly()) {
            refused.run();
        } else {
            action.run();
        }
    }

    public ReadOnlyObjectProperty<History> historyProperty() {
        return history.getReadOnlyProperty();
    }

    void edit(Edit.Kind kind, String where, UnaryOperator<Shoot> change) {
        ifWritable(() -> shoot.turns().now(() -> make(Changed.by(kind, where, shoot.get(), change))));
    }

    void editSoon(Edit.Kind kind, String where, UnaryOperator<Shoot> change, Runnable then) {
        if (shoot.get().photos().size() > MANY) {
            editMany(kind, where, change);
        } else {
            edit(kind, where, change);
        }
        shoot.turns().now(then);
    }

    void editMany(Edit.Kind kind, String where, UnaryOperator<Shoot> change) {
        ifWritable(() -> shoot.turns()
                .take(
                        () -> {
                            Shoot before = shoot.get();
                            return () -> Changed.by(kind, where, before, change);
                        },
                        this::make));
    }

    /**
     * A state of the shoot that was set aside because the document was changed outside.
     *
     * @see #goOnWithSetAside
     */
    public Optional<Shoot> setAside() {
        return folder.setAside().flatMap(shoot.get()::saying);
    }

    /** Makes the state that was set aside the present one, as one edit, with what was done as it was then. */
    public void goOnWithSetAside() {
        String where = selection.formatProperty().get();
        ifWritable(() -> setAside()
                .ifPresent(then -> shoot.turns()
                        .now(() -> make(Changed.between(Edit.Kind.GO_ON_WITH, where, shoot.get(), then)))));
    }

    private void make(Changed changed) {
        if (!changed.edit().isIdentity()) {
            drafted = Set.of();
            history.set(history.get().with(changed.edit()));
            take(changed);
        } else {
            dropDraft();
        }
    }

    private void take(Changed changed) {
        selection.leaveMissingFormat(shoot.get(), changed.shoot());
        shoot.set(changed.shoot());
        autosave.save(changed.edit(), changed.shoot());
    }

    /** A gesture came to nothing: what was recorded of it must not come back after a crash. */
    void dropDraft() {
        if (!drafted.isEmpty()) {
            List<Photo> present = drafted.stream().map(shoot.get()::photo).toList();
            drafted = Set.of();
            autosave.record(present, Optional.empty());
        }
    }

    /**
     * Records what a gesture that goes on would give if it ended now, so that a crash takes no more than a moment of it. The
     * shoot stays as it is until the gesture's end makes an edit of it.
     */
    public void recordDraft(UnaryOperator<Shoot> change) {
        if (folder.isReadOnly()) {
            return;
        }
        Edit draft = Edit.between(Edit.Kind.SLIDE, Optional.empty(), shoot.get(), change.apply(shoot.get()));
        if (!draft.isIdentity()) {
            drafted = draft.after().stream().map(Photo::file).collect(Collectors.toSet());
            autosave.record(draft.after(), draft.formatsAfter());
        }
    }

    /** Takes the last step back, and goes to what it changed. */
    public void undo() {
        shoot.turns()
                .now(() -> history.get().undoable().ifPresent(edit -> {
                    history.set(history.get().undone());
                    again(edit.inverse(), edit);
                }));
    }

    /** Does again what was undone last, and goes to what it changed. */
    public void redo() {
        shoot.turns()
                .now(() -> history.get().redoable().ifPresent(edit -> {
                    history.set(history.get().redone());
                    again(edit, edit);
                }));
    }

    /** What was worked out once goes back or forth in the background too where it goes over many photos. */
    private void again(Edit edit, Edit seen) {
        shoot.turns()
                .takeNext(
                        edit.after().size() > MANY,
                        () -> {
                            Shoot before = shoot.get();
                            return () -> new Changed(edit, edit.applyTo(before));
                        },
                        changed -> {
                            take(changed);
                            selection.goTo(shoot.get(), seen.after(), seen.where());
                        });
    }

    /**
     * Changes what is saved but not undone, in the background.
     *
     * @param begin takes what the change needs, when it has its turn
     */
    void change(Supplier<UnaryOperator<Shoot>> begin) {
        change(begin, before -> {});
    }

    /** As {@link #change(Supplier)}, with something to be done after it, which hears how the shoot was. */
    void change(Supplier<UnaryOperator<Shoot>> begin, Consumer<Shoot> then) {
        ifWritable(() -> shoot.turns()
                .take(
                        () -> {
                            Shoot before = shoot.get();
                            UnaryOperator<Shoot> change = begin.get();
                            return () -> change.apply(before);
                        },
                        changed -> {
                            Shoot before = shoot.get();
                            shoot.set(changed);
                            save();
                            then.accept(before);
                        }));
    }

    /** Nothing done so far can be undone any more, since photos that it is about are not of the shoot now. */
    void forgetSteps() {
        history.set(History.EMPTY);
    }

    /** Saves the shoot as it is, without an edit. */
    void save() {
        Shoot now = shoot.get();
        autosave.save(Edit.between(Edit.Kind.MARK, Optional.empty(), now, now), now);
    }

    /** Done when everything is saved. */
    CompletableFuture<Void> close() {
        return autosave.close();
    }
}
