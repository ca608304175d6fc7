package nexa.core.format;

/**
 * What holds for every file of a delivery, whatever its format. The photographer's own, the same for all shoots.
 *
 * @param replacesOwn whether what was delivered before is replaced when its crop has changed; else the new file gets a
 *     number
 * @param cameraData whether what the camera noted goes along
 * @param place whether the place where the photo was taken goes along with the camera's data
 * @param copyright a line written into every file, "" for none
 * @param creator a name written into every file, "" for none
 * @param list whether a list of all files is put beside them
 */
public record DeliveryTerms(
        boolean replacesOwn, boolean cameraData, boolean place, String copyright, String creator, boolean list) {
    public static final DeliveryTerms USUAL = new DeliveryTerms(true, true, false, "", "", true);

    public DeliveryTerms withReplacesOwn(boolean nowReplaces) {
        return new DeliveryTerms(nowReplaces, cameraData, place, copyright, creator, list);
    }

    /** With the camera's data, and the place with it, going along or not. */
    public DeliveryTerms withCameraData(boolean goesAlong, boolean withPlace) {
        return new DeliveryTerms(replacesOwn, goesAlong, withPlace, copyright, creator, list);
    }

    public DeliveryTerms withLines(String newCopyright, String newCreator) {
        return new DeliveryTerms(replacesOwn, cameraData, place, newCopyright, newCreator, list);
    }

    public DeliveryTerms withList(boolean nowListed) {
        return new DeliveryTerms(replacesOwn, cameraData, place, copyright, creator, nowListed);
    }
}
