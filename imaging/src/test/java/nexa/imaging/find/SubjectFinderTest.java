package nexa.imaging.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.core.find.FoundSubject;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.propose.CropProposer;
import nexa.core.propose.Proposal;
import nexa.core.propose.Scene;
import nexa.core.shoot.Eyes;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.PhotoFolder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What photos are about: those of the sample shoot against what was drawn, and pictures made for the purpose. */
class SubjectFinderTest {
    private static final Path SAMPLE = Path.of("..", "sample");
    private static final Pattern TRUTH = Pattern.compile(
            "\"file\": \"(.*?)\".*\"readable\": true.*\"subject\": \\[(.*?), (.*?)\\], \"radius\": ([0-9.]+)");

    @TempDir
    Path folder;

    private static FoundSubject found(Path file, Photo photo) throws Exception {
        return PhotoFinder.find(FoundSubject.class, new PhotoFolder(file.getParent()), photo, () -> false)
                .orElseThrow();
    }

    @Test
    void theSamplesSubjectsAreFoundWhereTheyWereDrawn() throws Exception {
        boolean isThorough = Boolean.getBoolean("nexa.thorough");
        int every = isThorough ? 1 : 4;
        int claimed = 0;
        int inside = 0;
        int seen = 0;
        int all = 0;
        for (String line : Files.readAllLines(SAMPLE.resolve("truth.json"))) {
            Matcher truth = TRUTH.matcher(line);
            if (truth.find() && seen++ % every == (every - 1) / 2) {
                Path file = SAMPLE.resolve("photos").resolve(truth.group(1));
                Photo photo = TestPhotos.photo(file);
                Optional<Point> at = found(file, photo).subject().map(subject -> subject.in(photo.space()));
                Point drawn = photo.space()
                        .toPlane(new Point(Double.parseDouble(truth.group(2)), Double.parseDouble(truth.group(3))));
                double radius =
                        Double.parseDouble(truth.group(4)) * photo.size().shortSide();
                all++;
                claimed += at.isPresent() ? 1 : 0;
                inside += at.filter(found -> found.distance(drawn) <= radius).isPresent() ? 1 : 0;
            }
        }
        assertThat(all).isEqualTo((31 + every - 1) / every);
        assertThat(claimed).isGreaterThanOrEqualTo(isThorough ? 29 : 8);
        assertThat(inside).isGreaterThanOrEqualTo(isThorough ? 26 : 7);
    }

    @Test
    void theFiringsHelpersArePeopleAndTheirEyesAreWhereTheyWereDrawn() throws Exception {
        FoundSubject one = helper("fern-0187.jpg");
        assertThat(one.reason()).isEqualTo(FoundSubject.Reason.PERSON);
        assertEyes(one, 0.501, 0.361, 0.596, 0.364);
        assertThat(one.subject().orElseThrow().box().extent().y())
                .as("the body is the subject, from the head to the photo's edge")
                .isGreaterThan(0.65);
        FoundSubject aside = helper("fern-0188.jpg");
        assertThat(aside.reason()).isEqualTo(FoundSubject.Reason.PERSON);
        assertEyes(aside, 0.498, 0.362, 0.527, 0.362);
        FoundSubject both = helper("fern-0189.jpg");
        assertThat(both.named()).isEqualTo(FoundSubject.Named.persons(2));
        Bounds box = both.subject().orElseThrow().box();
        assertThat(box.least().x()).isLessThan(0.1);
        assertThat(box.most().x()).isGreaterThan(0.88);
    }

    private static FoundSubject helper(String name) throws Exception {
        Path file = SAMPLE.resolve("photos").resolve(name);
        return found(file, TestPhotos.photo(file));
    }

    private static void assertEyes(FoundSubject found, double x, double y, double otherX, double otherY) {
        Subject subject = found.subject().orElseThrow();
        Eyes eyes = subject.eyes().orElseThrow();
        assertThat(subject.at().plus(eyes.one()).distance(new Point(x, y))).isLessThan(0.02);
        assertThat(subject.at().plus(eyes.other()).distance(new Point(otherX, otherY)))
                .isLessThan(0.02);
    }

