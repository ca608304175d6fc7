package nexa.desktop.easel;

/** What can be taken back to untouched. */
enum StartKind {
    CROP,
    LEVEL,
    PHOTO
}
