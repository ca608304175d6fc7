package nexa.store.user;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.Map;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.Format;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Orientation;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is the photographer's and not a shoot's. */
class OwnThingsTest {
    private static final Format PRINT =
            Format.of("p", "Fair print", Ratio.of("4", "3")).withSize(new OutputSize.Print(16, 12, LengthUnit.CM, 240));

    @TempDir
    Path folder;

    @Test
    void preferencesAreThereInTheNextRun() {
        UserData data = new UserData(folder.resolve("new"));
        try (Preferences first = Preferences.load(data)) {
            assertThat(first.get("mat")).isEmpty();
            first.set("mat", "DÄRK = 1");
        }
        try (Preferences next = Preferences.load(data)) {
            assertThat(next.get("mat")).hasValue("DÄRK = 1");
        }
    }

    @Test
    void aFileOfTheProgramIsWrittenOnceAndPutRightWhereItIsNot() throws Exception {
        UserData data = new UserData(folder.resolve("new"));
        byte[] contents = {1, 2, 3};
        Path file = data.programFile("font.ttf", contents);
        assertThat(file).hasBinaryContent(contents);
        Files.setLastModifiedTime(file, FileTime.fromMillis(1_000_000));
        assertThat(data.programFile("font.ttf", contents)).isEqualTo(file);
        assertThat(Files.getLastModifiedTime(file).toMillis()).as("left alone").isEqualTo(1_000_000);
        Files.write(file, new byte[] {1});
        assertThat(data.programFile("font.ttf", contents)).hasBinaryContent(contents);
    }

    @Test
    void theTermsOfDeliveryAreTheSameInTheNextRun() {
        UserData data = new UserData(folder);
        DeliveryTerms asked = new DeliveryTerms(false, false, true, true, "© Fernhill = Pottery", "Ada Throw", false);
        try (Preferences first = Preferences.load(data)) {
            assertThat(KeptTerms.read(first)).isEqualTo(DeliveryTerms.USUAL);
            KeptTerms.keep(first, asked);
        }
        try (Preferences next = Preferences.load(data)) {
            assertThat(KeptTerms.read(next)).isEqualTo(asked);
        }
    }

    @Test
    void preferencesThatCannotBeReadCountAsNone() throws Exception {
        Files.writeString(folder.resolve("preferences.properties"), "a=\\u12");
        try (Preferences broken = Preferences.load(new UserData(folder))) {
            assertThat(broken.get("a")).isEmpty();
        }
    }

    @Test
    void formatsAreKeptByNameWithoutTheirLeadsAndForgottenAgain() {
        UserData data = new UserData(folder);
        try (KeptFormats kept = KeptFormats.load(data)) {
            kept.keep(PRINT.withLeads(Map.of(Orientation.WIDE, "a.jpg")));
            kept.keep(PRINT.withName("Another"));
            kept.keep(PRINT.withShape(Ratio.of("1", "1"), new OutputSize.AsCropped()));
        }
        try (KeptFormats next = KeptFormats.load(data)) {
            assertThat(next.list()).extracting(Format::name).containsExactly("Another", "Fair print");
            assertThat(next.list())
                    .allSatisfy(format -> assertThat(format.leads()).isEmpty());
            assertThat(next.find("Fair print").orElseThrow().ratio()).isEqualTo(Ratio.of("1", "1"));
            next.forget("Another");
        }
        try (KeptFormats last = KeptFormats.load(data)) {
            assertThat(last.list()).hasSize(1);
        }
    }
}
