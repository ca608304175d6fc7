package nexa.store.lens;

import java.io.ByteArrayOutputStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import nexa.core.lens.AtFocal;
import nexa.core.lens.KnownLens;
import nexa.core.lens.OwnProfile;
import nexa.core.lens.VignettingSample;
import nexa.core.shape.Distortion;
import nexa.core.shape.LateralChromaticAberration;

/** Writes a camera and a lens as the open lens data's XML, as {@link LensXml} reads it. */
final class LensXmlWriter {
    private final XMLStreamWriter out;
    private int depth;

    private LensXmlWriter(XMLStreamWriter out) {
        this.out = out;
    }

    static byte[] bytes(OwnProfile profile) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            XMLStreamWriter out =
                    XMLOutputFactory.newFactory().createXMLStreamWriter(bytes, StandardCharsets.UTF_8.name());
            out.writeStartDocument("utf-8", "1.0");
            new LensXmlWriter(out).write(profile);
            out.writeEndDocument();
            out.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException("a lens could not be written as XML", e);
        }
        return bytes.toByteArray();
    }

    private void write(OwnProfile profile) throws XMLStreamException {
        begin("lensdatabase");
        out.writeAttribute("version", "1");
        begin("camera");
        text("maker", profile.camera().maker());
        text("model", profile.camera().model());
        text("mount", profile.camera().mount());
        text("cropfactor", number(profile.camera().cropFactor()));
        end();
        write(profile.lens());
        end();
        out.writeCharacters("\n");
    }

    private void write(KnownLens lens) throws XMLStreamException {
        begin("lens");
        text("maker", lens.maker());
        text("model", lens.model());
        for (String mount : lens.mounts().stream().sorted().toList()) {
            text("mount", mount);
        }
        text("cropfactor", number(lens.cropFactor()));
        text("aspect-ratio", number(lens.aspect()));
        begin("calibration");
        for (AtFocal<Distortion> one : lens.distortion()) {
            write(one);
        }
        for (AtFocal<LateralChromaticAberration> one : lens.fringes()) {
            writeFringes(one);
        }
        for (VignettingSample one : lens.darkening()) {
            write(one);
        }
        end();
        end();
    }

    private void write(AtFocal<Distortion> one) throws XMLStreamException {
        Distortion.Model model = one.terms().model();
        empty("distortion", model.name().toLowerCase(Locale.ROOT), one.focal());
        terms(model.termNames(), one.terms().terms());
    }

    private void writeFringes(AtFocal<LateralChromaticAberration> one) throws XMLStreamException {
        empty("tca", "poly3", one.focal());
        terms(List.of("vr", "cr", "br"), one.terms().red());
        terms(List.of("vb", "cb", "bb"), one.terms().blue());
    }

    private void write(VignettingSample one) throws XMLStreamException {
        empty("vignetting", "pa", one.focal());
        out.writeAttribute("aperture", number(one.aperture()));
        out.writeAttribute("distance", number(one.distance()));
        terms(List.of("k1", "k2", "k3"), one.terms());
    }

    private void terms(List<String> names, List<Double> terms) throws XMLStreamException {
        for (int i = 0; i < names.size(); i++) {
            out.writeAttribute(names.get(i), number(terms.get(i)));
        }
    }

    /** All digits, and no exponent, which not every reader knows. */
    private static String number(double value) {
        return new BigDecimal(Double.toString(value)).toPlainString();
    }

    private void newLine() throws XMLStreamException {
        out.writeCharacters("\n" + "    ".repeat(depth));
    }

    private void begin(String name) throws XMLStreamException {
        newLine();
        out.writeStartElement(name);
        depth++;
    }

    private void end() throws XMLStreamException {
        depth--;
        newLine();
        out.writeEndElement();
    }

    private void empty(String name, String model, double focal) throws XMLStreamException {
        newLine();
        out.writeEmptyElement(name);
        out.writeAttribute("model", model);
        out.writeAttribute("focal", number(focal));
    }

    private void text(String name, String text) throws XMLStreamException {
        newLine();
        out.writeStartElement(name);
        out.writeCharacters(text);
        out.writeEndElement();
    }
}
