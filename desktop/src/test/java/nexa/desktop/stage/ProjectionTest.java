package nexa.desktop.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import org.junit.jupiter.api.Test;

class ProjectionTest {
    private static final Size ROOM = new Size(1000, 500);
    private static final double MARGIN = 20;

    @Test
    void whereAPointIsSeenLeadsBackToThePoint() {
        Random random = new Random(1);
        for (int i = 0; i < 100; i++) {
            Projection projection = new Projection(
                    ROOM,
                    new Point(6000 * random.nextDouble(), 4000 * random.nextDouble()),
                    0.05 + random.nextDouble(),
                    new Angle(90 * random.nextDouble() - 45));
            Point inPhoto = new Point(6000 * random.nextDouble(), 4000 * random.nextDouble());
            assertThat(projection.toPlane(projection.toScreen(inPhoto)).distance(inPhoto))
                    .isLessThan(1e-6);
        }
    }

    @Test
    void aFittingCropLiesUprightInTheMiddleAndTouchesItsMargin() {
        Crop crop = new Crop(new Point(2500, 1500), new Size(2000, 1500));
        Angle angle = new Angle(-7);
        Projection fitting = Projection.fitting(ROOM, MARGIN, crop, angle);
        Point topLeft = fitting.toScreen(crop.at(0, 0, angle));
        Point bottomRight = fitting.toScreen(crop.at(1, 1, angle));
        assertThat(topLeft.y()).isCloseTo(MARGIN, within(1e-9));
        assertThat(bottomRight.y()).isCloseTo(ROOM.height() - MARGIN, within(1e-9));
        assertThat((topLeft.x() + bottomRight.x()) / 2).isCloseTo(ROOM.width() / 2, within(1e-9));
        assertThat((bottomRight.x() - topLeft.x()) / (bottomRight.y() - topLeft.y()))
                .isCloseTo(crop.size().ratio(), within(1e-9));
    }

    @Test
    void theWholePhotoIsInSightHoweverItIsTurned() {
        for (double degrees : new double[] {0, 3, -20, 45}) {
            Outline outline = new Outline(new Size(4000, 6000), new Angle(degrees));
            Projection whole = Projection.whole(ROOM, MARGIN, outline);
            for (Point corner :
                    new Point[] {new Point(0, 0), new Point(4000, 0), new Point(4000, 6000), new Point(0, 6000)}) {
                Point seen = whole.toScreen(corner);
                assertThat(seen.x()).isBetween(MARGIN - 1e-9, ROOM.width() - MARGIN + 1e-9);
                assertThat(seen.y()).isBetween(MARGIN - 1e-9, ROOM.height() - MARGIN + 1e-9);
            }
        }
    }

    @Test
    void zoomingHoldsThePointUnderThePointer() {
        Projection before = new Projection(ROOM, new Point(3000, 2000), 0.2, new Angle(4));
        Point pointer = new Point(700, 130);
        Point under = before.toPlane(pointer);
        Projection after = Projection.with(ROOM, under, pointer, 1, before.angle());
        assertThat(after.toPlane(pointer).distance(under)).isLessThan(1e-9);
        assertThat(after.scale()).isEqualTo(1);
    }

    @Test
    void glidingBeginsWhereItIsAndEndsWhereItGoes() {
        Projection from = new Projection(ROOM, new Point(100, 100), 0.1, Angle.NONE);
        Projection to = new Projection(ROOM, new Point(500, 300), 0.4, Angle.NONE);
        assertThat(from.towards(to, 0)).isEqualTo(from);
        assertThat(from.towards(to, 1).middle().distance(to.middle())).isLessThan(1e-9);
        assertThat(from.towards(to, 0.5).scale())
                .as("as much larger in each half")
                .isCloseTo(0.2, within(1e-9));
        assertThat(from.isShiftOf(to)).isFalse();
        assertThat(new Projection(ROOM, new Point(7, 7), 0.1, Angle.NONE).isShiftOf(from))
                .isTrue();
    }
}
