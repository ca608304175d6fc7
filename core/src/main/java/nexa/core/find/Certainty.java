package nexa.core.find;

/** How well something is found. */
public enum Certainty {
    /** It may be taken at once. */
    SURE,
    /** It is offered with what it was found by. */
    LIKELY,
    /** Nothing is offered. */
    NOT_SURE
}
