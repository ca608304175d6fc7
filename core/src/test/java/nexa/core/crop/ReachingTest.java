package nexa.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.Stream;
import nexa.core.RandomCases;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** How far crops that may reach beyond their photo get: half of a crop about its centre stays inside. */
class ReachingTest {
    private static final Outline PHOTO = new Outline(new Size(3000, 2000), Angle.NONE);
    private static final Outline REACHING = PHOTO.reaching();

    /** The same photos, as they are and as any outline, and a crop that reaches somewhere. */
    static Stream<RandomCases.Case> randomCases() {
        return RandomCases.of(500).map(given -> {
            Outline own = given.outline();
            Outline any = given.seed() % 2 == 0
                    ? own
                    : Outline.reshaped(own.photo(), own.photo().middle(), own.angle(), own.corners());
            Outline reaching = any.reaching();
            Size size = given.crop().size().times(0.3 + 2 * given.random().nextDouble());
            Crop crop = reaching.settle(new Crop(RandomCases.anywhere(own, given.random()), size));
            return new RandomCases.Case(given.seed(), reaching, crop, given.random());
        });
    }

    private static void assertReaches(RandomCases.Case given, Crop crop) {
        Outline outline = given.outline();
        double slack = 1e-6 * outline.photo().longSide();
        assertThat(outline.contains(crop, slack)).as(given + " gives " + crop).isTrue();
        // By the words of the rule: a quarter of its extent may hang out at each side, so half of it does not.
        Crop half = crop.withSize(crop.size().times(0.5));
        Outline inside = new Outline(outline.photo(), outline.angle());
        assertThat(inside.contains(half, slack)).as("half of it").isTrue();
        Size largest = inside.largest(crop.size().ratio());
        assertThat(crop.size().width()).isLessThan(2 * largest.width() + 2 * slack);
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void whateverTheHandDoesItReachesNoFurther(RandomCases.Case given) {
        Outline outline = given.outline();
        Random random = given.random();
        Point to = RandomCases.anywhere(outline, random);
        Handle handle = Handle.values()[random.nextInt(8)];
        Resize.Anchor anchor = Resize.Anchor.values()[random.nextInt(2)];
        assertReaches(given, given.crop());
        assertReaches(given, new Resize(outline, given.crop(), handle, anchor, true).to(to));
        assertReaches(given, new Resize(outline, given.crop(), handle, anchor, false).to(to));
        assertReaches(given, Slide.by(outline, given.crop(), to));
        assertReaches(given, Tighten.about(outline, given.crop(), to, Math.exp(random.nextDouble() * 4 - 2)));
        assertReaches(given, TurnCrop.turn(outline, given.crop()));
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void aHandleNeverPushesItsAnchorThoughThatLiesBeyondTheEdge(RandomCases.Case given) {
        Handle handle = Handle.values()[given.random().nextInt(8)];
        Point pointer = RandomCases.anywhere(given.outline(), given.random());
        boolean keepsRatio = given.random().nextBoolean();
        Crop resized =
                new Resize(given.outline(), given.crop(), handle, Resize.Anchor.OPPOSITE, keepsRatio).to(pointer);
        Angle angle = given.outline().angle();
        double across = 0.5 - handle.x() / 2.0;
        double down = 0.5 - handle.y() / 2.0;
        assertThat(resized.at(across, down, angle).distance(given.crop().at(across, down, angle)))
                .isLessThan(1e-6 * given.outline().photo().longSide());
    }

    @Test
    void untouchedAndHomeStayInsideAndTheLargestIsTheOneThatFits() {
        assertThat(REACHING.untouched(1.5)).isEqualTo(PHOTO.untouched(1.5));
        assertThat(REACHING.largest(0.8)).isEqualTo(PHOTO.largest(0.8));
        assertThat(REACHING.growth(PHOTO.largest(0.8))).isCloseTo(2, within(1e-12));
    }

    @Test
    void aWishThatIsInsideIsTheSameEitherWay() {
        Crop wish = new Crop(new Point(1200, 900), new Size(900, 600));
        assertThat(REACHING.settle(wish)).isEqualTo(wish);
        Crop beyond = new Crop(new Point(300, 1000), new Size(1000, 800));
        assertThat(REACHING.settle(beyond)).isEqualTo(beyond);
        assertThat(PHOTO.settle(beyond).centre()).isEqualTo(new Point(500, 1000));
        Crop tooFar = new Crop(new Point(100, 1000), new Size(1000, 800));
        assertThat(REACHING.settle(tooFar).centre()).isEqualTo(new Point(250, 1000));
    }

    @Test
    void aSideCatchesOnTheEdgeFromInsideAndOutsideAndLeavesItFurtherOn() {
        Crop start = new Crop(new Point(2000, 1000), new Size(1200, 800));
        Resize right = new Resize(REACHING, start, Handle.RIGHT, Resize.Anchor.OPPOSITE, false).catching(20);
        assertThat(right.to(new Point(2985, 1000)).at(1, 0.5, Angle.NONE).x()).isCloseTo(3000, within(1e-9));
        assertThat(right.to(new Point(3015, 1000)).at(1, 0.5, Angle.NONE).x()).isCloseTo(3000, within(1e-9));
        assertThat(right.to(new Point(3030, 1000)).at(1, 0.5, Angle.NONE).x()).isCloseTo(3030, within(1e-9));
        assertThat(right.to(new Point(2970, 1000)).at(1, 0.5, Angle.NONE).x()).isCloseTo(2970, within(1e-9));
        Crop inRatio = new Resize(REACHING, start, Handle.RIGHT, Resize.Anchor.OPPOSITE, true)
                .catching(20)
                .to(new Point(3015, 1000));
        assertThat(inRatio.at(1, 0.5, Angle.NONE).x()).isCloseTo(3000, within(1e-9));
        assertThat(inRatio.size().ratio()).isCloseTo(1.5, within(1e-12));
        assertThat(inRatio.at(0, 0.5, Angle.NONE).x()).isCloseTo(1400, within(1e-9));
    }

    @Test
    void aSlidCropCatchesWithEitherSideAndInBothWaysAtOnce() {
        CatchEdge edge = new CatchEdge(REACHING, 20);
        Size size = new Size(1200, 800);
        assertThat(edge.slid(new Crop(new Point(590, 1615), size)).centre()).isEqualTo(new Point(600, 1600));
        assertThat(edge.slid(new Crop(new Point(2412, 1000), size)).centre()).isEqualTo(new Point(2400, 1000));
        assertThat(edge.slid(new Crop(new Point(560, 1000), size)).centre()).isEqualTo(new Point(560, 1000));
    }

    @Test
    void aTurnedPhotosEdgeIsCaughtByTheCornerThatLeavesFirst() {
        Outline turned = new Outline(new Size(3000, 2000), new Angle(5)).reaching();
        Crop inside = new Outline(new Size(3000, 2000), new Angle(5))
                .settle(new Crop(new Point(2800, 1000), new Size(900, 600)));
        Crop slid = new CatchEdge(turned, 30).slid(Slide.by(turned, inside, new Point(14, 0)));
        assertThat(slid.centre().distance(inside.centre())).isLessThan(1e-6);
    }
}
