package nexa.core.format;

/** What can be asked of a crop, see {@link Asks}. */
public enum Ask {
    SHARE,
    PLACE,
    EYES,
    ROOM,
    LEVEL,
    ALL_PHOTO,
    LEAST_PPI
}
