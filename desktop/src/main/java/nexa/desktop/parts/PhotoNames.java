package nexa.desktop.parts;

/** How photos are called on screen. */
public final class PhotoNames {
    private PhotoNames() {}

    /** The file's name without its ending. */
    public static String base(String file) {
        int dot = file.lastIndexOf('.');
        return dot > 0 ? file.substring(0, dot) : file;
    }
}
