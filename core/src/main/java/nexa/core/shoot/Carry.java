package nexa.core.shoot;

/** What a follower takes from its lead. */
public enum Carry {
    TIGHTNESS,
    POSITION,
    SUBJECT
}
