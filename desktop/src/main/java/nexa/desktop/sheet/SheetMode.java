package nexa.desktop.sheet;

/** What a print shows. */
enum SheetMode {
    WITH_CROP,
    WHOLE,
    CROP
}
