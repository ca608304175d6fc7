package nexa.desktop.sheet;

import static nexa.desktop.session.SessionFixture.on;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.find.FoundSubject;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.desktop.session.SessionFixture;
import nexa.desktop.session.ShootSession;
import nexa.desktop.session.WorkedOut;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Choosing photos, and which the sheet shows. */
class ChoosingTest {
    private static final List<String> AS_THEY_LIE = List.of("w1.png", "w2.png", "w3.png", "w4.png", "t1.png", "t2.png");

    @TempDir
    Path temporary;

    private SessionFixture fixture;
    private ShootSession session;
    private Choosing choosing;

    @BeforeEach
    void open() throws Exception {
        Path folder = SessionFixture.photos(Files.createDirectory(temporary.resolve("shoot")));
        fixture = SessionFixture.open(folder, temporary.resolve("data"));
        session = fixture.session();
        choosing = new Choosing(session);
    }

    @AfterEach
    void close() throws Exception {
        fixture.close();
    }

    private Set<String> chosen() {
        return session.chosenProperty().get();
    }

    private void run(Runnable action) throws Exception {
        on(() -> {
            action.run();
            return null;
        });
    }

    @Test
    void oneAloneOneMoreAndOneLess() throws Exception {
        run(() -> choosing.only("w2.png"));
        assertThat(session.photoProperty().get()).hasValue("w2.png");
        run(() -> choosing.toggle("t1.png"));
        assertThat(chosen()).containsExactlyInAnyOrder("w2.png", "t1.png");
        run(() -> choosing.toggle("w2.png"));
        assertThat(chosen()).containsExactly("t1.png");
        run(() -> choosing.only("w4.png"));
        assertThat(chosen()).containsExactly("w4.png");
    }

    @Test
    void aRangeRunsFromWhereItBeganEitherWayAndCanShrink() throws Exception {
        run(() -> choosing.only("w2.png"));
        run(() -> choosing.rangeTo("t1.png", AS_THEY_LIE));
        assertThat(chosen()).containsExactlyInAnyOrder("w2.png", "w3.png", "w4.png", "t1.png");
        run(() -> choosing.rangeTo("w3.png", AS_THEY_LIE));
        assertThat(chosen()).containsExactlyInAnyOrder("w2.png", "w3.png");
        run(() -> choosing.rangeTo("w1.png", AS_THEY_LIE));
        assertThat(chosen()).containsExactlyInAnyOrder("w1.png", "w2.png");
    }

    @Test
    void aRangeToAPhotoThatIsNotShownChoosesItAlone() throws Exception {
        run(() -> choosing.only("w2.png"));
        run(() -> choosing.rangeTo("t2.png", AS_THEY_LIE.subList(0, 4)));
        assertThat(chosen()).containsExactly("t2.png");
    }

    @Test
    void withNothingChosenThePhotoWorkedOnIsMeant() throws Exception {
        run(() -> session.goTo(Optional.of("w3.png")));
        run(() -> session.chosenProperty().set(Set.of()));
        assertThat(choosing.files()).containsExactly("w3.png");
        run(() -> choosing.all(AS_THEY_LIE));
        assertThat(choosing.files()).hasSize(6);
    }

    @Test
    void theSheetShowsWhatIsAskedFor() throws Exception {
        run(() -> session.edit(
                Edit.Kind.MARK,
                shoot -> shoot.with("w1.png", photo -> photo.withMark(Mark.OUT))
                        .with("w2.png", photo -> photo.withMark(Mark.SELECT))
                        .with("w3.png", photo -> done(photo))));
        assertThat(shown(SheetFilter.EVERYTHING)).hasSize(6);
        assertThat(shown(SheetFilter.ALL_BUT_OUT)).doesNotContain("w1.png").hasSize(5);
        assertThat(shown(SheetFilter.SELECTS)).containsExactly("w2.png");
        assertThat(shown(SheetFilter.NOT_DONE)).containsExactlyInAnyOrder("w2.png", "w4.png", "t1.png", "t2.png");
        assertThat(shown(SheetFilter.NEEDS_A_LOOK)).isEmpty();
    }

    private Photo done(Photo photo) {
        String format = session.formatProperty().get();
        return photo.withEntry(format, photo.entry(format).withDone(true));
    }

    @Test
    void withPeopleAndWithoutIsKnownOfPhotosThatWereLookedAt() throws Exception {
        Map<String, FoundSubject> seen = Map.of(
                "w1.png", found(FoundSubject.Named.persons(2)),
                "w2.png", found(FoundSubject.Named.animals(1)),
                "t1.png", FoundSubject.none(FoundSubject.Reason.NOTHING_STANDS_OUT, 0));
        assertThat(shown(SheetFilter.WITH_PEOPLE, seen)).containsExactly("w1.png");
        assertThat(shown(SheetFilter.WITHOUT_PEOPLE, seen)).containsExactlyInAnyOrder("w2.png", "t1.png");
    }

    private static FoundSubject found(FoundSubject.Named named) {
        Bounds box = new Bounds(new Point(0.2, 0.2), new Point(0.4, 0.8));
        return new FoundSubject(named, Optional.of(Subject.around(box.middle(), box, new Size(600, 400))), 0.8);
    }

    private List<String> shown(SheetFilter filter) throws Exception {
        return shown(filter, Map.of());
    }

    private List<String> shown(SheetFilter filter, Map<String, FoundSubject> seen) throws Exception {
        return on(() -> session.photos().stream()
                .filter(photo -> filter.lets(WorkedOut.of(session.now()), seen, photo))
                .map(Photo::file)
                .toList());
    }
}
