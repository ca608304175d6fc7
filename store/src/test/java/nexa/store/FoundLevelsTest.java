package nexa.store;

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
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.level.LevelLine;
import nexa.core.shoot.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Levels found before are known again as long as nothing has changed that they rest on. */
class FoundLevelsTest {
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

    private Optional<FoundLevel> find(FoundLevels levels, Photo photo) {
        return levels.find(photo, () -> {
            looked.incrementAndGet();
            return Optional.of(FOUND);
        });
    }

    private void findAndSave() {
        FoundLevels levels = FoundLevels.of(folder, data);
        find(levels, PHOTO);
        levels.save();
    }

    @Test
    void whatWasFoundIsKnownInTheNextRun() {
        findAndSave();
        assertThat(find(FoundLevels.of(folder, data), PHOTO)).hasValue(FOUND);
        assertThat(find(FoundLevels.of(folder, data), PHOTO.withAngle(new Angle(3))))
                .as("the angle comes after it")
                .hasValue(FOUND);
        assertThat(looked.get()).isEqualTo(1);
    }

    @Test
    void anotherFileAnotherTimeOrAnotherPreparationIsLookedAtAnew() throws Exception {
        findAndSave();
        find(
                FoundLevels.of(folder, data),
                PHOTO.withPreparation(PHOTO.preparation().withMirrored(true)));
        assertThat(looked.get()).isEqualTo(2);
        Files.setLastModifiedTime(folder.resolve("a.jpg"), FileTime.fromMillis(1_000_000));
        find(FoundLevels.of(folder, data), PHOTO);
        assertThat(looked.get()).isEqualTo(3);
        Files.write(folder.resolve("a.jpg"), new byte[11]);
        Files.setLastModifiedTime(folder.resolve("a.jpg"), FileTime.fromMillis(1_000_000));
        find(FoundLevels.of(folder, data), PHOTO);
        assertThat(looked.get()).isEqualTo(4);
    }

    @Test
    void whatIsFoundWhileThePhotoChangesIsNotKept() throws Exception {
        FoundLevels levels = FoundLevels.of(folder, data);
        levels.find(PHOTO, () -> {
            Files.write(folder.resolve("a.jpg"), new byte[20]);
            return Optional.of(FOUND);
        });
        find(levels, PHOTO);
        assertThat(looked.get()).isEqualTo(1);
    }

    @Test
    void whatWasGivenUpIsNotKept() {
        FoundLevels levels = FoundLevels.of(folder, data);
        assertThat(levels.find(PHOTO, Optional::empty)).isEmpty();
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
                List.of("", "{", "[]", "{\"finder\":1,\"photos\":[{\"file\":3}]}", "{\"finder\":0,\"photos\":[]}")) {
            Files.writeString(kept, broken);
            assertThat(find(FoundLevels.of(folder, data), PHOTO)).hasValue(FOUND);
        }
        assertThat(looked.get()).isEqualTo(6);
    }

    @Test
    void onlyTheFoldersLookedAtLastAreKept() throws Exception {
        for (int i = 0; i < 70; i++) {
            Path other = Files.createDirectory(temporary.resolve("shoot " + i));
            Files.write(other.resolve("a.jpg"), new byte[10]);
            FoundLevels levels = FoundLevels.of(other, data);
            find(levels, PHOTO);
            levels.save();
        }
        try (Stream<Path> files = Files.list(data.found())) {
            assertThat(files.count()).isEqualTo(64);
        }
    }
}
