package nexa.core.shoot;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Size;
import nexa.core.message.Rejected;
import nexa.core.shape.Perspective;
import nexa.core.shape.PhotoSpace;
import nexa.core.shape.Plane;

/**
 * One photo of a shoot and what was said of it.
 *
 * @param file its name in the shoot's folder; names the photo
 * @param raw the name of the raw file that belongs to it, if its file is a JPEG that has one
 * @param pixels after the EXIF orientation, before any turn; empty until the photo has been read
 * @param identity by which its file is known again under another name; empty until the photo has been read
 * @param texture how busy it is inside its edges, where that has been read
 * @param preparation what is done to it before it is cropped
 * @param hasNoSubject whether the photographer said that it is about nothing, so that what its camera marked does not
 *     count; only without a subject
 * @param crops by format id; a format without an entry is untouched
 */
public record Photo(
        String file,
        Optional<String> raw,
        Optional<PixelSize> pixels,
        Optional<FileIdentity> identity,
        Optional<EdgeTexture> texture,
        Preparation preparation,
        Mark mark,
        Optional<Subject> subject,
        boolean hasNoSubject,
        Map<String, CropEntry> crops) {

    public Photo {
        if (file.isBlank()) {
            throw new Rejected("reject.emptyPhotoName");
        }
        if (hasNoSubject && subject.isPresent()) {
            throw new IllegalArgumentException(file + " has a subject and is said to have none");
        }
        crops = Map.copyOf(crops);
    }

    /** A photo nobody has said anything of. */
    public static Photo untouched(String file) {
        return new Photo(
                file,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Preparation.NONE,
                Mark.OPEN,
                Optional.empty(),
                false,
                Map.of());
    }

    /** Whether nobody has said anything of it. */
    public boolean isUntouched() {
        return equals(untouched(file).withRaw(raw).read(pixels, identity, texture));
    }

    /** Whether nobody has said anything of it; what its camera marked does not count. */
    public boolean isUntouchedByHand() {
        return new Photo(file, raw, pixels, identity, texture, preparation, mark, Optional.empty(), hasNoSubject, crops)
                .isUntouched();
    }

    /**
     * Its size as seen, after the quarter turn.
     *
     * @throws IllegalStateException if the photo has not been read
     */
    public Size size() {
        PixelSize stored = pixels.orElseThrow(() -> new IllegalStateException(file + " has not been read"));
        return (preparation.turn().swapsSides() ? stored.swapped() : stored).size();
    }

    /**
     * What of it counts as picture: all of it, or what its trim leaves. In the pixels of its {@link #size}.
     *
     * @throws IllegalStateException if the photo has not been read
     */
    public Bounds remaining() {
        return preparation.trim().remaining(size());
    }

    /**
     * How what counts of it lies.
     *
     * @throws IllegalStateException if the photo has not been read
     */
    public Orientation orientation() {
        return wholePixels().orientation();
    }

    /**
     * The lane of the sheet it lies in.
     *
     * @throws IllegalStateException if the photo has not been read
     */
    public Lane lane() {
        return Lane.of(wholePixels());
    }

    /** What counts of it; a trim is stored as fractions, and rounding them makes no square a tall photo. */
    private Size wholePixels() {
        return PixelSize.nearest(remaining().size()).size();
    }

    /**
     * Whether it has crops: it has been read, and what is done to it leaves something of it. A trim may leave just the part that
     * lies beyond what its lens or its perspective shows.
     */
    public boolean isCroppable() {
        // Asked for every photo of a shoot; few are trimmed.
        return pixels.isPresent() && (preparation.trim().isNone() || plane().leaves(remaining()));
    }

    /** This photo changed, unless that would leave nothing of it. */
    public Photo leaving(UnaryOperator<Photo> change) {
        Photo changed = change.apply(this);
        return changed.isCroppable() || !isCroppable() ? changed : this;
    }

    /**
     * How what is stored of it lies in the plane of its crops.
     *
     * @throws IllegalStateException if the photo has not been read
     */
    public PhotoSpace space() {
        return new PhotoSpace(size(), plane());
    }

    /**
     * The plane in which its crops lie.
     *
     * @throws IllegalStateException if the photo has not been read
     */
    public Plane plane() {
        return new Plane(size(), angle(), preparation.lens(), preparation.perspective());
    }

    /**
     * The plane in which lines are level or upright, whatever the picture is stretched by then.
     *
     * @throws IllegalStateException if the photo has not been read
     */
    public Plane unstretchedPlane() {
        return new Plane(
                size(), angle(), preparation.lens(), preparation.perspective().map(said -> said.withStretch(1)));
    }

    /**
     * What its crops have to stay inside, unless they may reach beyond it.
     *
     * @throws IllegalArgumentException if it is not {@linkplain #isCroppable croppable}
     * @throws IllegalStateException if the photo has not been read
     */
    public Outline outline() {
        return plane().outline(remaining());
    }

    /**
     * What its crop in a format has to stay inside, or, where it may reach beyond, how far it may.
     *
     * @throws IllegalStateException if the photo has not been read
     */
    public Outline outline(Format format) {
        return mayReach(format) ? outline().reaching() : outline();
    }

    /**
     * Whether pixels of a raw file are wanted of it in a format, if there is one: of a raw photo alone always, of a photo with two
     * files where the format says so.
     */
    public boolean wantsRaw(Format format) {
        return raw.isEmpty() || format.file().source() == FileSpec.Source.RAW;
    }

    /** Whether its crop in a format may reach beyond it. */
    public boolean mayReach(Format format) {
        return entry(format.id()).reaches().orElse(format.reaches());
    }

    /**
     * The edges of all of it, whatever its trim leaves.
     *
     * @throws IllegalStateException if the photo has not been read
     */
    public Outline edges() {
        return plane().outline();
    }

    /** How far it is turned beside quarters. */
    public Angle angle() {
        return preparation.angle();
    }

    /** Whether a picture in memory of the one is also the other's, however it is drawn. */
    public boolean hasSamePictureAs(Photo other) {
        // The identity is learned a little after the first picture; only another one tells of another file.
        boolean isAnotherFile = identity.isPresent() && other.identity.isPresent() && !identity.equals(other.identity);
        return file.equals(other.file)
                && !isAnotherFile
                && preparation.orientation().equals(other.preparation.orientation());
    }

    /** As far as what is found in it depends on it: crops, marks and the shape make no difference. */
    public Photo asLookedAt() {
        return untouched(file).withPreparation(preparation.beforeShape());
    }

    /** Whether crops of both lie in the same plane, but for the angle. */
    public boolean hasSamePlaneAs(Photo other) {
        return preparation.shape().hasSamePlaneAs(other.preparation.shape());
    }

    /** What is said of its crop in a format, never {@code null}. */
    public CropEntry entry(String format) {
        return crops.getOrDefault(format, CropEntry.UNTOUCHED);
    }

    public Photo withRaw(Optional<String> newRaw) {
        return new Photo(file, newRaw, pixels, identity, texture, preparation, mark, subject, hasNoSubject, crops);
    }

    public Photo withPixels(PixelSize newPixels) {
        return read(Optional.of(newPixels), identity, texture);
    }

    /** Of a file that may be another one than before: then nothing is known of its pixels. */
    public Photo withIdentity(FileIdentity newIdentity) {
        boolean isAnother = identity.isPresent() && !identity.get().equals(newIdentity);
        return read(pixels, Optional.of(newIdentity), isAnother ? Optional.empty() : texture);
    }

    public Photo withTexture(EdgeTexture newTexture) {
        return read(pixels, identity, Optional.of(newTexture));
    }

    private Photo read(
            Optional<PixelSize> newPixels, Optional<FileIdentity> newIdentity, Optional<EdgeTexture> newTexture) {
        return new Photo(
                file, raw, newPixels, newIdentity, newTexture, preparation, mark, subject, hasNoSubject, crops);
    }

    public Photo withPreparation(Preparation newPreparation) {
        return new Photo(file, raw, pixels, identity, texture, newPreparation, mark, subject, hasNoSubject, crops);
    }

    public Photo withAngle(Angle newAngle) {
        return withPreparation(preparation.withAngle(newAngle));
    }

    public Photo withTrim(Trim newTrim) {
        return withPreparation(preparation.withTrim(newTrim));
    }

    public Photo withPerspective(Optional<Perspective> newPerspective) {
        return withPreparation(preparation.withPerspective(newPerspective));
    }

    public Photo withMark(Mark newMark) {
        return new Photo(file, raw, pixels, identity, texture, preparation, newMark, subject, hasNoSubject, crops);
    }

    /** What the photographer says it is about; empty says that it is about nothing. */
    public Photo withSubject(Optional<Subject> newSubject) {
        return new Photo(
                file, raw, pixels, identity, texture, preparation, mark, newSubject, newSubject.isEmpty(), crops);
    }

    /** Whether anything is said of what it is about, be it that it is about nothing. */
    public boolean saysSubject() {
        return subject.isPresent() || hasNoSubject;
    }

    /** The subject, if there is one, where it lies after the photo was turned or mirrored. */
    public Photo movingSubject(UnaryOperator<Subject> move) {
        return subject.map(spot -> withSubject(Optional.of(move.apply(spot)))).orElse(this);
    }

    public Photo withEntry(String format, CropEntry entry) {
        Map<String, CropEntry> changed = new LinkedHashMap<>(crops);
        if (entry.equals(CropEntry.UNTOUCHED)) {
            changed.remove(format);
        } else {
            changed.put(format, entry);
        }
        return new Photo(file, raw, pixels, identity, texture, preparation, mark, subject, hasNoSubject, changed);
    }

    /** This photo with what was said of another one, or of another state of it, keeping what was read of it. */
    public Photo saying(Photo other) {
        return new Photo(
                file,
                raw,
                pixels,
                identity,
                texture,
                other.preparation,
                other.mark,
                other.subject,
                other.hasNoSubject,
                other.crops);
    }
}
