package nexa.store;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import nexa.core.lens.AtFocal;
import nexa.core.lens.Darkening;
import nexa.core.lens.KnownCamera;
import nexa.core.lens.KnownLens;
import nexa.core.lens.LensBook;
import nexa.core.shape.Distortion;
import nexa.core.shape.Fringes;
import nexa.core.shape.LensProfile;

/**
 * Reads cameras and lenses in the open lens data's XML. What is in it and not known here is passed over; so are measurements
 * that fit no model.
 */
final class LensXml {
    private final XMLStreamReader in;

    private LensXml(XMLStreamReader in) {
        this.in = in;
    }

    /** @throws XMLStreamException if it is no XML */
    static LensBook read(byte[] contents) throws XMLStreamException {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_COALESCING, true);
        return new LensXml(factory.createXMLStreamReader(new ByteArrayInputStream(contents))).book();
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
        private final List<AtFocal<Distortion>> distortion = new ArrayList<>();
        private final List<AtFocal<Fringes>> fringes = new ArrayList<>();
        private final List<Darkening> darkening = new ArrayList<>();

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
                    distortion,
                    fringes,
                    darkening);
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
                }
            }
        }
        return entry;
    }

    private void add(Entry entry) throws XMLStreamException {
        // Photos name a camera and a lens by what is said in no language.
        boolean isOriginal = in.getAttributeValue(null, "lang") == null;
        switch (in.getLocalName()) {
            case "maker" -> entry.maker = isOriginal ? in.getElementText().strip() : entry.maker;
            case "model" -> entry.model = isOriginal ? in.getElementText().strip() : entry.model;
            case "mount" -> entry.mounts.add(in.getElementText().strip());
            case "type" -> entry.type = in.getElementText().strip().toLowerCase(Locale.ROOT);
            case "cropfactor" ->
                entry.cropFactor = Double.parseDouble(in.getElementText().strip());
            case "aspect-ratio" -> entry.aspect = aspect(in.getElementText().strip());
            case "distortion" -> distortion(entry);
            case "tca" -> replace(entry.fringes, new AtFocal<>(number("focal"), fringes()));
            case "vignetting" -> darkening(entry);
            default -> {
                // Nothing that reshapes a picture.
            }
        }
    }

    /** Of what was measured twice, the later one counts, as it does for the data's own library. */
    private static <T> void replace(List<AtFocal<T>> measured, AtFocal<T> later) {
        measured.removeIf(one -> one.focal() == later.focal());
        measured.add(later);
    }

    private void darkening(Entry entry) {
        Darkening later = new Darkening(
                number("focal"),
                number("aperture"),
                number("distance"),
                List.of(number("k1"), number("k2"), number("k3")));
        entry.darkening.removeIf(one -> one.focal() == later.focal()
                && one.aperture() == later.aperture()
                && one.distance() == later.distance());
        entry.darkening.add(later);
    }

    /** As "3:2" or a number; the long side over the short one. */
    private static double aspect(String text) {
        String[] sides = text.split(":");
        double ratio = Double.parseDouble(sides[0]) / (sides.length > 1 ? Double.parseDouble(sides[1]) : 1);
        return Math.max(ratio, 1 / ratio);
    }

    private void distortion(Entry entry) {
        String name = in.getAttributeValue(null, "model");
        if (name == null || name.equals("none")) {
            return;
        }
        Distortion.Model model = Distortion.Model.valueOf(name.toUpperCase(Locale.ROOT));
        List<Double> terms =
                model.termNames().stream().map(term -> number(term)).toList();
        replace(entry.distortion, new AtFocal<>(number("focal"), new Distortion(model, terms)));
    }

    private Fringes fringes() {
        return "linear".equals(in.getAttributeValue(null, "model"))
                ? Fringes.linear(number("kr", 1), number("kb", 1))
                : new Fringes(
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
