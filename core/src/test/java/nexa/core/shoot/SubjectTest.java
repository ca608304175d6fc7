package nexa.core.shoot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.message.Rejected;
import nexa.core.shape.PhotoSpace;
import nexa.core.shape.Plane;
import org.junit.jupiter.api.Test;

/** Subjects that have a size and eyes. */
class SubjectTest {
    private static final Size PHOTO = new Size(3000, 2000);
    private static final Subject PERSON = Subject.around(
                    new Point(0.4, 0.5), new Bounds(new Point(0.3, 0.1), new Point(0.5, 0.9)), PHOTO)
            .withEyes(Optional.of(
                    new Eyes(new Point(-0.02, -0.3), new Point(0.02, -0.3), Optional.of(new Point(0, -0.27)))));

    private static void assertSame(Subject one, Subject other) {
        assertThat(one.at().distance(other.at())).isLessThan(1e-12);
        assertThat(one.radius().orElseThrow()).isCloseTo(other.radius().orElseThrow(), within(1e-12));
        assertThat(one.box().least().distance(other.box().least())).isLessThan(1e-12);
        assertThat(one.box().most().distance(other.box().most())).isLessThan(1e-12);
        Eyes eyes = one.eyes().orElseThrow();
        assertThat(eyes.one().distance(other.eyes().orElseThrow().one())).isLessThan(1e-12);
    }

    @Test
    void itsRadiusIsHalfOfTheRootOfItsArea() {
        PhotoSpace space = PhotoSpace.of(PHOTO);
        assertThat(PERSON.radiusIn(space)).hasValue(Math.sqrt(600 * 1600) / 2);
        assertThat(PERSON.radius().orElseThrow() * 2000).isCloseTo(Math.sqrt(600 * 1600) / 2, within(1e-9));
        Subject toldOtherwise = new Subject(PERSON.at(), OptionalDouble.of(0.01), PERSON.extent(), Optional.empty());
        assertThat(toldOtherwise.radiusIn(space)).as("the extent counts").isEqualTo(PERSON.radiusIn(space));
    }

    @Test
    void turnedAndMirroredAllOfItGoesAlong() {
        Subject turned = PERSON.turnedRight();
        assertThat(turned.box().least().distance(new Point(0.1, 0.3))).isLessThan(1e-12);
        assertThat(turned.box().most().distance(new Point(0.9, 0.5))).isLessThan(1e-12);
        Point eye = turned.at().plus(turned.eyes().orElseThrow().one());
        assertThat(eye.distance(new Point(0.8, 0.38))).isLessThan(1e-12);
        assertSame(turned.turnedRight().turnedRight().turnedRight(), PERSON);
        assertSame(PERSON.mirrored().mirrored(), PERSON);
        assertThat(PERSON.mirrored().box().least().x()).isCloseTo(0.5, within(1e-12));
    }

    @Test
    void withOneSideMovedTheEyesStayOnThePhoto() {
        Subject wider = PERSON.withBox(new Bounds(new Point(0.1, 0.1), new Point(0.5, 0.9)), PHOTO);
        assertThat(wider.box().least().distance(new Point(0.1, 0.1))).isLessThan(1e-12);
        assertThat(wider.at().distance(new Point(0.3, 0.5))).isLessThan(1e-12);
        Point eye = wider.at().plus(wider.eyes().orElseThrow().one());
        assertThat(eye.distance(new Point(0.38, 0.2))).isLessThan(1e-12);
        assertThat(wider.radiusIn(PhotoSpace.of(PHOTO)).orElseThrow())
                .isCloseTo(Math.sqrt(1200 * 1600) / 2, within(1e-9));
    }

    @Test
    void movedToTheEdgeItsBoxEndsWithThePhoto() {
        Subject moved = new Subject(new Point(1, 0.2), PERSON.radius(), PERSON.extent(), PERSON.eyes());
        assertThat(moved.box().most().distance(new Point(1, 0.6))).isLessThan(1e-12);
        assertThat(moved.box().least().distance(new Point(0.9, 0))).isLessThan(1e-12);
        assertThat(moved.reachIn(PhotoSpace.of(PHOTO)).most().x()).isZero();
        Subject thin = new Subject(
                new Point(1, 0.5),
                OptionalDouble.empty(),
                Optional.of(new Extent(0, -0.1, 0.1, 0.1)),
                Optional.empty());
        assertThat(thin.withBox(new Bounds(new Point(0.8, 0.4), new Point(1, 0.6)), PHOTO)
                        .at()
                        .x())
                .isCloseTo(0.9, within(1e-12));
    }

    @Test
    void foundInAPartItLiesOnTheSamePixelsOfTheWhole() {
        Subject whole = PERSON.inWhole(new Point(300, 200), new Size(1500, 1000), PHOTO);
        assertThat(whole.at().distance(new Point(900 / 3000.0, 700 / 2000.0))).isLessThan(1e-12);
        assertThat(whole.box().least().distance(new Point(750 / 3000.0, 300 / 2000.0)))
                .isLessThan(1e-12);
        assertThat(whole.radiusIn(PhotoSpace.of(PHOTO)).orElseThrow())
                .isCloseTo(Math.sqrt(300 * 800) / 2, within(1e-9));
    }

    @Test
    void onAPhotoThatIsTurnedItsBoxStaysUprightAndAsLarge() {
        PhotoSpace turned = new PhotoSpace(PHOTO, new Plane(PHOTO, new Angle(30), Optional.empty(), Optional.empty()));
        Bounds reach = PERSON.reachIn(turned);
        assertThat(reach.extent().x()).isCloseTo(600, within(1e-9));
        assertThat(reach.extent().y()).isCloseTo(1600, within(1e-9));
    }

    @Test
    void byHandItIsAPointAndACircle() {
        Subject marked = new Subject(new Point(0.4, 0.5), OptionalDouble.of(0.1));
        assertThat(marked.reachIn(PhotoSpace.of(PHOTO)).extent()).isEqualTo(new Point(400, 400));
        assertThat(marked.fingerprint())
                .as("letters that were kept before subjects had more")
                .isEqualTo("Subject[at=Point[x=0.4, y=0.5], radius=OptionalDouble[0.1]]");
        assertThat(PERSON.fingerprint()).isNotEqualTo(PERSON.mirrored().fingerprint());
    }

    @Test
    void sidesThatAreNoneAreRejected() {
        assertThatThrownBy(() -> new Extent(0.1, -0.1, 0.2, 0.1)).isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> new Extent(0, -0.1, 0, 0.1)).isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> new Extent(-0.1, Double.NaN, 0.1, 0.1)).isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> new Eyes(new Point(2, 0), Point.ORIGIN, Optional.empty()))
                .isInstanceOf(Rejected.class);
    }
}
