package nexa.desktop.stage;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.imaging.pictures.Picture;

/**
 * The pictures of one photo that have been read so far, from coarse to fine. A drawing is made from the coarsest that has the
 * pixels for it: resizing all of a photo's pixels in each frame would take too long.
 */
record Sources(List<Picture> pictures) {
    /** Up to this, enlarging is not seen. */
    private static final double BLURS = 1.15;

    static final Sources NONE = new Sources(List.of());

    Sources {
        pictures = List.copyOf(pictures);
    }

    boolean isEmpty() {
        return pictures.isEmpty();
    }

    /** With one more, in place of one just as large. */
    Sources with(Picture read) {
        return new Sources(Stream.concat(
                        pictures.stream().filter(picture -> picture.width() != read.width()), Stream.of(read))
                .sorted(Comparator.comparingInt(Picture::width))
                .toList());
    }

    /** The finest. */
    Optional<Picture> finest() {
        return isEmpty() ? Optional.empty() : Optional.of(pictures.get(pictures.size() - 1));
    }

    /**
     * The picture to draw from.
     *
     * @param width that the whole photo would have on the screen, in its pixels
     */
    Optional<Picture> forWidth(double width) {
        return pictures.stream()
                .filter(picture -> width <= BLURS * picture.width())
                .findFirst()
                .or(this::finest);
    }

    /** Whether a finer picture would be seen to be finer. */
    boolean isTooCoarseFor(double width) {
        return finest().map(picture -> width > BLURS * picture.width()).orElse(true);
    }
}
