package nexa.store.lens;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import nexa.core.lens.AtFocal;
import nexa.core.lens.KnownCamera;
import nexa.core.lens.KnownLens;
import nexa.core.lens.LensBook;
import nexa.core.lens.VignettingSample;
import nexa.core.shape.Distortion;
import nexa.core.shape.LateralChromaticAberration;
import nexa.core.shape.LensProfile;

/**
 * Reads cameras and lenses in the open lens data's XML. What is in it and not known here is passed over; what makes no sense
 * is passed over and counted.
 */
final class LensXml {
    /** Letters of a name; what is longer is none. */
    private static final int LONGEST_NAME = 1000;

    /** Several times as many as any lens has been measured. */
    private static final int MOST_MEASUREMENTS = 2000;

    private final XMLStreamReader in;
    private int passedOver;

    /**
     * What a file holds.
     *
     * @param passedOver how many of its entries and measurements make no sense
     */
    record Contents(LensBook book, int passedOver) {}

    private LensXml(XMLStreamReader in) {
        this.in = in;
    }

    /** @throws XMLStreamException if it is no XML */
    static Contents read(byte[] contents) throws XMLStreamException {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_COALESCING, true);
        LensXml reader = new LensXml(factory.createXMLStreamReader(new ByteArrayInputStream(contents)));
        LensBook book = reader.book();
        return new Contents(book, reader.passedOver);
    }

    private LensBook book() throws XMLStreamException {
        List<KnownCamera> cameras = new ArrayList<>();
        List<KnownLens> lenses = new ArrayList<>();
        while (in.hasNext()) {
            if (in.next() == XMLStreamConstants.START_ELEMENT
                    && Set.of("camera", "lens").contains(in.getLocalName())) {
                String kind = in.getLocalName();
                Entry entry = entry(kind);
                try {
                    if (kind.equals("camera")) {
                        cameras.add(entry.camera());
                    } else {
                        lenses.add(entry.lens());
                    }
                } catch (IllegalArgumentException e) {
                    // An entry that makes no sense says nothing of any photo.
                    passedOver++;
                }
            }
        }
        return new LensBook(cameras, lenses);
    }

    /** What is said of one camera or lens. */
    private static final class Entry {
        private String maker = "";
        private String model = "";
        private final Set<String> mounts = new HashSet<>();
        private String type = "rectilinear";
        private double cropFactor = 1;
        private double aspect = LensProfile.USUAL_ASPECT;
        private final Measurements<AtFocal<Distortion>> distortion = new Measurements<>();
        private final Measurements<AtFocal<LateralChromaticAberration>> fringes = new Measurements<>();
        private final Measurements<VignettingSample> darkening = new Measurements<>();

        KnownCamera camera() {
            return new KnownCamera(maker, model, mounts.stream().findFirst().orElse(""), cropFactor);
        }

        KnownLens lens() {
            return new KnownLens(
                    maker,
                    model,
                    mounts,
                    cropFactor,
                    aspect,
                    type.equals("rectilinear"),
                    distortion.all(),
                    fringes.all(),
                    darkening.all());
        }
    }

    /** Of what was measured twice, the later one counts, as it does for the data's own library. */
    private static final class Measurements<T> {
        private final Map<List<Double>, T> byPlace = new LinkedHashMap<>();

        /**
         * One more.
         *
         * @throws IllegalArgumentException if there are more than of any lens
         */
        void add(T measured, Double... place) {
            byPlace.remove(List.of(place));
            if (byPlace.size() == MOST_MEASUREMENTS) {
                throw new IllegalArgumentException("more than " + MOST_MEASUREMENTS + " measurements");
            }
            byPlace.put(List.of(place), measured);
        }

        List<T> all() {
            return List.copyOf(byPlace.values());
        }
    }

    private Entry entry(String kind) throws XMLStreamException {
        Entry entry = new Entry();
        while (in.hasNext()) {
            int event = in.next();
            if (event == XMLStreamConstants.END_ELEMENT && in.getLocalName().equals(kind)) {
                return entry;
            }
            if (event == XMLStreamConstants.START_ELEMENT) {
                try {
                    add(entry);
                } catch (IllegalArgumentException e) {
                    // A measurement that fits no model is none; the others stand.
                    passedOver++;
                }
            }
        }
        return entry;
    }

    private void add(Entry entry) throws XMLStreamException {
        // Photos name a camera and a lens by what is said in no language.
        boolean isOriginal = in.getAttributeValue(null, "lang") == null;
        switch (in.getLocalName()) {
            case "maker" -> entry.maker = isOriginal ? text() : entry.maker;
            case "model" -> entry.model = isOriginal ? text() : entry.model;
            case "mount" -> entry.mounts.add(text());
            case "type" -> entry.type = text().toLowerCase(Locale.ROOT);
            case "cropfactor" -> entry.cropFactor = Double.parseDouble(text());
            case "aspect-ratio" -> entry.aspect = aspect(text());
            case "distortion" -> distortion(entry);
            case "tca" -> entry.fringes.add(new AtFocal<>(number("focal"), fringes()), number("focal"));
            case "vignetting" -> darkening(entry);
            default -> {
                // Nothing that reshapes a picture.
            }
        }
    }

    /** The letters of the element that has begun, without those of elements in it, and its end. */
    private String text() throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        int inside = 1;
        while (inside > 0) {
            switch (in.next()) {
                case XMLStreamConstants.START_ELEMENT -> inside++;
                case XMLStreamConstants.END_ELEMENT -> inside--;
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA, XMLStreamConstants.SPACE -> {
                    if (inside == 1) {
                        text.append(in.getText());
                    }
                }
                default -> {
                    // A comment.
                }
            }
        }
        if (text.length() > LONGEST_NAME) {
            throw new IllegalArgumentException("a text of " + text.length() + " letters");
        }
        return text.toString().strip();
    }

    private void darkening(Entry entry) {
        VignettingSample later = new VignettingSample(
                number("focal"),
                number("aperture"),
                number("distance"),
                List.of(number("k1"), number("k2"), number("k3")));
        entry.darkening.add(later, later.focal(), later.aperture(), later.distance());
    }

    /** As "3:2" or a number; the long side over the short one. */
    private static double aspect(String text) {
        String[] sides = text.split(":", 2);
        double ratio = Double.parseDouble(sides[0]) / (sides.length > 1 ? Double.parseDouble(sides[1]) : 1);
        return Math.max(ratio, 1 / ratio);
    }

    private void distortion(Entry entry) {
        String name = in.getAttributeValue(null, "model");
        Optional<Distortion.Model> known = Stream.of(Distortion.Model.values())
                .filter(model -> model.name().equalsIgnoreCase(name))
                .findFirst();
        if (known.isPresent()) {
            List<Double> terms =
                    known.get().termNames().stream().map(term -> number(term)).toList();
            Distortion distortion = new Distortion(known.get(), terms);
            entry.distortion.add(new AtFocal<>(number("focal"), distortion), number("focal"));
        }
    }

    private LateralChromaticAberration fringes() {
        return "linear".equals(in.getAttributeValue(null, "model"))
                ? LateralChromaticAberration.linear(number("kr", 1), number("kb", 1))
                : new LateralChromaticAberration(
                        List.of(number("vr", 1), number("cr"), number("br")),
                        List.of(number("vb", 1), number("cb"), number("bb")));
    }

    private double number(String attribute) {
        return number(attribute, 0);
    }

    private double number(String attribute, double usual) {
        String value = in.getAttributeValue(null, attribute);
        return value == null ? usual : Double.parseDouble(value.strip());
    }
}
