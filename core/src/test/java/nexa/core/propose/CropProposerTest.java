package nexa.core.propose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import nexa.core.find.SalientMap;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.guide.GuideKind;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Proposals are crops one could have made: inside, of the ratio, holding what was marked, and always the same. */
class CropProposerTest {
    private static final Photo PHOTO = Photo.untouched("a.jpg").withPixels(new PixelSize(2400, 1600));
    private static final Bounds ALL = new Bounds(Point.ORIGIN, new Point(2400, 1600));

    /** A thing about a place of the photo stands out of nothing. */
    private static Scene scene(Point at, double radius, Segment... edges) {
        int width = 240;
        int height = 160;
        float[] salience = new float[width * height];
        float[] focus = new float[width * height];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                double off = new Point(10 * x + 5, 10 * y + 5).distance(at);
                salience[y * width + x] = off < radius ? 1 : 0.02f;
                focus[y * width + x] = off < radius ? 1 : 0.1f;
            }
        }
        Point reach = new Point(radius, radius);
        Scene.Thing thing =
                new Scene.Thing(at, new Bounds(at.minus(reach), at.plus(reach)), 0.9, Optional.empty(), List.of());
        return new Scene(new SalientMap(width, height, salience, focus), ALL, Optional.of(thing), List.of(edges));
    }

    static Stream<Arguments> photos() {
        Subject mark = new Subject(new Point(0.2, 0.3), OptionalDouble.of(0.12));
        return Stream.of(
                        PHOTO,
                        PHOTO.withAngle(new Angle(4.5)),
                        PHOTO.withAngle(new Angle(-31)),
                        PHOTO.withTrim(new Trim(0.1, 0.05, 0.2, 0)),
                        PHOTO.withTrim(new Trim(0.02, 0.05, 0, 0)).withAngle(new Angle(-3)),
                        PHOTO.withSubject(Optional.of(mark)),
                        PHOTO.withSubject(Optional.of(mark)).withAngle(new Angle(2)))
                .flatMap(photo -> Stream.of(0.8, 1.0, 16 / 9.0, 21 / 9.0).map(ratio -> Arguments.of(photo, ratio)));
    }

    @ParameterizedTest
    @MethodSource("photos")
    void theyAreInsideOfTheRatioAndNeverCutWhatWasMarked(Photo photo, double ratio) {
        Scene scene = scene(new Point(1500, 900), 220);
        List<Proposal> proposals = new CropProposer(scene, photo).propose(ratio, 8);
        assertThat(proposals).hasSizeGreaterThanOrEqualTo(1);
        for (Proposal proposal : proposals) {
            Crop crop = proposal.crop();
            assertThat(photo.outline().contains(crop, 1e-5)).isTrue();
            assertThat(crop.size().ratio()).isCloseTo(ratio, within(1e-9));
            assertThat(proposal.reasons()).hasSizeBetween(1, 2);
            photo.subject().ifPresent(mark -> {
                Point place = crop.placeOf(mark.in(photo.space()), photo.angle());
                double radius = mark.radiusIn(photo.space()).orElseThrow();
                double across = radius / crop.size().width() - 1e-9;
                double down = radius / crop.size().height() - 1e-9;
                assertThat(place.x()).isBetween(across, 1 - across);
                assertThat(place.y()).isBetween(down, 1 - down);
            });
        }
        assertThat(new CropProposer(scene(new Point(1500, 900), 220), photo).propose(ratio, 8))
                .isEqualTo(proposals);
        assertThat(new CropProposer(scene, photo).propose(ratio, 4))
                .as("the first of them are the first")
                .isEqualTo(proposals.subList(0, Math.min(4, proposals.size())));
    }

    @Test
    void theyDifferFromOneAnother() {
        List<Proposal> proposals = new CropProposer(scene(new Point(1300, 800), 200), PHOTO).propose(0.8, 4);
        assertThat(proposals).hasSize(4);
        for (Proposal one : proposals) {
            for (Proposal other : proposals) {
                if (one != other) {
                    double moved = one.crop().centre().distance(other.crop().centre())
                            / one.crop().size().shortSide();
                    double sized =
                            one.crop().size().width() / other.crop().size().width();
                    assertThat(moved > 0.05 || Math.abs(Math.log(sized)) > 0.05).isTrue();
                }
            }
        }
    }

    @Test
    void whatIsSaidOfAProposalIsSo() {
        Segment table = new Segment(new Point(100, 1010), new Point(2300, 1012));
        List<Proposal> proposals = new CropProposer(scene(new Point(1500, 800), 150, table), PHOTO).propose(1.5, 8);
        assertThat(proposals.stream().flatMap(proposal -> proposal.reasons().stream()))
                .anyMatch(reason -> reason.name().startsWith("SUBJECT_"))
                .anyMatch(reason -> reason.name().startsWith("EDGE_"));
        for (Proposal proposal : proposals) {
            Point subject = proposal.crop().placeOf(new Point(1500, 800), Angle.NONE);
            Point edge = proposal.crop().placeOf(new Point(1200, 1011), Angle.NONE);
            for (Reason reason : proposal.reasons()) {
                switch (reason) {
                    case SUBJECT_LEFT_THIRD -> assertThat(subject.x()).isCloseTo(1 / 3.0, within(0.06));
                    case SUBJECT_RIGHT_THIRD -> assertThat(subject.x()).isCloseTo(2 / 3.0, within(0.06));
                    case EDGE_LOWER_THIRD -> assertThat(edge.y()).isCloseTo(2 / 3.0, within(0.05));
                    case EDGE_UPPER_THIRD -> assertThat(edge.y()).isCloseTo(1 / 3.0, within(0.05));
                    case SUBJECT_MIDDLE -> assertThat(subject.x()).isCloseTo(0.5, within(0.05));
                    case MOST_OF_PHOTO ->
                        assertThat(proposal.crop().size().width()).isCloseTo(2400, within(1.0));
                    default ->
                        assertThat(reason.guide().map(GuideKind::family))
                                .isNotEqualTo(Optional.of(GuideKind.Family.CURVE));
                }
            }
        }
    }

    @Test
    void insideABorderThatNobodyTrimmedYetNothingOfItIsProposed() {
        Scene plain = scene(new Point(1300, 800), 200);
        Bounds inside = new Bounds(new Point(0, 200), new Point(2400, 1400));
        Scene framed = new Scene(plain.map(), inside, plain.thing(), List.of());
        for (Proposal proposal : new CropProposer(framed, PHOTO).propose(1, 6)) {
            assertThat(proposal.crop().at(0, 0, Angle.NONE).y()).isGreaterThanOrEqualTo(200 - 1e-6);
            assertThat(proposal.crop().at(1, 1, Angle.NONE).y()).isLessThanOrEqualTo(1400 + 1e-6);
        }
    }

    @Test
    void withoutAnythingThatStandsOutMostOfThePhotoIsKept() {
        Scene empty =
                new Scene(new SalientMap(24, 16, new float[384], new float[384]), ALL, Optional.empty(), List.of());
        List<Proposal> proposals = new CropProposer(empty, PHOTO).propose(1, 4);
        assertThat(proposals)
                .allSatisfy(proposal -> assertThat(PHOTO.outline().contains(proposal.crop(), 1e-6))
                        .isTrue());
    }

    /** A person in the middle of the photo, with eyes in the upper part. */
    private static Scene person(Bounds box, double confidence) {
        Point eyes =
                new Point(box.middle().x(), box.least().y() + 0.1 * box.extent().y());
        Point around = new Point(90, 110);
        Scene.Thing thing = new Scene.Thing(
                box.middle(),
                box,
                confidence,
                Optional.of(eyes),
                List.of(new Bounds(eyes.minus(around), eyes.plus(around))));
        Scene stands = scene(box.middle(), 250);
        return new Scene(stands.map(), ALL, Optional.of(thing), List.of());
    }

    private static boolean holds(Crop crop, Bounds box) {
        return crop.placeOf(box.least(), Angle.NONE).x() >= -1e-9
                && crop.placeOf(box.least(), Angle.NONE).y() >= -1e-9
                && crop.placeOf(box.most(), Angle.NONE).x() <= 1 + 1e-9
                && crop.placeOf(box.most(), Angle.NONE).y() <= 1 + 1e-9;
    }

    @Test
    void whoIsSurelyFoundIsKeptWholeWhereACropCanHoldTheBody() {
        Bounds body = new Bounds(new Point(1000, 150), new Point(1400, 1450));
        for (double ratio : new double[] {0.8, 1, 16 / 9.0}) {
            List<Proposal> proposals = new CropProposer(person(body, 0.8), PHOTO).propose(ratio, 8);
            assertThat(proposals).isNotEmpty().allMatch(proposal -> holds(proposal.crop(), body));
        }
    }

    @Test
    void whereNoCropHoldsTheBodyItHoldsTheHeadWithTheEyesUp() {
        Bounds body = new Bounds(new Point(800, 100), new Point(1600, 1600));
        Scene scene = person(body, 0.8);
        Bounds head = scene.thing().orElseThrow().heads().get(0);
        Proposal first = new CropProposer(scene, PHOTO).propose(21 / 9.0, 8).get(0);
        assertThat(holds(first.crop(), body)).isFalse();
        assertThat(holds(first.crop(), head)).isTrue();
    }

    @Test
    void eyesOnAnUpperGuideSpeakForACrop() {
        Bounds body = new Bounds(new Point(1100, 500), new Point(1300, 1100));
        assertThat(new CropProposer(person(body, 0.9), PHOTO)
                        .propose(0.8, 8).stream().flatMap(proposal -> proposal.reasons().stream()))
                .containsAnyOf(Reason.EYES_UPPER_THIRD, Reason.EYES_UPPER_SECTION)
                .doesNotContain(Reason.SUBJECT_LOWER_THIRD);
    }
}
