package nexa.store.user;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.find.ThingKind;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.level.LevelLine;
import nexa.core.shoot.Eyes;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What was found before is known again as long as nothing has changed that they rest on. */
class KeptFindingsTest {
    private static final FoundLevel FOUND = new FoundLevel(
            Certainty.SURE,
            FoundLevel.Reason.UPRIGHTS,
            1.7,
            0.02,
            List.of(new LevelLine(new Segment(new Point(1, 2), new Point(3.5, 400)), -2.25)));
    private static final Photo PHOTO = Photo.untouched("a.jpg");

    @TempDir
    Path temporary;

    private Path folder;
    private UserData data;
    private final AtomicInteger looked = new AtomicInteger();

    @BeforeEach
    void makePhoto() throws Exception {
        folder = Files.createDirectory(temporary.resolve("shoot"));
        data = new UserData(temporary.resolve("data"));
        Files.write(folder.resolve("a.jpg"), new byte[10]);
    }

    private Optional<FoundLevel> find(KeptFindings levels, Photo photo) {
        return levels.find(FoundLevel.class, photo, () -> {
            looked.incrementAndGet();
            return Optional.of(FOUND);
        });
    }

    private void findAndSave() {
        KeptFindings levels = KeptFindings.of(folder, data);
        find(levels, PHOTO);
        levels.save();
    }

    @Test
    void whatWasFoundIsKnownInTheNextRun() {
        findAndSave();
        assertThat(find(KeptFindings.of(folder, data), PHOTO)).hasValue(FOUND);
        assertThat(find(KeptFindings.of(folder, data), PHOTO.withAngle(new Angle(3))))
                .as("the angle comes after it")
                .hasValue(FOUND);
        assertThat(looked.get()).isEqualTo(1);
    }

    @Test
    void bordersAndSubjectsAreKnownBesideLevels() throws Exception {
        Trim trim = new Trim(0.1, 0, 0.2, 0.05);
        FoundTrim border = new FoundTrim(FoundTrim.Reason.PLAIN_SIDES, trim, 0.95);
        Subject spot = Subject.around(
                        new Point(0.25, 0.5), new Bounds(new Point(0.1, 0.3), new Point(0.5, 0.6)), new Size(600, 400))
                .withEyes(Optional.of(
                        new Eyes(new Point(-0.05, -0.1), new Point(0.05, -0.1), Optional.of(new Point(0, 0)))));
        FoundSubject subject = new FoundSubject(FoundSubject.Named.persons(2), Optional.of(spot), 0.9);
        FoundSubject boat = new FoundSubject(
                FoundSubject.Named.thing(ThingKind.BOAT), Optional.of(spot.withEyes(Optional.empty())), 0.6);
        FoundSubject nothing = FoundSubject.none(FoundSubject.Reason.SEVERAL_ALIKE, 0.1);
        Photo other = Photo.untouched("b.jpg");
        Files.write(folder.resolve("c.jpg"), new byte[30]);
        Photo second = Photo.untouched("c.jpg");
        KeptFindings findings = KeptFindings.of(folder, data);
        findings.find(FoundTrim.class, PHOTO, () -> Optional.of(border));
        findings.find(FoundSubject.class, PHOTO, () -> Optional.of(subject));
        findings.find(FoundSubject.class, second, () -> Optional.of(boat));
        find(findings, PHOTO);
        findings.save();
        KeptFindings later = KeptFindings.of(folder, data);
        assertThat(later.find(FoundTrim.class, PHOTO, Optional::empty)).hasValue(border);
        assertThat(later.find(FoundSubject.class, PHOTO, Optional::empty)).hasValue(subject);
        assertThat(later.find(FoundSubject.class, second, Optional::empty)).hasValue(boat);
        assertThat(later.find(FoundLevel.class, PHOTO, Optional::empty)).hasValue(FOUND);
        // A border is looked for in all of the photo, what else there is inside its trim.
        Photo trimmed = PHOTO.withTrim(trim);
        assertThat(later.find(FoundTrim.class, trimmed, Optional::empty)).hasValue(border);
        assertThat(later.find(FoundSubject.class, trimmed, () -> Optional.of(nothing)))
                .hasValue(nothing);
        assertThat(later.find(FoundLevel.class, other, Optional::empty)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"1.7, -46", "1.7, 1e9", "0.02, -1", "uprights, guesswork", "sure, surely", "\"level\", \"horizon\""})
    void whatNothingCanFindIsFoundAgainAndTheRestIsKept(String was, String is) throws Exception {
        Files.write(folder.resolve("b.jpg"), new byte[20]);
        Photo other = Photo.untouched("b.jpg");
        findAndSave();
        Path file = keptFile();
        Files.writeString(file, Files.readString(file).replace(was, is));
        KeptFindings damaged = KeptFindings.of(folder, data);
        find(damaged, other);
        damaged.save();
        KeptFindings later = KeptFindings.of(folder, data);
        looked.set(0);
        assertThat(find(later, other)).hasValue(FOUND);
        assertThat(looked.get()).isZero();
        assertThat(find(later, PHOTO)).hasValue(FOUND);
        assertThat(looked.get()).isEqualTo(1);
    }

