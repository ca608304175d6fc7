package nexa.desktop.tool.guide;

/** What lies around the photo. */
enum SurroundKind {
    MID,
    LIGHT,
    WHITE,
    BLACK
}
