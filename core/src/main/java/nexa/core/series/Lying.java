package nexa.core.series;

import java.util.Optional;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;
import nexa.core.shoot.Photo;

/** What a crop entry says of the way its crop lies. */
final class Lying {
    private Lying() {}

    /** The way a crop lies, said only where it is not the format's for the photo. */
    static Optional<Orientation> said(Orientation lying, Photo photo, Format format) {
        return lying == format.turn().forPhoto(photo.orientation()) ? Optional.empty() : Optional.of(lying);
    }
}
