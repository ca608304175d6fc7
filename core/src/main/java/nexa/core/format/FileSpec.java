package nexa.core.format;

import nexa.core.geometry.Require;

/**
 * How a format's files are written.
 *
 * @param quality of a JPEG, 1 … 100
 * @param folder inside the destination, "" for the destination itself
 * @param name as {@link NamePattern} reads it, without an ending
 */
public record FileSpec(Type type, int quality, Colour colour, String folder, String name) {
    /** The kinds of file. */
    public enum Type {
        JPEG("jpg"),
        PNG("png"),
        TIFF("tif");

        private final String ending;

        Type(String ending) {
            this.ending = ending;
        }

        /** The file name's ending, without the dot. */
        public String ending() {
            return ending;
        }
    }

    /** What becomes of the photo's colour profile. */
    public enum Colour {
        KEEP,
        SRGB
    }

    /** @throws IllegalArgumentException for a quality out of range, an empty name, and folders that climb out */
    public FileSpec {
        Require.within("quality", quality, 1, 100);
        if (name.isBlank()) {
            throw new IllegalArgumentException("a file name pattern must not be empty");
        }
        NamePattern.check(name);
        if (!NamePattern.staysInside(folder)) {
            throw new IllegalArgumentException("the folder \"" + folder + "\" leads out of the destination");
        }
    }

    public static FileSpec usual(String folder) {
        return new FileSpec(Type.JPEG, 90, Colour.KEEP, folder, "{photo}");
    }

    public FileSpec withName(String newName) {
        return new FileSpec(type, quality, colour, folder, newName);
    }
}
