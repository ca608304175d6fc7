package nexa.store.lens;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import nexa.core.lens.AtFocal;
import nexa.core.lens.KnownCamera;
import nexa.core.lens.KnownLens;
import nexa.core.lens.LensBook;
import nexa.core.lens.Taken;
import nexa.core.lens.VignettingSample;
import nexa.core.shape.Distortion;
import nexa.core.shape.LateralChromaticAberration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LensDataTest {
    private static final String ENTRIES = """
            <lensdatabase version="1">
              <mount><name>Alder M</name><compat>Alder L</compat></mount>
              <camera>
                <maker>Alder Works</maker><maker lang="en">Alder</maker>
                <model>Alder A2</model><model lang="en">A2</model>
                <mount>Alder M</mount><cropfactor>1.53</cropfactor>
              </camera>
              <lens>
                <maker>Birch</maker>
                <model>Birch 24-70mm f/2.8 &amp; more</model><model lang="en">24-70</model>
                <mount>Alder M</mount><mount>Alder L</mount>
                <cropfactor>1</cropfactor><aspect-ratio>4:3</aspect-ratio>
                <calibration>
                  <!-- measured in the yard -->
                  <distortion model="ptlens" focal="24" a="0.01" b="-0.03" c="0.002"/>
                  <distortion model="ptlens" focal="70" b="0.01"/>
                  <distortion model="acm" focal="70" k1="0.01"/>
                  <tca model="poly3" focal="24" vr="1.1" vb="0.9"/>
                  <tca model="poly3" focal="24" vr="1.0004" vb="0.9997" br="0.0001"/>
                  <tca model="linear" focal="70" kr="1.0002" kb="0.9999"/>
                  <vignetting model="pa" focal="24" aperture="2.8" distance="10" k1="-0.5" k2="0.1" k3="-0.02"/>
                  <vignetting model="pa" focal="24" aperture="0" distance="10" k1="-0.5" k2="0.1" k3="-0.02"/>
                </calibration>
              </lens>
              <lens>
                <maker>Birch</maker><model>Round 8mm</model><type>fisheye</type><cropfactor>1</cropfactor>
              </lens>
              <lens><maker>Birch</maker><model>broken</model><cropfactor>900</cropfactor></lens>
            </lensdatabase>
            """;

    @TempDir
    Path folder;

    @Test
    void camerasAndLensesAreReadWithAllTheirMeasurements() throws Exception {
        Files.writeString(folder.resolve("a.xml"), ENTRIES);
        LensBook book = LensData.read(folder).book();
        assertThat(book.cameras()).containsExactly(new KnownCamera("Alder Works", "Alder A2", "Alder M", 1.53));
        assertThat(book.lenses())
                .extracting(KnownLens::model)
                .containsExactly("Birch 24-70mm f/2.8 & more", "Round 8mm");
        assertThat(book.lenses()).extracting(KnownLens::isRectilinear).containsExactly(true, false);
        assertThat(book.lenses().get(0))
                .isEqualTo(new KnownLens(
                        "Birch",
                        "Birch 24-70mm f/2.8 & more",
                        Set.of("Alder M", "Alder L"),
                        1,
                        4.0 / 3,
                        true,
                        List.of(
                                new AtFocal<>(24, new Distortion(Distortion.Model.PTLENS, List.of(0.01, -0.03, 0.002))),
                                new AtFocal<>(70, new Distortion(Distortion.Model.PTLENS, List.of(0.0, 0.01, 0.0)))),
                        List.of(
                                new AtFocal<>(
                                        24,
                                        new LateralChromaticAberration(
                                                List.of(1.0004, 0.0, 0.0001), List.of(0.9997, 0.0, 0.0))),
                                new AtFocal<>(70, LateralChromaticAberration.linear(1.0002, 0.9999))),
                        List.of(new VignettingSample(24, 2.8, 10, List.of(-0.5, 0.1, -0.02)))));
    }

    @Test
    void aFileThatIsNoXmlTakesNothingFromTheOthers() throws Exception {
        Files.writeString(folder.resolve("a.xml"), ENTRIES.substring(0, 700));
        Files.writeString(folder.resolve("b.xml"), ENTRIES);
        Files.writeString(folder.resolve("c.txt"), ENTRIES);
        ReadLenses read = LensData.read(folder);
        assertThat(read.book().lenses()).hasSize(2);
        assertThat(read.told()).hasSize(2);
        assertThat(read.told().get(0)).asString().contains("lens.fileNotRead", "a.xml");
    }

    /** A lens with something in its calibration and in its own place. */
    private static String lens(String model, String aspect, String calibration) {
        return "<lens><maker>Birch</maker><model>" + model + "</model>" + aspect
                + "<mount>M</mount><cropfactor>1</cropfactor><calibration>" + calibration + "</calibration></lens>";
    }

    private ReadLenses read(String entries) throws Exception {
        Files.writeString(folder.resolve("a.xml"), "<lensdatabase>" + entries + "</lensdatabase>");
        return LensData.read(folder);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<aspect-ratio>:</aspect-ratio>",
                "<aspect-ratio>3:</aspect-ratio>",
                "<aspect-ratio></aspect-ratio>",
                "<cropfactor>x</cropfactor>",
                "<distortion model='poly3' focal='24' k1='NaN'/>",
                "<distortion model='ptlens' focal='0' a='0.1'/>",
                "<vignetting focal='24' aperture='0' distance='10' k1='0'/>",
                "<vignetting focal='24' aperture='4' distance='10' k1='1e300'/>"
            })
    void whatMakesNoSenseIsPassedOverAndCountedAndTheRestStands(String bad) throws Exception {
        String good = "<distortion model='poly3' focal='50' k1='0.01'/>";
        ReadLenses read = read(lens("one", bad, bad.startsWith("<d") ? bad + good : good) + lens("two", "", good));
        assertThat(read.book().lenses()).extracting(KnownLens::model).containsExactly("one", "two");
        assertThat(read.book().lenses()).allMatch(lens -> lens.distortion().size() == 1);
        assertThat(read.told()).singleElement().asString().contains("lens.passedOver", "a.xml");
    }

    @Test
    void whatStandsInsideANameTakesNothingFromTheOthers() throws Exception {
        ReadLenses read = read(lens("<b>bold</b> one", "", "")
                + lens("two", "<aspect-ratio>0:0</aspect-ratio>", "")
                + lens("x".repeat(2000), "", "")
                + lens("three", "", ""));
        assertThat(read.book().lenses()).extracting(KnownLens::model).containsExactly("one", "", "three");
    }

    @Test
    void aLensOfFarTooManyMeasurementsIsReadInOneGo() throws Exception {
        StringBuilder many = new StringBuilder();
        for (int i = 0; i < 60_000; i++) {
            many.append("<vignetting focal='")
                    .append(10 + i / 100.0)
                    .append("' aperture='4' distance='10' k1='-0.1'/>");
        }
        ReadLenses read = read(lens("one", "", many.toString()));
        assertThat(read.book().lenses().get(0).darkening()).hasSize(2000);
        assertThat(read.told()).singleElement().asString().contains("58000");
    }

    @Test
    void measurementsBetweenWhichNoLensLiesPutNothingRight() throws Exception {
        ReadLenses read = read(
                lens(
                        "24-70mm",
                        "",
                        "<distortion model='poly3' focal='24' k1='-10'/><distortion model='poly3' focal='25' k1='0.3'/>"
                                + "<distortion model='poly3' focal='69' k1='0.3'/><distortion model='poly3' focal='70' k1='-10'/>"));
        Taken between = new Taken(
                Optional.empty(),
                Optional.empty(),
                Optional.of("24-70mm"),
                OptionalDouble.of(30),
                OptionalDouble.of(30),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        KnownLens lens = read.book().lens(between).orElseThrow();
        assertThat(lens.distortion()).hasSize(4);
        assertThat(read.book().putRight(lens, between)).isEmpty();
    }

    @Test
    void nothingOutsideTheFileIsRead() throws Exception {
        Path secret = Files.writeString(folder.resolve("secret"), "kiln");
        Files.writeString(
                folder.resolve("a.xml"),
                "<!DOCTYPE x [<!ENTITY s SYSTEM \"" + secret.toUri() + "\">]><lensdatabase><lens><maker>&s;</maker>"
                        + "<model>m</model></lens></lensdatabase>");
        assertThat(LensData.read(folder).book().lenses())
                .extracting(KnownLens::maker)
                .doesNotContain("kiln");
    }

    @Test
    void withoutTheDataNoLensIsKnown() {
        LensBook none = LensData.read(folder.resolve("not there")).book();
        Taken taken = new Taken(
                Optional.of("Alder Works"),
                Optional.of("Alder A2"),
                Optional.of("Birch 24-70mm f/2.8 & more"),
                OptionalDouble.of(24),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        assertThat(none.lens(taken)).isEmpty();
    }
}
