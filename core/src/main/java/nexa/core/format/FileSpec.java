package nexa.core.format;

import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Require;
import nexa.core.message.Rejected;

/**
 * How a format's files are written.
 *
 * @param quality of a JPEG, 1 … 100
 * @param sampling of a JPEG
 * @param depth of a PNG or TIFF
 * @param enlarges whether a crop with too few pixels for the size is enlarged; else it comes out at its own
 * @param source whose pixels it is made of, of a photo with two files
 * @param folder inside the destination, "" for the destination itself
 * @param name as {@link NamePattern} reads it, without an ending
 */
public record FileSpec(
        Type type,
        int quality,
        Sampling sampling,
        Depth depth,
        Colour colour,
        boolean enlarges,
        Source source,
        String folder,
        String name) {
    /** The kinds of file. */
    public enum Type {
        JPEG("jpg", false),
        PNG("png", true),
        TIFF("tif", true);

        private final String ending;
        private final boolean mayBeDeep;

        Type(String ending, boolean mayBeDeep) {
            this.ending = ending;
            this.mayBeDeep = mayBeDeep;
        }

        /** The file name's ending, without the dot. */
        public String ending() {
            return ending;
        }
    }

    /** How finely a JPEG keeps colour; brightness is kept at every pixel. */
    public enum Sampling {
        /** At every pixel, known as 4:4:4. */
        FULL,
        /** At every second pixel across and down, known as 4:2:0. */
        HALF
    }

    /** How many bits a pixel's colours have each. */
    public enum Depth {
        /** As many as the photo has. */
        PHOTO,
        EIGHT,
        SIXTEEN
    }

    /** What becomes of the photo's colour profile. */
    public enum Colour {
        KEEP,
        SRGB
    }

    /** Whose pixels are delivered of a photo that has a raw file beside it; a raw photo alone always gives its own. */
    public enum Source {
        /** The photo's own file. */
        PHOTO,
        /** The raw file. */
        RAW
    }

    /** @throws IllegalArgumentException for a quality out of range, an empty name, and folders that climb out */
    public FileSpec {
        Require.within("quality", quality, 1, 100);
        if (name.isBlank()) {
            throw new Rejected("reject.emptyFileName");
        }
        NamePattern.check(name);
        if (!NamePattern.staysInside(folder)) {
            throw new Rejected("reject.folderOutside", folder);
        }
    }

    /** Whether its files have 16 bits a colour where their photo has, or where that is asked for. */
    public boolean mayBeDeep() {
        return type.mayBeDeep && depth != Depth.EIGHT;
    }

    public static FileSpec usual(String folder) {
        return new FileSpec(
                Type.JPEG, 90, Sampling.FULL, Depth.PHOTO, Colour.KEEP, true, Source.PHOTO, folder, "{photo}");
    }

    public FileSpec withType(Type newType) {
        return new FileSpec(newType, quality, sampling, depth, colour, enlarges, source, folder, name);
    }

    /** With another quality of a JPEG. */
    public FileSpec withQuality(int newQuality, Sampling newSampling) {
        return new FileSpec(type, newQuality, newSampling, depth, colour, enlarges, source, folder, name);
    }

    public FileSpec withColour(Colour newColour, Depth newDepth) {
        return new FileSpec(type, quality, sampling, newDepth, newColour, enlarges, source, folder, name);
    }

    public FileSpec withEnlarges(boolean nowEnlarges) {
        return new FileSpec(type, quality, sampling, depth, colour, nowEnlarges, source, folder, name);
    }

    public FileSpec withSource(Source newSource) {
        return new FileSpec(type, quality, sampling, depth, colour, enlarges, newSource, folder, name);
    }

    public FileSpec withName(String newName) {
        return new FileSpec(type, quality, sampling, depth, colour, enlarges, source, folder, newName);
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("FileSpec")
                .with("type", type.name())
                .with("quality", quality)
                .with("sampling", sampling.name())
                .with("depth", depth.name())
                .with("colour", colour.name())
                .with("enlarges", enlarges)
                .with("source", source.name())
                .with("folder", folder)
                .with("name", name)
                .letters();
    }
}
