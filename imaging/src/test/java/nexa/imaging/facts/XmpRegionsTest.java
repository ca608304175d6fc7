package nexa.imaging.facts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.shoot.Subject;
import nexa.imaging.TestPhotos;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Regions that other tools marked in a photo are its subject until the photographer marks another one. */
class XmpRegionsTest {
    @TempDir
    Path folder;

    /** What a photo of 600 × 400 with an XMP packet is about. */
    private Optional<Subject> subject(String description) throws Exception {
        return subject(description, Optional.empty());
    }

    private Optional<Subject> subject(String description, Optional<byte[]> exif) throws Exception {
        String packet = "<x:xmpmeta xmlns:x='adobe:ns:meta/'>"
                + "<rdf:RDF xmlns:rdf='http://www.w3.org/1999/02/22-rdf-syntax-ns#'>"
                + "<rdf:Description rdf:about=''"
                + " xmlns:mwg-rs='http://www.metadataworkinggroup.com/schemas/regions/'"
                + " xmlns:stArea='http://ns.adobe.com/xmp/sType/Area#'"
                + " xmlns:Iptc4xmpExt='http://iptc.org/std/Iptc4xmpExt/2008-02-29/'>"
                + description
                + "</rdf:Description></rdf:RDF></x:xmpmeta>";
        Path file = TestPhotos.write(TestPhotos.scene(600, 400), folder.resolve("a.jpg"));
        if (exif.isPresent()) {
            TestPhotos.addMetadata(file, exif.get(), null);
        }
        byte[] photo = Files.readAllBytes(file);
        byte[] segment = ("http://ns.adobe.com/xap/1.0/\0" + packet).getBytes(StandardCharsets.UTF_8);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(photo, 0, 2);
        out.write(0xFF);
        out.write(0xE1);
        out.write((segment.length + 2) >> 8);
        out.write((segment.length + 2) & 0xFF);
        out.writeBytes(segment);
        out.write(photo, 2, photo.length - 2);
        Files.write(file, out.toByteArray());
        return PhotoFacts.read(file).subject();
    }

    private static String areas(String... areas) {
        StringBuilder list = new StringBuilder();
        for (String area : areas) {
            list.append("<rdf:li rdf:parseType='Resource'><mwg-rs:Area ")
                    .append(area)
                    .append("/></rdf:li>");
        }
        return "<mwg-rs:Regions rdf:parseType='Resource'><mwg-rs:RegionList><rdf:Bag>"
                + list
                + "</rdf:Bag></mwg-rs:RegionList></mwg-rs:Regions>";
    }

    private static String boundary(String fields) {
        return "<Iptc4xmpExt:ImageRegion><rdf:Bag><rdf:li rdf:parseType='Resource'>"
                + "<Iptc4xmpExt:RegionBoundary rdf:parseType='Resource'>"
                + fields
                + "</Iptc4xmpExt:RegionBoundary></rdf:li></rdf:Bag></Iptc4xmpExt:ImageRegion>";
    }

    private static void assertNear(Optional<Subject> subject, double x, double y, double radius) {
        assertThat(subject.orElseThrow().at().distance(new Point(x, y))).isLessThan(1e-9);
        assertThat(subject.orElseThrow().radius().orElseThrow()).isCloseTo(radius, within(1e-9));
    }

    @Test
    void anAreaIsTheSubjectAndSeveralAreOneAroundAll() throws Exception {
        String face = "stArea:x='0.25' stArea:y='0.5' stArea:w='0.1' stArea:h='0.2' stArea:unit='normalized'";
        assertNear(subject(areas(face)), 0.25, 0.5, 0.1);
        String other = "stArea:x='0.75' stArea:y='0.5' stArea:d='0.1' stArea:unit='normalized'";
        // From 0.2 of the width to 0.75 and half of a tenth of the short side.
        double right = 0.75 + 0.05 * 400 / 600;
        assertNear(subject(areas(face, other)), (0.2 + right) / 2, 0.5, (right - 0.2) * 600 / 2 / 400);
    }

    @Test
    void whatTheCameraMarkedStandsAboveRegionsAndRegionsAreTurnedWithThePhoto() throws Exception {
        String face = areas("stArea:x='0.25' stArea:y='0.5' stArea:w='0.1' stArea:h='0.2'");
        byte[] camera = PhotoFactsTest.block(1, "2026:03:09 14:05:07", 300, 100, 80);
        assertNear(subject(face, Optional.of(camera)), 0.5, 0.25, 0.1);
        byte[] turned = TestPhotos.exif(6, new PixelSize(600, 400));
        assertNear(subject(face, Optional.of(turned)), 0.5, 0.25, 0.1);
        assertNear(
                subject(areas("stArea:x='0.25' stArea:y='0.4' stArea:w='0.1' stArea:h='0.2'"), Optional.of(turned)),
                0.6,
                0.25,
                0.1);
    }

    @Test
    void rectanglesAndCirclesOfTheIptcAreReadInSharesAndInPixels() throws Exception {
        assertNear(
                subject(boundary("<Iptc4xmpExt:rbUnit>relative</Iptc4xmpExt:rbUnit>"
                        + "<Iptc4xmpExt:rbX>0.2</Iptc4xmpExt:rbX><Iptc4xmpExt:rbY>0.4</Iptc4xmpExt:rbY>"
                        + "<Iptc4xmpExt:rbW>0.1</Iptc4xmpExt:rbW><Iptc4xmpExt:rbH>0.2</Iptc4xmpExt:rbH>")),
                0.25,
                0.5,
                0.1);
        assertNear(
                subject(boundary("<Iptc4xmpExt:rbUnit>pixel</Iptc4xmpExt:rbUnit>"
                        + "<Iptc4xmpExt:rbX>300</Iptc4xmpExt:rbX><Iptc4xmpExt:rbY>100</Iptc4xmpExt:rbY>"
                        + "<Iptc4xmpExt:rbRx>60</Iptc4xmpExt:rbRx>")),
                0.5,
                0.25,
                0.15);
    }

    @Test
    void whatIsBrokenOrDeclaresThingsOfItsOwnCountsAsNotThere() throws Exception {
        assertThat(subject(areas("stArea:x='left' stArea:y='0.5'"))).isEmpty();
        assertThat(subject(areas("stArea:x='3' stArea:y='0.5' stArea:w='0.1' stArea:h='0.1'")))
                .isEmpty();
        assertThat(subject("<unclosed>")).isEmpty();
        assertThat(subject("<!-- remark -->" + areas("stArea:x='0.5' stArea:y='0.5'")))
                .isEmpty();
    }
}
