package nexa.core.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Eyes;
import nexa.core.shoot.Subject;
import org.junit.jupiter.api.Test;

/** What a picture is said to be about, by what is seen in it. */
class SubjectClaimTest {
    private static final Size PICTURE = new Size(600, 400);

    /** A picture in which some things are seen, and which tells what was looked for. */
    private static final class Picture implements Sight {
        private final List<SeenThing> things = new ArrayList<>();
        private final List<SeenFace> faces = new ArrayList<>();
        private final List<SeenFace> nearFaces = new ArrayList<>();
        private Optional<SalientRegion> salient = Optional.empty();
        private final List<String> looked = new ArrayList<>();

        Picture with(ThingKind kind, double score, double... box) {
            things.add(new SeenThing(kind, score, bounds(box)));
            return this;
        }

        Picture withFace(double score, double... box) {
            faces.add(face(score, box));
            return this;
        }

        Picture withNearFace(double score, double... box) {
            nearFaces.add(face(score, box));
            return this;
        }

        Picture withSalient(double... box) {
            salient = Optional.of(region(0, 0, 0.6, bounds(box)));
            return this;
        }

        FoundSubject found() {
            return SubjectClaim.of(this).found();
        }

        Bounds box() {
            return found().subject().orElseThrow().box();
        }

        @Override
        public Size picture() {
            return PICTURE;
        }

        @Override
        public List<SeenThing> things() {
            return things;
        }

        @Override
        public List<SeenFace> faces() {
            looked.add("faces");
            return faces;
        }

        @Override
        public List<SeenFace> nearFaces() {
            looked.add("near faces");
            return nearFaces;
        }

        @Override
        public Optional<SalientRegion> salient() {
            looked.add("salient");
            return salient;
        }
    }

    private static Bounds bounds(double... box) {
        return new Bounds(new Point(box[0], box[1]), new Point(box[2], box[3]));
    }

    /** Its eyes lie two fifths down, at a quarter and three quarters, the nose between. */
    private static SeenFace face(double score, double... box) {
        Bounds bounds = bounds(box);
        Point size = bounds.extent();
        Point least = bounds.least();
        return new SeenFace(
                score,
                bounds,
                least.plus(new Point(0.25 * size.x(), 0.4 * size.y())),
                least.plus(new Point(0.75 * size.x(), 0.4 * size.y())),
                least.plus(new Point(0.5 * size.x(), 0.6 * size.y())));
    }

    private static SalientRegion region(double second, double touch, double weight, Bounds box) {
        return new SalientRegion(box.middle(), box, 0.15, 0.7, 0.1, 0.08, weight, second, touch, 0);
    }

    private static void assertBox(Bounds box, double... expected) {
        assertThat(box.least().distance(new Point(expected[0], expected[1]))).isLessThan(1e-9);
        assertThat(box.most().distance(new Point(expected[2], expected[3]))).isLessThan(1e-9);
    }

    @Test
    void whereOneThingStandsOutItIsTheSubject() {
        FoundSubject one = new Picture().withSalient(0.3, 0.3, 0.5, 0.6).found();
        assertThat(one.certainty()).isEqualTo(Certainty.SURE);
        assertThat(one.reason()).isEqualTo(FoundSubject.Reason.STANDS_OUT);
        Subject subject = one.subject().orElseThrow();
        assertThat(subject.at().distance(new Point(0.4, 0.45))).isLessThan(1e-9);
        assertThat(subject.radius().orElseThrow())
                .as("half of the root of 120 times 120 pixels, of 400")
                .isCloseTo(60 / 400.0, within(1e-9));
        assertThat(new Picture().found().reason()).isEqualTo(FoundSubject.Reason.NOTHING_STANDS_OUT);
    }

    @Test
    void whatStandsOutInDoubtIsNotClaimedAndTheReasonIsSaid() {
        Bounds box = bounds(0.3, 0.3, 0.5, 0.6);
        Picture picture = new Picture();
        picture.salient = Optional.of(region(0.95, 0, 0.3, box));
        assertThat(picture.found().reason()).isEqualTo(FoundSubject.Reason.SEVERAL_ALIKE);
        picture.salient = Optional.of(region(0, 0.3, 0.6, box));
        assertThat(picture.found().reason()).isEqualTo(FoundSubject.Reason.AT_EDGE);
    }

