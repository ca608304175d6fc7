package nexa.sample;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.shape.FromLines;
import nexa.core.shape.Perspective;
import nexa.core.shape.PhotoSpace;
import nexa.core.shape.Plane;
import nexa.core.shape.SceneLines;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The photos taken from above and below come out with their uprights parallel. */
class ConvergingTest {
    /** As near as a line is laid on an edge, in pixels of the photo. */
    private static final double LAID_WITHIN = 0.1;

    @ParameterizedTest
    @ValueSource(strings = {"fern-0176.jpg", "fern-0177.jpg"})
    void linesLaidOnUprightsMakeAllUprightsParallel(String file) {
        Photograph photo = FernhillShoot.shots().stream()
                .filter(shot -> shot.file().equals(file))
                .findFirst()
                .orElseThrow()
                .photo();
        Size size = new Size(photo.width(), photo.height());
        List<Segment> laid = new ArrayList<>();
        for (double across : new double[] {-0.12, 0.14}) {
            Segment upright = upright(photo, across);
            double off = across < 0 ? LAID_WITHIN : -LAID_WITHIN;
            Point aside = new Point(off / size.width(), 0);
            laid.add(new Segment(upright.from().plus(aside), upright.to().minus(aside)));
        }
        SceneLines lines = new SceneLines(laid, List.of());
        double focal = 18 / Math.tan(Math.toRadians(photo.camera().fieldOfView() / 2));
        FromLines.Solved solved =
                (FromLines.Solved) new FromLines(size, Optional.empty(), OptionalDouble.of(focal)).solve(lines);
        Plane plane = new Plane(
                size,
                solved.angle(),
                Optional.empty(),
                Optional.of(Perspective.none(focal).by(solved, lines)));
        PhotoSpace space = new PhotoSpace(size, plane);
        double[] leans = new double[3];
        for (int i = 0; i < leans.length; i++) {
            Segment upright = upright(photo, -0.12 + 0.13 * i);
            Point way = solved.angle().toScreen(space.toPlane(upright.to()).minus(space.toPlane(upright.from())));
            leans[i] = Math.toDegrees(Math.atan(way.x() / way.y()));
        }
        assertThat(leans[0]).isCloseTo(leans[2], within(0.05));
        assertThat(leans[1]).isCloseTo(leans[2], within(0.05));
    }

    /** Something upright behind the pots, as fractions of the photo. */
    private static Segment upright(Photograph photo, double across) {
        return new Segment(place(photo, new Vec(across, 0.34, 0)), place(photo, new Vec(across, 0.02, 0)));
    }

    private static Point place(Photograph photo, Vec inScene) {
        double[] at = photo.camera().project(inScene);
        double longSide = Math.max(photo.width(), photo.height());
        return new Point(
                (at[0] * longSide / 2 + photo.width() / 2.0) / photo.width(),
                (at[1] * longSide / 2 + photo.height() / 2.0) / photo.height());
    }
}
