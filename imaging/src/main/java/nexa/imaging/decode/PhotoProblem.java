package nexa.imaging.decode;

import nexa.core.message.EnumName;
import nexa.core.message.Message;
import nexa.core.message.Telling;

/** A photo that cannot be read, and why. */
public final class PhotoProblem extends Exception implements Telling {
    private static final long serialVersionUID = 1L;

    /** Why a photo cannot be read. */
    public enum Reason {
        /** The file is not there any more. */
        MISSING,
        /** The file has no contents. */
        EMPTY,
        /** The contents are of no kind that can be read. */
        UNKNOWN_KIND,
        /** The contents are broken. */
        DAMAGED,
        /** The contents end before they should. */
        CUT_OFF,
        /** It is coded in more passes than any camera or program uses; decoding would take minutes. */
        TOO_MANY_SCANS,
        /** The name has bytes that are no letters in this system. */
        UNREADABLE_NAME,
        /** It has more pixels than can be worked on. */
        TOO_LARGE,
        /** There is not enough memory for it just now. */
        NO_MEMORY,
        /** The photo is another one than when the shoot was opened. */
        CHANGED,
        /** The system does not give the file out. */
        NO_ACCESS,
        /** A raw photo without a picture of its camera's, where nothing is there that could make one. */
        NO_PICTURE,
        /** The command that makes pictures of raw photos makes none of this one. */
        NOT_DEVELOPED,
        /** The command that makes pictures of raw photos breaks down over this one. */
        DEVELOPER_BROKE,
        /** The command that makes pictures of raw photos does not come to an end with this one. */
        DEVELOPER_HANGS,
        /** It can be read, but what is done to it leaves nothing of it. */
        NOTHING_LEFT
    }

    private final Reason reason;
    private final transient Message told;

    public PhotoProblem(String file, Reason reason) {
        this(file, reason, null);
    }

    public PhotoProblem(String file, Reason reason, Throwable cause) {
        this(reason, Message.of(key(reason), file), cause);
    }

    private PhotoProblem(Reason reason, Message told, Throwable cause) {
        super(told.toString(), cause);
        this.reason = reason;
        this.told = told;
    }

    private static String key(Reason reason) {
        return "photo." + EnumName.of(reason);
    }

    /** A photo that is coded in so many passes. */
    static PhotoProblem tooManyScans(String file, int scans) {
        return new PhotoProblem(Reason.TOO_MANY_SCANS, Message.of(key(Reason.TOO_MANY_SCANS), file, scans), null);
    }

    /**
     * A photo of which nothing is left.
     *
     * @param place which of the photos of its document it is, counted from 0
     */
    public static PhotoProblem nothingLeft(String file, int place) {
        return new PhotoProblem(
                Reason.NOTHING_LEFT, Message.of(key(Reason.NOTHING_LEFT), file, "photos[" + place + "].trim"), null);
    }

    /** Anything that working on a photo may throw, as that photo's problem. */
    public static PhotoProblem of(String file, Throwable thrown) {
        if (thrown instanceof PhotoProblem known) {
            return known;
        }
        return new PhotoProblem(file, Memory.isShort(thrown) ? Reason.NO_MEMORY : Reason.DAMAGED, thrown);
    }

    public Reason reason() {
        return reason;
    }

    @Override
    public Message told() {
        return told;
    }
}
