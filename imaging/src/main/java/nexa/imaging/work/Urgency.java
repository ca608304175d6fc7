package nexa.imaging.work;

/** How soon something asked of a {@link WorkQueue} is wanted. */
public enum Urgency {
    /** The photographer is looking at the place where it belongs, and sees nothing. */
    NOW,
    /** It makes better what is seen. */
    SOON,
    /** It is likely to be wanted next. */
    AHEAD,
    /** Whenever there is nothing else to do. */
    IDLE
}