    @Test
    void livingThingsComeBeforeThingsAndThoseBeforeWhatStandsOut() {
        Picture picture = new Picture()
                .withSalient(0.7, 0.1, 0.9, 0.4)
                .with(ThingKind.BICYCLE, 0.9, 0.5, 0.4, 0.9, 0.9)
                .with(ThingKind.HORSE, 0.6, 0.2, 0.2, 0.5, 0.8);
        assertThat(picture.found().reason()).isEqualTo(FoundSubject.Reason.ANIMAL);
        assertBox(picture.box(), 0.2, 0.2, 0.5, 0.8);
        assertThat(picture.looked).as("nothing else had to be looked for").isEmpty();

        picture.things.remove(1);
        assertThat(picture.found().named()).isEqualTo(FoundSubject.Named.thing(ThingKind.BICYCLE));
        assertBox(picture.box(), 0.5, 0.4, 0.9, 0.9);

        picture.things.set(0, new SeenThing(ThingKind.BOWL, 0.9, bounds(0.5, 0.4, 0.9, 0.9)));
        assertBox(picture.box(), 0.7, 0.1, 0.9, 0.4);
    }

    @Test
    void whoIsAlmostAsLargeAsTheLeadBelongsToIt() {
        Picture picture = new Picture()
                .with(ThingKind.PERSON, 0.8, 0.2, 0.2, 0.4, 0.9)
                .with(ThingKind.PERSON, 0.7, 0.45, 0.3, 0.6, 0.9)
                .with(ThingKind.PERSON, 0.9, 0.9, 0.1, 0.95, 0.3);
        assertThat(picture.found().named()).isEqualTo(FoundSubject.Named.persons(2));
        assertBox(picture.box(), 0.2, 0.2, 0.6, 0.9);
        assertThat(picture.found().confidence()).isEqualTo(0.8);
    }

    @Test
    void theSameAnimalTakenForTwoKindsIsOne() {
        Picture picture = new Picture()
                .with(ThingKind.DOG, 0.6, 0.2, 0.2, 0.6, 0.8)
                .with(ThingKind.CAT, 0.7, 0.22, 0.2, 0.6, 0.82);
        assertThat(picture.found().named()).isEqualTo(FoundSubject.Named.animals(1));
    }

    @Test
    void whatIsDoubtfulHasToStandOutTooAndIsNotCalledByAName() {
        Picture picture = new Picture().with(ThingKind.PERSON, 0.4, 0.2, 0.2, 0.5, 0.9);
        assertThat(picture.found().subject()).as("nothing stands out there").isEmpty();
        picture.withSalient(0.25, 0.3, 0.45, 0.7);
        assertThat(picture.found().reason()).isEqualTo(FoundSubject.Reason.STANDS_OUT);
        assertThat(picture.found().certainty()).isEqualTo(Certainty.LIKELY);
        assertBox(picture.box(), 0.2, 0.2, 0.5, 0.9);
        picture.withSalient(0.7, 0.3, 0.9, 0.7);
        assertBox(picture.box(), 0.7, 0.3, 0.9, 0.7);
    }

    @Test
    void aDoubtfulThingGivesWayToWhatStandsOutMoreSurelyElsewhere() {
        Picture picture = new Picture().with(ThingKind.CUP, 0.45, 0.6, 0.4, 0.8, 0.7);
        assertThat(picture.found().reason()).as("not called a cup").isEqualTo(FoundSubject.Reason.STANDS_OUT);
        assertBox(picture.box(), 0.6, 0.4, 0.8, 0.7);
        picture.withSalient(0.1, 0.4, 0.4, 0.7);
        assertBox(picture.box(), 0.1, 0.4, 0.4, 0.7);
        picture.with(ThingKind.CUP, 0.55, 0.6, 0.4, 0.8, 0.7);
        assertBox(picture.box(), 0.6, 0.4, 0.8, 0.7);
    }

