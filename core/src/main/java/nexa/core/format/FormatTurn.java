package nexa.core.format;

import nexa.core.geometry.Orientation;

/** Which way a format's crops lie unless a crop says otherwise. */
public enum FormatTurn {
    /** As each photo lies. */
    PHOTO(null),
    WIDE(Orientation.WIDE),
    TALL(Orientation.TALL);

    private final Orientation always;

    FormatTurn(Orientation always) {
        this.always = always;
    }

    /** The way a crop of a photo lies. */
    public Orientation forPhoto(Orientation photo) {
        return always == null ? photo : always;
    }
}
