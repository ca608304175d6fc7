package nexa.desktop.easel;

/** What lies around the photo. */
enum SurroundKind {
    MID,
    LIGHT,
    WHITE,
    BLACK
}
