package nexa.store.shoot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.BDDMockito.willThrow;
import static org.mockito.Mockito.CALLS_REAL_METHODS;
import static org.mockito.Mockito.mock;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import nexa.core.geometry.Angle;
import nexa.core.series.Renamed;
import nexa.core.shoot.Edit;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.files.Disk;
import nexa.store.Said;
import nexa.store.document.ShootDocument;
import nexa.store.document.ShootProblem;
import nexa.store.user.RecentShoots;
import nexa.store.user.UserData;
import org.junit.jupiter.api.Test;

class ShootFolderTest extends ShootFolderFixture {
    @Test
    void aFolderWithoutADocumentOpensWithItsPhotosUntouched() throws Exception {
        Shoot shoot = ShootFolder.look(folder, userData).shoot();
        assertThat(shoot.title()).isEqualTo("spring firing");
        assertThat(shoot.photos()).extracting(Photo::file).containsExactly("a.jpg", "b.JPG", "über \"x\" 🏺.png");
        assertThat(shoot.formats())
                .extracting(format -> format.ratio().toString())
                .contains("photo", "free");
        assertThat(folder.resolve(ShootDocument.NAME)).doesNotExist();
    }

    @Test
    void whatWasSavedIsThereAgainAndNewPhotosJoinIn() throws Exception {
        ShootFolder first = ShootFolder.open(folder, userData);
        Shoot turned = first.shoot().with("a.jpg", photo -> photo.withAngle(new Angle(2)));
        first.save(turned);
        first.close();
        assertThat(ShootFolder.look(folder, userData).shoot()).isEqualTo(turned);

        Files.createFile(folder.resolve("c.jpg"));
        Files.delete(folder.resolve("b.JPG"));
        Shoot again = ShootFolder.look(folder, userData).shoot();
        assertThat(again.photo("a.jpg").angle()).isEqualTo(new Angle(2));
        assertThat(again.photos()).extracting(Photo::file).contains("b.JPG", "c.jpg");
    }

    @Test
    void aRawFileBesideAJpegIsSaidOfItsPhotoAndTheChoiceOfTwoPhotosIsKept() throws Exception {
        Files.createFile(folder.resolve("a.DNG"));
        Files.createFile(folder.resolve("c.cr3"));
        try (ShootFolder first = ShootFolder.open(folder, userData)) {
            assertThat(first.shoot().photos())
                    .extracting(Photo::file)
                    .containsExactly("a.jpg", "b.JPG", "c.cr3", "über \"x\" 🏺.png");
            first.save(first.shoot());
        }
        String saved = Files.readString(folder.resolve(ShootDocument.NAME));
        assertThat(saved).contains("\"raw\" : \"a.DNG\"").doesNotContain("\"pairs\"");
        try (ShootFolder second = ShootFolder.open(folder, userData)) {
            assertThat(second.shoot().photo("a.jpg").raw()).contains("a.DNG");
            second.save(second.shoot().withPairs(Shoot.Pairs.APART));
        }
        Shoot apart = ShootFolder.look(folder, userData).shoot();
        assertThat(apart.pairs()).isEqualTo(Shoot.Pairs.APART);
        assertThat(apart.photo("a.jpg").raw()).isEmpty();
        assertThat(apart.photo("a.DNG").raw()).isEmpty();
    }

