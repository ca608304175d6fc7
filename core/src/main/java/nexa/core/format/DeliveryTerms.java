package nexa.core.format;

import nexa.core.geometry.Fingerprint;
import nexa.core.message.Rejected;

/**
 * What holds for every file of a delivery, whatever its format. The photographer's own, the same for all shoots.
 *
 * @param replacesOwn whether what was delivered before is replaced when its crop has changed; else the new file gets a
 *     number
 * @param cameraData whether what the camera noted goes along
 * @param makerNotes whether the notes that only the camera's maker can read go along with the camera's data; places and
 *     pictures of the whole photo may be in them
 * @param place whether the place where the photo was taken goes along with the camera's data
 * @param copyright a line written into every file, "" for none
 * @param creator a name written into every file, "" for none
 * @param list whether a list of all files is put beside them
 */
public record DeliveryTerms(
        boolean replacesOwn,
        boolean cameraData,
        boolean makerNotes,
        boolean place,
        String copyright,
        String creator,
        boolean list) {
    public static final DeliveryTerms USUAL = new DeliveryTerms(true, true, false, false, "", "", true);

    /** So many letters a line may have, so that every kind of file has room for both. */
    public static final int LONGEST_LINE = 8_000;

    /** @throws Rejected for lines that are too long */
    public DeliveryTerms {
        if (Math.max(copyright.length(), creator.length()) > LONGEST_LINE) {
            throw new Rejected("reject.lineTooLong", LONGEST_LINE);
        }
    }

    public DeliveryTerms withReplacesOwn(boolean nowReplaces) {
        return new DeliveryTerms(nowReplaces, cameraData, makerNotes, place, copyright, creator, list);
    }

    /** With the camera's data, and the place with it, going along or not. */
    public DeliveryTerms withCameraData(boolean goesAlong, boolean withPlace) {
        return new DeliveryTerms(replacesOwn, goesAlong, makerNotes, withPlace, copyright, creator, list);
    }

    public DeliveryTerms withMakerNotes(boolean goAlong) {
        return new DeliveryTerms(replacesOwn, cameraData, goAlong, place, copyright, creator, list);
    }

    public DeliveryTerms withLines(String newCopyright, String newCreator) {
        return new DeliveryTerms(replacesOwn, cameraData, makerNotes, place, newCopyright, newCreator, list);
    }

    public DeliveryTerms withList(boolean nowListed) {
        return new DeliveryTerms(replacesOwn, cameraData, makerNotes, place, copyright, creator, nowListed);
    }

    /** What of them a file's contents depend on, see {@link Fingerprint}: not whether files are replaced and listed. */
    public String fingerprint() {
        return Fingerprint.of("DeliveryTerms")
                        .with("replacesOwn", true)
                        .with("cameraData", cameraData)
                        .with("place", place)
                        .with("copyright", copyright)
                        .with("creator", creator)
                        .with("list", true)
                        .letters()
                + (makerNotes ? " makerNotes" : "");
    }
}
