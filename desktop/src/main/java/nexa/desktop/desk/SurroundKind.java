package nexa.desktop.desk;

/** What lies around the photo. */
public enum SurroundKind {
    MID,
    LIGHT,
    WHITE,
    BLACK
}