    @Test
    void aTurnedMirroredOrTrimmedPersonIsFoundOnTheSamePlaceOfThePhoto() throws Exception {
        Path file = SAMPLE.resolve("photos").resolve("fern-0187.jpg");
        Photo photo = TestPhotos.photo(file);
        Subject plain = found(file, photo).subject().orElseThrow();
        Photo mirrored = photo.withPreparation(photo.preparation().mirrored());
        Subject inMirror = found(file, mirrored).subject().orElseThrow().mirrored();
        assertThat(inMirror.box().least().distance(plain.box().least())).isLessThan(0.03);
        Photo trimmed = photo.withTrim(new Trim(0.15, 0.1, 0.1, 0.05));
        Subject inTrim = found(file, trimmed).subject().orElseThrow();
        assertThat(inTrim.box().least().distance(plain.box().least())).isLessThan(0.03);
        assertThat(inTrim.box().most().y()).as("where the trim ends").isLessThanOrEqualTo(0.95 + 1e-9);
        Point eye = inTrim.at().plus(inTrim.eyes().orElseThrow().one());
        assertThat(eye.distance(plain.at().plus(plain.eyes().orElseThrow().one())))
                .isLessThan(0.02);
    }

    private Path disc(int x, int y) {
        return disc(x, y, 900, 600);
    }

    private Path disc(int x, int y, int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(new Color(150, 160, 150));
        pen.fillRect(0, 0, width, height);
        pen.setColor(new Color(190, 60, 40));
        pen.fillOval(x - 70, y - 70, 140, 140);
        pen.dispose();
        return TestPhotos.write(image, folder.resolve("disc.png"));
    }

    @Test
    void itIsTheSameThingHoweverThePhotoIsTurnedAndTrimmed() throws Exception {
        Path file = disc(360, 330);
        Photo photo = TestPhotos.photo(file);
        FoundSubject plain = found(file, photo);
        assertThat(plain.subject().orElseThrow().at().distance(new Point(0.4, 0.55)))
                .isLessThan(0.02);
        assertThat(plain.subject().orElseThrow().radius().orElseThrow()).isCloseTo(70 / 600.0, within(0.03));
        Photo turned = photo.withPreparation(photo.preparation().turnedRight());
        assertThat(found(file, turned).subject().orElseThrow().at().distance(new Point(0.45, 0.4)))
                .isLessThan(0.02);
        Photo trimmed = photo.withTrim(new Trim(0.1, 0.1, 0, 0.1));
        assertThat(found(file, trimmed).subject().orElseThrow().at().distance(new Point(0.4, 0.55)))
                .as("in fractions of the whole photo")
                .isLessThan(0.02);
    }

    @Test
    void whatIsSeenLiesInThePhotoToItsEdgesHoweverItsPictureIsRounded() throws Exception {
        Path file = disc(700, 480, 1501, 997);
        Photo photo = TestPhotos.photo(file);
        Scene scene =
                PhotoFinder.scene(new PhotoFolder(folder), photo, () -> false).orElseThrow();
        assertThat(scene.mapped().least()).isEqualTo(Point.ORIGIN);
        assertThat(scene.mapped().most().distance(new Point(1501, 997))).isLessThan(1e-9);
        assertThat(scene.thing().orElseThrow().at().distance(new Point(700, 480)))
                .isLessThan(20);
        for (Proposal proposal : new CropProposer(scene, photo).propose(1.2, 8)) {
            assertThat(photo.outline().contains(proposal.crop(), 1e-6)).isTrue();
        }
    }

    @Test
    void whereNothingStandsOutThereIsNoSubject() throws Exception {
        Path file = TestPhotos.write(MadePictures.noise(), folder.resolve("noise.png"));
        FoundSubject found = found(file, TestPhotos.photo(file));
        assertThat(found.isSomething()).isFalse();
        assertThat(found.subject()).isEmpty();
    }
}