    @Test
    void someoneTinyIsNotWhatAPictureIsAbout() {
        Picture picture =
                new Picture().with(ThingKind.PERSON, 0.9, 0.5, 0.5, 0.55, 0.7).withSalient(0.1, 0.1, 0.3, 0.4);
        assertBox(picture.box(), 0.1, 0.1, 0.3, 0.4);
    }

    @Test
    void thePersonsFaceSaysWhereTheEyesAreAndTheBodyStaysTheSubject() {
        Picture picture = new Picture()
                .with(ThingKind.PERSON, 0.8, 0.3, 0.1, 0.6, 0.9)
                .withFace(0.9, 0.4, 0.15, 0.48, 0.27)
                .withFace(0.9, 0.8, 0.15, 0.88, 0.27);
        assertBox(picture.box(), 0.3, 0.1, 0.6, 0.9);
        Subject subject = picture.found().subject().orElseThrow();
        Eyes eyes = subject.eyes().orElseThrow();
        assertThat(subject.at().plus(eyes.one()).distance(new Point(0.42, 0.198)))
                .as("of the face on the person, not of the one beside")
                .isLessThan(1e-9);
        assertThat(subject.at().plus(eyes.other()).distance(new Point(0.46, 0.198)))
                .isLessThan(1e-9);
    }

    @Test
    void aFaceThatFillsThePersonIsAPortraitAndHasRoomForTheHead() {
        Picture picture =
                new Picture().with(ThingKind.PERSON, 0.8, 0.1, 0.1, 0.9, 1).withFace(0.9, 0.3, 0.2, 0.7, 0.6);
        assertThat(picture.found().named()).isEqualTo(FoundSubject.Named.persons(1));
        assertBox(picture.box(), 0.26, 0.08, 0.74, 0.62);
        assertThat(SubjectClaim.of(picture).faces()).hasSize(1);
    }

    @Test
    void theOtherModelOfFacesIsAskedOnlyWhereTheFirstSeesNone() {
        Picture picture = new Picture().with(ThingKind.PERSON, 0.8, 0.1, 0.1, 0.9, 1);
        assertThat(picture.found().subject().orElseThrow().eyes()).isEmpty();
        assertThat(picture.looked).containsExactly("faces", "near faces");
        picture.looked.clear();
        picture.withNearFace(0.7, 0.2, 0.2, 0.7, 0.7);
        assertThat(picture.found().subject().orElseThrow().eyes()).isPresent();
        picture.looked.clear();
        picture.withFace(0.5, 0.4, 0.2, 0.5, 0.3);
        assertThat(picture.found().subject().orElseThrow().eyes()).isPresent();
        assertThat(picture.looked).containsOnly("faces");
    }

    @Test
    void facesWithoutAPersonNeedToBeSure() {
        assertThat(new Picture().withFace(0.7, 0.4, 0.2, 0.5, 0.3).found().subject())
                .isEmpty();
        assertThat(new Picture().withFace(0.85, 0.4, 0.2, 0.5, 0.3).found().reason())
                .isEqualTo(FoundSubject.Reason.PERSON);
        assertThat(new Picture().withNearFace(0.85, 0.2, 0.2, 0.7, 0.7).found().subject())
                .isEmpty();
        assertThat(new Picture().withNearFace(0.95, 0.2, 0.2, 0.3, 0.3).found().subject())
                .as("too small for the model of near ones")
                .isEmpty();
        Picture two = new Picture().withFace(0.9, 0.2, 0.2, 0.3, 0.35).withFace(0.85, 0.6, 0.2, 0.7, 0.35);
        assertThat(two.found().named()).isEqualTo(FoundSubject.Named.persons(2));
        Eyes eyes = two.found().subject().orElseThrow().eyes().orElseThrow();
        double middle = two.found().subject().orElseThrow().at().x()
                + (eyes.one().x() + eyes.other().x()) / 2;
        assertThat(middle).as("in the mean of faces about as large").isCloseTo(0.45, within(1e-9));
    }
}
