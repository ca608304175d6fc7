package nexa.store.user;

import nexa.core.format.DeliveryTerms;

/** The terms of delivery among the photographer's preferences. */
public final class KeptTerms {
    private static final String REPLACES = "deliver.replaces";
    private static final String CAMERA = "deliver.camera";
    private static final String MAKER_NOTES = "deliver.makerNotes";
    private static final String PLACE = "deliver.place";
    private static final String COPYRIGHT = "deliver.copyright";
    private static final String CREATOR = "deliver.creator";
    private static final String LIST = "deliver.list";

    private KeptTerms() {}

    /** The terms as they were set last; the usual ones where nothing was. */
    public static DeliveryTerms read(Preferences preferences) {
        DeliveryTerms usual = DeliveryTerms.USUAL;
        return new DeliveryTerms(
                flag(preferences, REPLACES, usual.replacesOwn()),
                flag(preferences, CAMERA, usual.cameraData()),
                flag(preferences, MAKER_NOTES, usual.makerNotes()),
                flag(preferences, PLACE, usual.place()),
                line(preferences, COPYRIGHT, usual.copyright()),
                line(preferences, CREATOR, usual.creator()),
                flag(preferences, LIST, usual.list()));
    }

    private static boolean flag(Preferences preferences, String name, boolean usual) {
        return preferences.get(name).map(Boolean::parseBoolean).orElse(usual);
    }

    /** One that is too long was not set by Nexa. */
    private static String line(Preferences preferences, String name, String usual) {
        return preferences
                .get(name)
                .filter(line -> line.length() <= DeliveryTerms.LONGEST_LINE)
                .orElse(usual);
    }

    /** Sets the terms, for this run and the next ones. */
    public static void keep(Preferences preferences, DeliveryTerms terms) {
        preferences.set(REPLACES, String.valueOf(terms.replacesOwn()));
        preferences.set(CAMERA, String.valueOf(terms.cameraData()));
        preferences.set(MAKER_NOTES, String.valueOf(terms.makerNotes()));
        preferences.set(PLACE, String.valueOf(terms.place()));
        preferences.set(COPYRIGHT, terms.copyright());
        preferences.set(CREATOR, terms.creator());
        preferences.set(LIST, String.valueOf(terms.list()));
    }
}
