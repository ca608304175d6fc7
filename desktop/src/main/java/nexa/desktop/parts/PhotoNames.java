package nexa.desktop.parts;

import nexa.core.series.RawPairs;

/** How photos are called on screen. */
public final class PhotoNames {
    private PhotoNames() {}

    /** The file's name without its ending; a raw file keeps its ending, since a JPEG may be called the same. */
    public static String base(String file) {
        if (RawPairs.isRaw(file)) {
            return file;
        }
        int dot = file.lastIndexOf('.');
        return dot > 0 ? file.substring(0, dot) : file;
    }
}