    @Test
    void aShootIsLookedAtWhileItsFirstDocumentComesAndGoes() throws Exception {
        Path saved = Files.createDirectory(temporary.resolve("saved")).resolve(ShootDocument.NAME);
        try (ShootFolder first = ShootFolder.open(folder, userData)) {
            first.save(first.shoot());
        }
        Path document = folder.resolve(ShootDocument.NAME);
        AtomicBoolean isDone = new AtomicBoolean();
        CompletableFuture<Void> other = CompletableFuture.runAsync(() -> {
            try {
                while (!isDone.get()) {
                    Files.move(document, saved);
                    Files.move(saved, document);
                }
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
        try {
            for (int i = 0; i < 300; i++) {
                assertThat(ShootFolder.look(folder, userData).shoot().photos()).hasSize(3);
            }
        } finally {
            isDone.set(true);
        }
        other.get(20, TimeUnit.SECONDS);
    }

    @Test
    void aSecondWindowLooksOnUntilTheFirstIsClosed() throws Exception {
        try (ShootFolder first = ShootFolder.open(folder, userData)) {
            ShootFolder second = ShootFolder.open(folder, userData);
            assertThat(second.isReadOnly()).isTrue();
            assertThatExceptionOfType(ShootProblem.class)
                    .isThrownBy(() -> second.save(second.shoot()))
                    .satisfies(Said.saying("open in another window"));
            assertThat(first.isReadOnly()).isFalse();
        }
        try (ShootFolder third = ShootFolder.open(folder, userData)) {
            assertThat(third.isReadOnly()).isFalse();
        }
    }

    @Test
    void aDocumentChangedFromOutsideIsLeftAndTheWorkKeptAside() throws Exception {
        try (ShootFolder opened = ShootFolder.open(folder, userData)) {
            opened.save(opened.shoot());
            Path document = folder.resolve(ShootDocument.NAME);
            Files.writeString(document, Files.readString(document).replace("spring firing", "autumn firing"));
            Shoot turned = opened.shoot().with("a.jpg", photo -> photo.withAngle(new Angle(2)));
            assertThatExceptionOfType(ShootProblem.class)
                    .isThrownBy(() -> opened.save(turned))
                    .satisfies(Said.saying("changed by something else"))
                    .satisfies(Said.saying("kept aside"));
            opened.save(turned.with("a.jpg", photo -> photo.withAngle(new Angle(4))));
            assertThat(document).content().contains("autumn firing").doesNotContain("\"angle\"");
            try (var files = Files.list(folder)) {
                Path aside = files.filter(file -> file.getFileName().toString().contains("kept aside"))
                        .findFirst()
                        .orElseThrow();
                assertThat(aside).content().contains("\"angle\" : 4.0");
            }
        }
    }

    @Test
    void foldersBelowAreOfferedAndTenThousandOtherFilesAreNoMatter() throws Exception {
        for (int i = 0; i < 10_000; i++) {
            Files.createFile(folder.resolve("note " + i + ".txt"));
        }
        ShootFolder opened = ShootFolder.look(folder, userData);
        assertThat(opened.below()).containsExactly(folder.resolve("below.jpg"));
        assertThat(opened.shoot().photos()).hasSize(3);
    }

    /** A disk with no room for files in the folder, when that is so. */
    private Disk fullWhere(BooleanSupplier isFull) throws IOException {
        Disk disk = mock(Disk.class, CALLS_REAL_METHODS);
        willThrow(new IOException("No space left on device"))
                .given(disk)
                .replace(argThat(file -> file.startsWith(folder) && isFull.getAsBoolean()), any());
        return disk;
    }

    @Test
    void whereTheFolderCannotBeWrittenTheShootIsKeptInTheUsersData() throws Exception {
        ShootFolder first = ShootFolder.open(folder, userData, fullWhere(() -> true));
        Shoot turned = first.shoot().with("a.jpg", photo -> photo.withAngle(new Angle(3)));
        first.save(turned);
        assertThat(first.isKeptApart()).isTrue();
        assertThat(folder.resolve(ShootDocument.NAME)).doesNotExist();
        first.close();
        assertThat(ShootFolder.look(folder, userData).shoot()).isEqualTo(turned);
    }

    @Test
    void whereNeitherCanBeWrittenTheMessageNamesBothAndWhatIsSafe() throws Exception {
        UserData nowhere = new UserData(Files.createFile(temporary.resolve("file")));
        ShootFolder opened = ShootFolder.open(folder, nowhere, fullWhere(() -> true));
        assertThatExceptionOfType(ShootProblem.class)
                .isThrownBy(() -> opened.save(opened.shoot()))
                .satisfies(Said.saying("spring firing"))
                .satisfies(Said.saying("still here"));
    }

    @Test
    void aFolderThatIsNotThereIsNamed() {
        assertThatExceptionOfType(ShootProblem.class)
                .isThrownBy(() -> ShootFolder.open(folder.resolve("gone"), userData))
                .satisfies(Said.saying("gone is not there"));
        assertThatExceptionOfType(ShootProblem.class)
                .isThrownBy(() -> ShootFolder.open(folder.resolve("a.jpg"), userData))
                .satisfies(Said.saying("is not a folder"));
    }

    @Test
    void theLatestShootsComeFirstAndThoseGoneAreLeftOut() throws Exception {
        RecentShoots recent = new RecentShoots(userData);
        assertThat(recent.list()).isEmpty();
        Path other = Files.createDirectory(temporary.resolve("other"));
        recent.add(folder);
        recent.add(other);
        recent.add(temporary.resolve("gone"));
        recent.add(folder);
        assertThat(new RecentShoots(userData).list()).containsExactly(folder, other);
    }

    @Test
    void aSecondOpeningInOneProgramLeavesTheLockToTheFirst() throws Exception {
        try (ShootFolder first = ShootFolder.open(folder, userData)) {
            ShootFolder.open(folder, userData).close();
            assertThat(isLockedForOtherPrograms()).isTrue();
            assertThat(first.isReadOnly()).isFalse();
        }
        assertThat(isLockedForOtherPrograms()).isFalse();
    }

    @Test
    void aDocumentOfTheFutureBesideThePhotosHidesNothingThatWasSavedApart() throws Exception {
        AtomicBoolean isFull = new AtomicBoolean();
        try (ShootFolder opened = ShootFolder.open(folder, userData, fullWhere(isFull::get))) {
            opened.save(opened.shoot());
            isFull.set(true);
            Shoot turned = opened.shoot().with("a.jpg", photo -> photo.withAngle(new Angle(3)));
            opened.record(Edit.between(Edit.Kind.LEVEL, Optional.empty(), opened.shoot(), turned));
            opened.save(turned);
        }
        Files.setLastModifiedTime(
                folder.resolve(ShootDocument.NAME), FileTime.from(Instant.parse("2099-01-01T00:00:00Z")));
        assertThat(ShootFolder.look(folder, userData).shoot().photo("a.jpg").angle())
                .isEqualTo(new Angle(3));
    }

    @Test
    void aPhotoUnderItsNewNameLeavesNoCellOfItsOldOne() throws Exception {
        FileIdentity identity = new FileIdentity(7, "f00d");
        try (ShootFolder opened = ShootFolder.open(folder, userData)) {
            Shoot known = opened.shoot()
                    .with("a.jpg", photo -> photo.withIdentity(identity).withAngle(new Angle(2)));
            opened.save(known);
        }
        Files.move(folder.resolve("a.jpg"), folder.resolve("z.jpg"));
        try (ShootFolder opened = ShootFolder.open(folder, userData)) {
            assertThat(opened.missing()).containsExactly("a.jpg");
            Shoot read = opened.shoot().with("z.jpg", photo -> photo.withIdentity(identity));
            assertThat(Renamed.find(read, opened.missing())).containsExactly(Map.entry("a.jpg", "z.jpg"));
            opened.save(Renamed.takeAlong(read, Map.of("a.jpg", "z.jpg")));
        }
        Shoot again = ShootFolder.look(folder, userData).shoot();
        assertThat(again.photo("z.jpg").angle()).isEqualTo(new Angle(2));
        assertThat(again.find("a.jpg")).isEmpty();
    }

    /** Another program, since one program's locks are no matter to itself. */
    private boolean isLockedForOtherPrograms() throws Exception {
        return CrashTest.java(
                                LookingOn.class,
                                folder.toString(),
                                userData.folder().toString())
                        .start()
                        .waitFor()
                == LookingOn.IS_READ_ONLY;
    }

    /** The other program. */
    public static final class LookingOn {
        static final int IS_READ_ONLY = 7;

        private LookingOn() {}

        public static void main(String[] arguments) throws Exception {
            try (ShootFolder opened = ShootFolder.open(Path.of(arguments[0]), new UserData(Path.of(arguments[1])))) {
                System.exit(opened.isReadOnly() ? IS_READ_ONLY : 0);
            }
        }
    }
}
