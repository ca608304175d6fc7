package nexa.core.shoot;

/** What the photographer has said about a photo. */
public enum Mark {
    /** Chosen for the result. */
    SELECT,
    /** Nothing said yet. */
    OPEN,
    /** Left out. */
    OUT
}
