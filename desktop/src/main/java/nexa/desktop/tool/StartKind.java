package nexa.desktop.tool;

/** What can be taken back to untouched. */
public enum StartKind {
    CROP,
    LEVEL,
    PERSPECTIVE,
    PHOTO
}
