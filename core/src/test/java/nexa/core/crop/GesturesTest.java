package nexa.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

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

class GesturesTest {
    private static final Outline LEVEL = new Outline(new Size(6000, 4000), Angle.NONE);

    static Stream<RandomCases.Case> randomCases() {
        return RandomCases.of(600);
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void aDraggedHandleStaysInsideKeepsTheRatioAndNeverPushesItsAnchor(RandomCases.Case given) {
        Handle handle = Handle.values()[given.random().nextInt(8)];
        Resize.Anchor anchor = Resize.Anchor.values()[given.random().nextInt(2)];
        Point pointer = RandomCases.anywhere(given.outline(), given.random());
        Crop resized = new Resize(given.outline(), given.crop(), handle, anchor, true).to(pointer);

        assertInside(given, resized);
        double ratio = given.crop().size().ratio();
        assertThat(resized.size().ratio()).isCloseTo(ratio, within(1e-9 * ratio));
        assertThat(anchorOf(given, resized, handle, anchor).distance(anchorOf(given, given.crop(), handle, anchor)))
                .isLessThan(1e-6);
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void aHandleDraggedFreelyStaysInsideAndNeverPushesItsAnchor(RandomCases.Case given) {
        Handle handle = Handle.values()[given.random().nextInt(8)];
        Resize.Anchor anchor = Resize.Anchor.values()[given.random().nextInt(2)];
        Point pointer = RandomCases.anywhere(given.outline(), given.random());
        Crop resized = new Resize(given.outline(), given.crop(), handle, anchor, false).to(pointer);

        assertInside(given, resized);
        assertThat(anchorOf(given, resized, handle, anchor).distance(anchorOf(given, given.crop(), handle, anchor)))
                .isLessThan(1e-6 * given.outline().photo().longSide());
        if (handle.x() == 0) {
            assertThat(resized.size().width()).isCloseTo(given.crop().size().width(), within(1e-6));
        }
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void aHandleLeftWhereItWasChangesNothing(RandomCases.Case given) {
        Handle handle = Handle.values()[given.random().nextInt(8)];
        Point there = given.crop()
                .at(
                        0.5 + handle.x() / 2.0,
                        0.5 + handle.y() / 2.0,
                        given.outline().angle());
        Crop resized = new Resize(
                        given.outline(),
                        given.crop(),
                        handle,
                        Resize.Anchor.OPPOSITE,
                        given.random().nextBoolean())
                .to(there);
        SettleTest.assertNear(
                resized, given.crop(), 1e-6 * given.outline().photo().longSide());
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void slidingKeepsTheSizeAndStaysInside(RandomCases.Case given) {
        Point way = RandomCases.anywhere(given.outline(), given.random());
        Crop slid = Slide.by(given.outline(), given.crop(), way);
        assertInside(given, slid);
        assertThat(slid.size()).isEqualTo(given.crop().size());
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void tighteningStaysInsideAndKeepsTheRatio(RandomCases.Case given) {
        double factor = Math.exp(given.random().nextDouble() * 4 - 2);
        Point about = given.crop()
                .at(
                        given.random().nextDouble(),
                        given.random().nextDouble(),
                        given.outline().angle());
        Crop tightened = Tighten.about(given.outline(), given.crop(), about, factor);
        assertInside(given, tightened);
        double ratio = given.crop().size().ratio();
        assertThat(tightened.size().ratio()).isCloseTo(ratio, within(1e-9 * ratio));
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void aTurnedCropStaysInside(RandomCases.Case given) {
        Crop turned = TurnCrop.turn(given.outline(), given.crop());
        assertInside(given, turned);
        double ratio = 1 / given.crop().size().ratio();
        assertThat(turned.size().ratio()).isCloseTo(ratio, within(1e-9 * ratio));
    }

    @Test
    void aCornerFollowsThePointerAlongTheDiagonal() {
        Crop start = new Crop(new Point(2000, 2000), new Size(1600, 1200));
        Crop resized =
                new Resize(LEVEL, start, Handle.BOTTOM_RIGHT, Resize.Anchor.OPPOSITE, true).to(new Point(3200, 2900));
        SettleTest.assertNear(resized, new Crop(new Point(2200, 2150), new Size(2000, 1500)), 1e-9);
    }

    @Test
    void aCornerDraggedWellPastSquareTurnsTheCrop() {
        Crop start = new Crop(new Point(2000, 2000), new Size(1600, 1200));
        Resize resize = new Resize(LEVEL, start, Handle.BOTTOM_RIGHT, Resize.Anchor.OPPOSITE, true);
        Crop tall = resize.turningTo(new Point(1900, 2900));
        assertThat(tall.size().ratio()).isCloseTo(0.75, within(1e-9));
        assertThat(tall.at(0, 0, Angle.NONE).distance(new Point(1200, 1400))).isLessThan(0.01);
        assertThat(resize.turningTo(new Point(2400, 2500)).size().ratio()).isCloseTo(4 / 3.0, within(1e-9));
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void aCornerThatTurnsTheCropKeepsItInside(RandomCases.Case given) {
        Point pointer = RandomCases.anywhere(given.outline(), given.random());
        Crop turned = new Resize(given.outline(), given.crop(), Handle.TOP_LEFT, Resize.Anchor.OPPOSITE, true)
                .turningTo(pointer);
        assertInside(given, turned);
        double ratio = turned.size().orientation().turn(given.crop().size().ratio());
        assertThat(turned.size().ratio()).isCloseTo(ratio, within(1e-9 * ratio));
    }

    @Test
    void aSideHandleStopsAtThePhotosEdge() {
        Crop start = new Crop(new Point(2000, 2000), new Size(1600, 1200));
        Crop resized = new Resize(LEVEL, start, Handle.LEFT, Resize.Anchor.OPPOSITE, true).to(new Point(-900, 2000));
        assertThat(resized.at(0, 0, Angle.NONE).x()).isCloseTo(0, within(1e-9));
        assertThat(resized.at(1, 0.5, Angle.NONE)).isEqualTo(new Point(2800, 2000));
    }

    @Test
    void tighteningKeepsThePointUnderThePointer() {
        Crop start = new Crop(new Point(3000, 2000), new Size(4000, 3000));
        Point about = start.at(0.25, 0.75, Angle.NONE);
        Crop tightened = Tighten.about(LEVEL, start, about, 0.5);
        assertThat(tightened.at(0.25, 0.75, Angle.NONE).distance(about)).isLessThan(1e-9);
    }

    @Test
    void turningKeepsCentreAndArea() {
        Crop start = new Crop(new Point(3000, 2000), new Size(1600, 1200));
        assertThat(TurnCrop.turn(LEVEL, start)).isEqualTo(new Crop(new Point(3000, 2000), new Size(1200, 1600)));
    }

    private static void assertInside(RandomCases.Case given, Crop crop) {
        assertThat(given.outline().contains(crop, 1e-6)).as("%s inside", crop).isTrue();
    }

    private static Point anchorOf(RandomCases.Case given, Crop crop, Handle handle, Resize.Anchor anchor) {
        return anchor == Resize.Anchor.CENTRE
                ? crop.centre()
                : crop.at(
                        0.5 - handle.x() / 2.0,
                        0.5 - handle.y() / 2.0,
                        given.outline().angle());
    }
}
