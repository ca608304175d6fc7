package nexa.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.Stream;
import nexa.core.RandomCases;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class TypedCropTest {
    private static final Outline LEVEL = new Outline(new Size(6000, 4000), Angle.NONE);
    private static final Crop START = new Crop(new Point(2000, 1500), new Size(1600, 1200));

    static Stream<RandomCases.Case> randomCases() {
        return RandomCases.of(600);
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void whatIsTypedStaysInsideAndIsAsTypedUnlessItSaysSo(RandomCases.Case given) {
        TypedCrop.Field field = TypedCrop.Field.values()[given.random().nextInt(4)];
        double most = given.outline().photo().longSide() * 1.3;
        double value = 1 + given.random().nextDouble() * most;
        boolean keepsRatio = given.random().nextBoolean();
        TypedCrop.Typed typed = TypedCrop.type(given.outline(), given.crop(), field, value, keepsRatio);

        assertThat(given.outline().contains(typed.crop(), 1e-6)).isTrue();
        double tolerance = 1e-6 * Math.max(1, most);
        if (!typed.isLimited()) {
            assertThat(TypedCrop.value(given.outline(), typed.crop(), field)).isCloseTo(value, within(tolerance));
        }
        if (keepsRatio) {
            double ratio = given.crop().size().ratio();
            assertThat(typed.crop().size().ratio()).isCloseTo(ratio, within(1e-9 * ratio));
        }
    }

    @Test
    void aTypedWidthIsExactAndKeepsTheTopLeftCorner() {
        TypedCrop.Typed typed = TypedCrop.type(LEVEL, START, TypedCrop.Field.WIDTH, 1080, true);
        assertThat(typed.isLimited()).isFalse();
        assertThat(typed.crop().size()).isEqualTo(new Size(1080, 810));
        assertThat(typed.crop().at(0, 0, Angle.NONE)).isEqualTo(new Point(1200, 900));
    }

    @Test
    void aWidthThePhotoDoesNotHaveSaysThatItWasLimited() {
        TypedCrop.Typed typed = TypedCrop.type(LEVEL, START, TypedCrop.Field.WIDTH, 9000, true);
        assertThat(typed.isLimited()).isTrue();
        assertThat(typed.crop().size().height()).isCloseTo(4000, within(1e-9));
    }

    @Test
    void aLevelLineIsPutOnTheNearestThirdOrSection() {
        Segment horizon = new Segment(new Point(1300, 1290), new Point(2700, 1290));
        Crop put = PutOnGuide.line(LEVEL, START, horizon);
        assertThat(put.placeOf(horizon.from(), Angle.NONE).y()).isCloseTo(1.0 / 3, within(1e-9));
        assertThat(put.centre().x()).isEqualTo(2000);
    }

    @Test
    void anUprightMovesTheCropSideways() {
        Segment post = new Segment(new Point(2201, 1000), new Point(2200, 1900));
        Crop put = PutOnGuide.line(LEVEL, START, post);
        assertThat(put.placeOf(new Point(2200.5, 1450), Angle.NONE).x())
                .isCloseTo((Math.sqrt(5) - 1) / 2, within(1e-9));
        assertThat(put.centre().y()).isEqualTo(1500);
    }

    @Test
    void theSubjectIsPutOnTheNearestCrossing() {
        Point subject = new Point(2500, 1200);
        Point place = PutOnGuide.point(LEVEL, START, subject).placeOf(subject, Angle.NONE);
        assertThat(place.distance(new Point(2.0 / 3, 1.0 / 3))).isLessThan(1e-9);
    }

    @ParameterizedTest
    @MethodSource("randomCases")
    void puttingSomethingOnAGuideKeepsTheSizeAndStaysInside(RandomCases.Case given) {
        Point from = RandomCases.anywhere(given.outline(), given.random());
        Point to = RandomCases.anywhere(given.outline(), given.random());
        for (Crop put : new Crop[] {
            PutOnGuide.line(given.outline(), given.crop(), new Segment(from, to)),
            PutOnGuide.point(given.outline(), given.crop(), from)
        }) {
            assertThat(put.size()).isEqualTo(given.crop().size());
            assertThat(given.outline().contains(put, 1e-6)).isTrue();
        }
    }
}
