package nexa.imaging.read;

import java.util.Locale;

/** A photo that cannot be read, and why. */
public final class PhotoProblem extends Exception {
    private static final long serialVersionUID = 1L;

    /** Why a photo cannot be read. */
    public enum Reason {
        /** The file is not there any more. */
        MISSING("is not in the folder any more"),
        /** The file has no contents. */
        EMPTY("is an empty file"),
        /** The contents are of no kind that can be read. */
        UNKNOWN_KIND("is not a photo of a kind that can be read"),
        /** The contents are broken. */
        DAMAGED("is damaged"),
        /** The contents end before they should. */
        CUT_OFF("is cut off: part of the file is missing"),
        /** It is coded in more passes than any camera or program uses; decoding would take minutes. */
        TOO_MANY_SCANS("is coded in %s passes, far more than a photo has"),
        /** The name has bytes that are no letters in this system. */
        UNREADABLE_NAME("has a name that can't be read here; give the file another name"),
        /** It would not fit into memory. */
        TOO_LARGE("has too many pixels to be opened"),
        /** The photo is another one than when the shoot was opened. */
        CHANGED("has been replaced since the shoot was opened; open it again"),
        /** The system does not give the file out. */
        NO_ACCESS("can't be read from the disk");

        private final String words;

        Reason(String words) {
            this.words = words;
        }
    }

    private final Reason reason;

    public PhotoProblem(String file, Reason reason) {
        this(file, reason, null);
    }

    public PhotoProblem(String file, Reason reason, Throwable cause) {
        super(file + " " + reason.words, cause);
        this.reason = reason;
    }

    private PhotoProblem(String file, Reason reason, Object number) {
        super(file + " " + String.format(Locale.ROOT, reason.words, number));
        this.reason = reason;
    }

    /** A photo that is coded in so many passes. */
    static PhotoProblem tooManyScans(String file, int scans) {
        return new PhotoProblem(file, Reason.TOO_MANY_SCANS, String.format(Locale.ROOT, "%,d", scans));
    }

    /** Anything that working on a photo may throw, as that photo's problem. */
    public static PhotoProblem of(String file, Throwable thrown) {
        if (thrown instanceof PhotoProblem known) {
            return known;
        }
        boolean isTooLarge = thrown instanceof OutOfMemoryError || thrown.getCause() instanceof OutOfMemoryError;
        return new PhotoProblem(file, isTooLarge ? Reason.TOO_LARGE : Reason.DAMAGED, thrown);
    }

    public Reason reason() {
        return reason;
    }
}
