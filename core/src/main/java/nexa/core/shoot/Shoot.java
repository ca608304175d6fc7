package nexa.core.shoot;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;

/** Photos opened together, with their order, formats, crops and marks. An immutable value. */
public final class Shoot {
    /** How the photos are ordered. */
    public enum Order {
        TIME,
        NAME
    }

    /** What a raw file and a JPEG of the same name are. */
    public enum Pairs {
        /** One photo with two files. */
        TOGETHER,
        APART
    }

    private final String title;
    private final Order order;
    private final Pairs pairs;
    private final List<Format> formats;
    private final List<Photo> photos;
    private final Map<String, Integer> places;

    private Shoot(
            String title,
            Order order,
            Pairs pairs,
            List<Format> formats,
            List<Photo> photos,
            Map<String, Integer> places) {
        this.title = title;
        this.order = order;
        this.pairs = pairs;
        this.formats = List.copyOf(formats);
        this.photos = List.copyOf(photos);
        this.places = places;
    }

    /** @throws IllegalArgumentException if a photo is listed twice */
    private static Map<String, Integer> places(List<Photo> photos) {
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < photos.size(); i++) {
            String file = photos.get(i).file();
            if (places.put(file, i) != null) {
                throw new IllegalArgumentException("the photo " + file + " is listed twice");
            }
        }
        return places;
    }

    /** The shoot with the same photos, in the same order, in other states, and with other formats. */
    Shoot with(List<Photo> states, List<Format> newFormats) {
        return new Shoot(title, order, pairs, newFormats, states, places);
    }

    /**
     * A shoot.
     *
     * @throws IllegalArgumentException if a format or photo is there twice, a lead is not a listed photo with its own
     *     crop, or a follower has no lead in its format
     */
    public static Shoot of(String title, Order order, List<Format> formats, List<Photo> photos) {
        Shoot shoot = new Shoot(title, order, Pairs.TOGETHER, formats, photos, places(photos));
        Set<String> ids = new HashSet<>();
        for (Format format : formats) {
            if (!ids.add(format.id())) {
                throw new IllegalArgumentException("the format id \"" + format.id() + "\" is used twice");
            }
            shoot.checkLeads(format);
        }
        return shoot;
    }

    private void checkLeads(Format format) {
        for (String lead : format.leads().values()) {
            Photo photo = find(lead)
                    .orElseThrow(() -> new IllegalArgumentException(
                            "the lead " + lead + " of format \"" + format.id() + "\" is not a photo of this shoot"));
            if (!(photo.entry(format.id()).placement() instanceof Placement.Own)) {
                throw new IllegalArgumentException(
                        "the lead " + lead + " of format \"" + format.id() + "\" must have a crop of its own");
            }
        }
        if (format.leads().isEmpty()) {
            for (Photo photo : photos) {
                if (photo.entry(format.id()).placement() instanceof Placement.Follow) {
                    throw new IllegalArgumentException(
                            photo.file() + " follows in format \"" + format.id() + "\", which has no lead");
                }
            }
        }
    }

    public String title() {
        return title;
    }

    public Order order() {
        return order;
    }

    public List<Format> formats() {
        return formats;
    }

    /** What a raw file and a JPEG of the same name are in it. */
    public Pairs pairs() {
        return pairs;
    }

    /** Whether any photo has a raw file beside its own. */
    public boolean hasTwoFiles() {
        return photos.stream().anyMatch(photo -> photo.raw().isPresent());
    }

    /** In the shoot's order. */
    public List<Photo> photos() {
        return photos;
    }

    public Optional<Photo> find(String file) {
        return Optional.ofNullable(places.get(file)).map(photos::get);
    }

    /** @throws IllegalArgumentException if there is no such photo */
    public Photo photo(String file) {
        return photos.get(place(file));
    }

    /** Which of the photos one is, counted from 0. */
    int place(String file) {
        Integer place = places.get(file);
        if (place == null) {
            throw new IllegalArgumentException("no photo " + file + " in this shoot");
        }
        return place;
    }

    /** @throws IllegalArgumentException if there is no such format */
    public Format format(String id) {
        return format(formats, id);
    }

    static Format format(List<Format> formats, String id) {
        return formats.stream()
                .filter(format -> format.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no format \"" + id + "\" in this shoot"));
    }

    /** The photo that a format's photos of an orientation listen to: the lead of that orientation, else the other. */
    public Optional<Photo> leadFor(Format format, Orientation photo) {
        String own = format.leads().get(photo);
        String lead = own != null ? own : format.leads().get(photo.other());
        return Optional.ofNullable(lead).flatMap(this::find);
    }

    /** Changes to it, gathered. */
    public ShootDraft draft() {
        return new ShootDraft(this);
    }

    /** The shoot with one photo changed. */
    public Shoot with(String file, UnaryOperator<Photo> change) {
        return draft().change(file, change).shoot();
    }

    /** The shoot with some photos changed. */
    public Shoot withEach(Collection<String> files, UnaryOperator<Photo> change) {
        return draft().change(files, change).shoot();
    }

    /** The shoot with its photos said to be in another order; see {@link #withPhotos}. */
    public Shoot withOrder(Order newOrder) {
        return new Shoot(title, newOrder, pairs, formats, photos, places);
    }

    /** The shoot with this said of pairs of files; its photos stay as they are, see {@link nexa.core.series.RawPairs}. */
    public Shoot withPairs(Pairs newPairs) {
        return new Shoot(title, order, newPairs, formats, photos, places);
    }

    /** The shoot with other photos, in this order. */
    public Shoot withPhotos(List<Photo> newPhotos) {
        return new Shoot(title, order, pairs, formats, newPhotos, places(newPhotos));
    }

    /** The shoot with a format in place of the one of the same id. */
    public Shoot withFormat(Format changed) {
        return draft().put(changed).shoot();
    }

    public Shoot withFormats(List<Format> newFormats) {
        return new Shoot(title, order, pairs, newFormats, photos, places);
    }

    /**
     * The shoot with what was said in another state of it: its formats, and all of its photos. Empty if that says something
     * that needs a photo which is not here, a lead.
     */
    public Optional<Shoot> saying(Shoot other) {
        List<Photo> said = photos.stream()
                .map(photo -> photo.saying(other.find(photo.file()).orElse(Photo.untouched(photo.file()))))
                .toList();
        boolean hasAllLeads = other.formats.stream()
                .flatMap(format -> format.leads().values().stream())
                .allMatch(lead -> find(lead).isPresent());
        return hasAllLeads ? Optional.of(with(said, other.formats)) : Optional.empty();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Shoot that
                && title.equals(that.title)
                && order == that.order
                && pairs == that.pairs
                && formats.equals(that.formats)
                && photos.equals(that.photos);
    }

    @Override
    public int hashCode() {
        return title.hashCode() * 31 + photos.hashCode();
    }

    @Override
    public String toString() {
        return title + ", " + photos.size() + " photos, " + formats.size() + " formats";
    }
}