    private Path keptFile() throws Exception {
        try (Stream<Path> files = Files.list(data.found())) {
            return files.findFirst().orElseThrow();
        }
    }

    @Test
    void anotherFileAnotherTimeOrAnotherPreparationIsLookedAtAnew() throws Exception {
        findAndSave();
        find(
                KeptFindings.of(folder, data),
                PHOTO.withPreparation(PHOTO.preparation().withMirrored(true)));
        assertThat(looked.get()).isEqualTo(2);
        Files.setLastModifiedTime(folder.resolve("a.jpg"), FileTime.fromMillis(1_000_000));
        find(KeptFindings.of(folder, data), PHOTO);
        assertThat(looked.get()).isEqualTo(3);
        Files.write(folder.resolve("a.jpg"), new byte[11]);
        Files.setLastModifiedTime(folder.resolve("a.jpg"), FileTime.fromMillis(1_000_000));
        find(KeptFindings.of(folder, data), PHOTO);
        assertThat(looked.get()).isEqualTo(4);
    }

    @Test
    void whatIsFoundWhileThePhotoChangesIsNotKept() throws Exception {
        KeptFindings levels = KeptFindings.of(folder, data);
        levels.find(FoundLevel.class, PHOTO, () -> {
            Files.write(folder.resolve("a.jpg"), new byte[20]);
            return Optional.of(FOUND);
        });
        find(levels, PHOTO);
        assertThat(looked.get()).isEqualTo(1);
    }

    @Test
    void whatWasGivenUpIsNotKept() {
        KeptFindings levels = KeptFindings.of(folder, data);
        assertThat(levels.find(FoundLevel.class, PHOTO, Optional::empty)).isEmpty();
        assertThat(find(levels, PHOTO)).hasValue(FOUND);
    }

    @Test
    void whatCannotBeReadCountsAsNothing() throws Exception {
        findAndSave();
        Path kept;
        try (Stream<Path> files = Files.list(data.found())) {
            kept = files.findFirst().orElseThrow();
        }
        for (String broken :
                List.of("", "{", "[]", "{\"finder\":3,\"photos\":[{\"file\":3}]}", "{\"finder\":0,\"photos\":[]}")) {
            Files.writeString(kept, broken);
            assertThat(find(KeptFindings.of(folder, data), PHOTO)).hasValue(FOUND);
        }
        assertThat(looked.get()).isEqualTo(6);
    }

    @Test
    void onlyTheFoldersLookedAtLastAreKept() throws Exception {
        for (int i = 0; i < 70; i++) {
            Path other = Files.createDirectory(temporary.resolve("shoot " + i));
            Files.write(other.resolve("a.jpg"), new byte[10]);
            KeptFindings levels = KeptFindings.of(other, data);
            find(levels, PHOTO);
            levels.save();
        }
        try (Stream<Path> files = Files.list(data.found())) {
            assertThat(files.count()).isEqualTo(64);
        }
    }
}
