package nexa.imaging.deliver;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import nexa.core.format.DeliveryTerms;
import nexa.imaging.decode.TiffDirectory;

/**
 * What of a photo's EXIF may leave with its files: camera, lens, exposure, time, rights and colour; the place and the maker's
 * notes only as asked. Whatever is not listed here stays behind, and what is listed leaves only in the form that the rule
 * (EXIF 2.32) gives it. The names of the entries are in docs/handing-over.md.
 */
final class LeavingTags {
    static final int CREATOR = 0x013B;
    static final int COPYRIGHT = 0x8298;
    private static final int INDEX = 0x0001;
    private static final int LAST_OF_PLACE = 0x001F;
    private static final int LONGEST_OF_PLACE = 200;

    private static final int TEXT_TYPE = 2;
    private static final Set<Integer> WHOLE = Set.of(3, 4);
    private static final Set<Integer> FRACTIONAL = Set.of(5, 10);
    private static final Set<Integer> UNTYPED = Set.of(7);
    private static final int LONGEST_NAME = 200;
    private static final int LONGEST_RIGHTS = 2_000;

    /** What an entry has to look like. */
    private interface Form {
        boolean fits(TiffDirectory directory, int tag);
    }

    private static final Form NAME = text(LONGEST_NAME, Pattern.compile("[^\\p{Cntrl}]+"));
    private static final Form RIGHTS = text(LONGEST_RIGHTS, Pattern.compile("[^\\p{Cntrl}]+"));
    private static final Form TIME = text(32, Pattern.compile("[0-9: ]{19}"));
    private static final Form ZONE = text(16, Pattern.compile("[-+ ][0-9 ]{2}:[0-9 ]{2}"));
    private static final Form DIGITS = text(32, Pattern.compile("[0-9]{1,9} *"));
    private static final Form COLOURS = text(8, Pattern.compile("R98|R03|THM"));
    private static final Form NUMBER = (directory, tag) -> directory.has(tag, WHOLE, 1);
    private static final Form NUMBERS = (directory, tag) -> directory.has(tag, WHOLE, 3);
    private static final Form FRACTION = (directory, tag) -> directory.has(tag, FRACTIONAL, 1);
    private static final Form FRACTIONS = (directory, tag) -> directory.has(tag, FRACTIONAL, 4);
    private static final Form BYTE = (directory, tag) -> directory.has(tag, UNTYPED, 1);
    private static final Form BYTES = (directory, tag) -> directory.has(tag, UNTYPED, 4);

    private static final Map<Integer, Form> FIRST = Map.of(
            0x010F, NAME, // make
            0x0110, NAME, // model
            0x0132, TIME, // date
            CREATOR, RIGHTS, COPYRIGHT, RIGHTS);

    private static final Map<Integer, Form> IN_EXIF = inExif();

    private static final Map<Integer, Form> OF_COLOURS = Map.of(INDEX, COLOURS, 0x0002, BYTES);

    private LeavingTags() {}

