package nexa.core.shoot;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.function.UnaryOperator;
import nexa.core.format.Format;

/**
 * Changes to the photos and formats of a shoot, gathered: the next shoot is made once, however many they are. What is asked
 * of a draft is as changed so far. Not for use by several threads at once.
 */
public final class ShootDraft {
    private final Shoot before;
    private final List<Photo> photos;
    private List<Format> formats;

    /** A draft of a shoot in which nothing is changed yet. */
    public ShootDraft(Shoot before) {
        this.before = before;
        this.photos = new ArrayList<>(before.photos());
        this.formats = before.formats();
    }

    /** The shoot as it was. */
    public Shoot before() {
        return before;
    }

    /** @throws IllegalArgumentException if there is no such photo */
    public Photo photo(String file) {
        return photos.get(before.place(file));
    }

    public List<Format> formats() {
        return formats;
    }

    /** @throws IllegalArgumentException if there is no such format */
    public Format format(String id) {
        return Shoot.format(formats, id);
    }

    /**
     * Changes one photo, which stays of the same file.
     *
     * @throws IllegalArgumentException if there is no such photo
     */
    public ShootDraft change(String file, UnaryOperator<Photo> change) {
        int place = before.place(file);
        photos.set(place, change.apply(photos.get(place)));
        return this;
    }

    /** Changes some photos as {@link #change(String, UnaryOperator)} does. */
    public ShootDraft change(Collection<String> files, UnaryOperator<Photo> change) {
        files.forEach(file -> change(file, change));
        return this;
    }

    /** Changes every photo. */
    public ShootDraft changeAll(UnaryOperator<Photo> change) {
        photos.replaceAll(change);
        return this;
    }

    /** Puts a photo in place of the one of the same file. */
    public ShootDraft put(Photo photo) {
        return change(photo.file(), was -> photo);
    }

    /** Puts a format in place of the one of the same id. */
    public ShootDraft put(Format changed) {
        return withFormats(formats.stream()
                .map(format -> format.id().equals(changed.id()) ? changed : format)
                .toList());
    }

    /** Puts other formats in place of all there are. */
    public ShootDraft withFormats(List<Format> newFormats) {
        formats = newFormats;
        return this;
    }

    /** The next shoot. */
    public Shoot shoot() {
        return before.with(photos, formats);
    }
}
