package nexa.store.shoot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Shoot;
import nexa.store.Said;
import nexa.store.document.ShootDocument;
import nexa.store.document.ShootProblem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files of unknown origin of the names that Nexa gives its own. */
class StrangeFilesTest extends ShootFolderFixture {
    @ParameterizedTest
    @ValueSource(strings = {ShootDocument.NAME, ".nexa-shoot.journal", ".nexa-shoot.lock"})
    @Timeout(20)
    @DisabledOnOs(OS.WINDOWS)
    void aPipeOfTheNameOfAFileOfNexasKeepsNobodyWaiting(String name) throws Exception {
        assertThat(new ProcessBuilder("mkfifo", folder.resolve(name).toString())
                        .start()
                        .waitFor())
                .isZero();
        if (name.equals(ShootDocument.NAME)) {
            assertThatExceptionOfType(ShootProblem.class)
                    .isThrownBy(() -> ShootFolder.open(folder, userData))
                    .satisfies(Said.saying("not a regular file"));
        } else {
            assertIsKeptApart();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {".nexa-shoot.journal", ".nexa-shoot.lock", ShootDocument.NAME})
    @DisabledOnOs(OS.WINDOWS)
    void aLinkIsNeverWrittenThrough(String name) throws Exception {
        Path photo = Files.writeString(temporary.resolve("photo.jpg"), "{ \"nexa\": 1 }");
        Files.createSymbolicLink(folder.resolve(name), photo);
        assertIsKeptApart();
        try (ShootFolder opened = ShootFolder.open(folder, userData)) {
            opened.save(opened.shoot());
        }
        assertThat(photo).hasContent("{ \"nexa\": 1 }");
    }

    @Test
    @DisabledOnOs(OS.WINDOWS)
    void aDocumentThatLeadsToAnEndlessDeviceIsRefused() throws Exception {
        Files.createSymbolicLink(folder.resolve(ShootDocument.NAME), Path.of("/dev/zero"));
        assertThatExceptionOfType(ShootProblem.class)
                .isThrownBy(() -> ShootFolder.look(folder, userData))
                .satisfies(Said.saying("not a regular file"));
    }

    @Test
    void aBrokenLineOfTheJournalIsToldAndTheOthersAreKept() throws Exception {
        Shoot last;
        try (ShootFolder opened = ShootFolder.open(folder, userData)) {
            Shoot one = opened.shoot().with("a.jpg", photo -> photo.withAngle(new Angle(1)));
            opened.record(Edit.between(Edit.Kind.LEVEL, Optional.empty(), opened.shoot(), one));
            last = one.with("b.JPG", photo -> photo.withAngle(new Angle(2)));
            opened.record(Edit.between(Edit.Kind.LEVEL, Optional.empty(), one, last));
        }
        Path journal = folder.resolve(".nexa-shoot.journal");
        List<String> lines = Files.readAllLines(journal);
        String tooFar = lines.get(0).replace("1.0", "99.0");
        Files.write(journal, List.of("garbage", lines.get(0), tooFar, lines.get(1)));

        ShootFolder looking = ShootFolder.look(folder, userData);
        assertThat(looking.shoot()).isEqualTo(last);
        assertThat(looking.notices()).anyMatch(notice -> Said.WORDS.say(notice).contains("2 of 4 edits"));
        try (ShootFolder opened = ShootFolder.open(folder, userData)) {
            assertThat(opened.shoot()).isEqualTo(last);
            assertThat(opened.notices())
                    .anyMatch(notice -> Said.WORDS.say(notice).contains("journal kept aside"));
        }
        assertThat(journal).doesNotExist();
        try (ShootFolder again = ShootFolder.open(folder, userData)) {
            assertThat(again.shoot()).isEqualTo(last);
            assertThat(again.notices()).isEmpty();
        }
    }

    private void assertIsKeptApart() throws Exception {
        Shoot turned;
        try (ShootFolder opened = ShootFolder.open(folder, userData)) {
            turned = opened.shoot().with("a.jpg", photo -> photo.withAngle(new Angle(2)));
            opened.record(Edit.between(Edit.Kind.LEVEL, Optional.empty(), opened.shoot(), turned));
        }
        assertThat(ShootFolder.look(folder, userData).shoot()).isEqualTo(turned);
    }
}