    private static Map<Integer, Form> inExif() {
        Map<Integer, Form> forms = new HashMap<>();
        // The version of the rule.
        forms.put(0x9000, BYTES);
        // Time: taken, digitised, their zones and parts of a second.
        forms.put(0x9003, TIME);
        forms.put(0x9004, TIME);
        for (int tag = 0x9010; tag <= 0x9012; tag++) {
            forms.put(tag, ZONE);
        }
        for (int tag = 0x9290; tag <= 0x9292; tag++) {
            forms.put(tag, DIGITS);
        }
        // Exposure: time, aperture, programme, sensitivity in its many ways.
        forms.put(0x829A, FRACTION);
        forms.put(0x829D, FRACTION);
        forms.put(0x8822, NUMBER);
        forms.put(0x8827, NUMBERS);
        for (int tag = 0x8830; tag <= 0x8835; tag++) {
            forms.put(tag, NUMBER);
        }
        // Shutter, aperture, brightness, bias, widest aperture, distance.
        for (int tag = 0x9201; tag <= 0x9206; tag++) {
            forms.put(tag, FRACTION);
        }
        // Metering, light, flash.
        for (int tag = 0x9207; tag <= 0x9209; tag++) {
            forms.put(tag, NUMBER);
        }
        // How the sensor saw it, and what kind of picture it is.
        forms.put(0xA217, NUMBER);
        forms.put(0xA300, BYTE);
        forms.put(0xA301, BYTE);
        // Rendering, exposure mode, white, digital zoom, scene, gain, contrast, saturation, sharpness, distance range.
        for (int tag = 0xA401; tag <= 0xA403; tag++) {
            forms.put(tag, NUMBER);
        }
        forms.put(0xA404, FRACTION);
        for (int tag = 0xA406; tag <= 0xA40A; tag++) {
            forms.put(tag, NUMBER);
        }
        forms.put(0xA40C, NUMBER);
        // Lens: focal lengths, range, maker, model.
        forms.put(0x920A, FRACTION);
        forms.put(0xA405, NUMBER);
        forms.put(0xA432, FRACTIONS);
        forms.put(0xA433, NAME);
        forms.put(0xA434, NAME);
        // Colour.
        forms.put(0xA001, NUMBER);
        forms.put(0xA500, FRACTION);
        return Map.copyOf(forms);
    }

    private static Form text(int longest, Pattern form) {
        return (directory, tag) -> directory.has(tag, Set.of(TEXT_TYPE), longest)
                && directory
                        .text(tag)
                        .filter(text -> form.matcher(text).matches())
                        .isPresent();
    }

    /** What may leave of a photo's first directory, and of those below it. */
    static TiffDirectory of(TiffDirectory told, DeliveryTerms terms) {
        TiffDirectory leaving = of(told, FIRST);
        Optional<TiffDirectory> exif = told.below(TiffDirectory.EXIF).map(below -> inExif(below, terms.makerNotes()));
        if (exif.isPresent()) {
            leaving = leaving.withBelow(TiffDirectory.EXIF, exif.get());
        }
        // A few cameras and programs put it below the EXIF directory.
        Optional<TiffDirectory> place = told.below(TiffDirectory.PLACE)
                .or(() -> told.below(TiffDirectory.EXIF).flatMap(below -> below.below(TiffDirectory.PLACE)))
                .filter(any -> terms.place())
                .map(LeavingTags::ofPlace);
        return place.isPresent() ? leaving.withBelow(TiffDirectory.PLACE, place.get()) : leaving;
    }

    private static TiffDirectory inExif(TiffDirectory told, boolean withNotes) {
        TiffDirectory leaving = of(told, IN_EXIF);
        Optional<TiffDirectory> colours = told.below(TiffDirectory.INTEROPERABILITY)
                .map(below -> of(below, OF_COLOURS))
                .filter(below -> below.text(INDEX).isPresent());
        if (colours.isPresent()) {
            leaving = leaving.withBelow(TiffDirectory.INTEROPERABILITY, colours.get());
        }
        return withNotes ? leaving.withOf(told, TiffDirectory.MAKER_NOTE) : leaving;
    }

    private static TiffDirectory of(TiffDirectory told, Map<Integer, Form> forms) {
        TiffDirectory leaving =
                told.only(tag -> forms.containsKey(tag) && forms.get(tag).fits(told, tag));
        for (int tag : forms.keySet()) {
            if (leaving.text(tag).isPresent()) {
                leaving = leaving.withTextEnded(tag);
            }
        }
        return leaving;
    }

    private static TiffDirectory ofPlace(TiffDirectory told) {
        return told.only(tag -> tag <= LAST_OF_PLACE
                && told.bytes(tag)
                        .filter(bytes -> bytes.length <= LONGEST_OF_PLACE)
                        .isPresent());
    }
}
