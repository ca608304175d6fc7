package nexa.sample;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.lens.LensBook;
import nexa.core.lens.LensFit;
import nexa.core.lens.Taken;
import nexa.core.shape.Lens;
import nexa.core.shape.LensProfile;
import nexa.core.shape.Plane;
import nexa.core.shoot.Photo;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.find.PhotoFinder;
import nexa.store.lens.LensData;
import org.junit.jupiter.api.Test;

/** The shelves that a lens bent come out straight by the made-up lens data of the sample. */
class ShelfLensTest {
    private final Photograph photo = FernhillShoot.shots().stream()
            .filter(shot -> shot.file().equals("fern-0181.jpg"))
            .findFirst()
            .orElseThrow()
            .photo();

    private final Size size = new Size(photo.width(), photo.height());

    private Plane plane(Optional<Lens> lens) {
        return new Plane(size, Angle.NONE, lens, Optional.empty());
    }

    /** Where a point of the scene lies in the photo, in pixels, with the lens's bulge. */
    private Point place(Vec inScene) {
        double[] straight = photo.camera().project(inScene);
        double wanted = Math.hypot(straight[0], straight[1]);
        double drawn = wanted;
        for (int i = 0; i < 60; i++) {
            drawn = wanted / (1 + photo.camera().barrel() * drawn * drawn);
        }
        double half = Math.max(size.width(), size.height()) / 2;
        double share = drawn / wanted * half;
        return size.middle().plus(new Point(straight[0] * share, straight[1] * share));
    }

    /** The most by which a level line of the scene is off straight, in pixels. */
    private double bend(Plane plane, double height) {
        List<Point> line = new ArrayList<>();
        for (double across = -2; across <= 2; across += 0.01) {
            Point at = place(new Vec(across, height, 0));
            if (at.x() >= 0 && at.x() <= size.width() && at.y() >= 0 && at.y() <= size.height()) {
                line.add(plane.toPlane(at));
            }
        }
        Point from = line.get(0);
        Point way = line.get(line.size() - 1).minus(from);
        double length = Math.hypot(way.x(), way.y());
        return line.stream()
                .mapToDouble(at -> {
                    Point offset = at.minus(from);
                    return Math.abs(offset.x() * way.y() - offset.y() * way.x()) / length;
                })
                .max()
                .orElseThrow();
    }

    @Test
    void theShelvesAreStraightWithTheLensPutRight() {
        LensBook book = LensData.read(Path.of("lenses")).book();
        Taken taken = new Taken(
                Optional.of("Kilnaro"),
                Optional.of("Kilnaro Pocket"),
                Optional.of("Fernlight 35 mm f/2.8"),
                OptionalDouble.of(30),
                OptionalDouble.empty(),
                OptionalDouble.of(5.6),
                OptionalDouble.empty());
        Lens lens =
                book.lens(taken).flatMap(known -> book.putRight(known, taken)).orElseThrow();
        double worst = 0;
        for (double height : new double[] {-0.3, -0.15, 0.1, 0.3, 0.5}) {
            worst = Math.max(worst, bend(plane(Optional.empty()), height));
            assertThat(bend(plane(Optional.of(lens)), height)).isLessThan(0.5);
        }
        assertThat(worst).as("as shot").isGreaterThan(8);
    }

    private static final LensProfile UNKNOWN =
            new LensProfile("own", 1, 1.5, Optional.empty(), Optional.empty(), List.of());

    /** By how many pixels level lines of the scene stay bent with a profile of one's own, at some heights. */
    private double worstBend(List<List<Point>> lines, double... heights) {
        LensFit fit = LensFit.of(lines, size, UNKNOWN, 1).orElseThrow();
        Plane plane = plane(Optional.of(Lens.of(UNKNOWN.withDistortion(fit.distortion()), 1)));
        return Arrays.stream(heights).map(height -> bend(plane, height)).max().orElseThrow();
    }

    @Test
    void aProfileFromTracedLinesStraightensTheShelves() {
        List<List<Point>> traced = new ArrayList<>();
        for (double height : new double[] {-0.25, 0.05, 0.25, 0.35}) {
            List<Point> line = new ArrayList<>();
            for (int i = -3; i <= 3; i++) {
                // Laid to a tenth of a pixel, above and below by turns.
                line.add(place(new Vec(0.09 * i, height, 0)).plus(new Point(0, 0.1 * (i % 2))));
            }
            traced.add(line);
        }
        assertThat(worstBend(traced, -0.2, -0.1, 0.1, 0.2, 0.3)).isLessThan(1);
    }

    @Test
    void aProfileFromLinesThatAreFoundStraightensTheShelves() throws Exception {
        String file = "fern-0181.jpg";
        Photo shot = Photo.untouched(file).withPixels(new PixelSize(photo.width(), photo.height()));
        List<List<Point>> found = PhotoFinder.bentLines(new PhotoFolder(Path.of("photos")), shot, () -> false)
                .orElseThrow();
        List<List<Point>> agreeing = LensFit.agreeing(found, size, UNKNOWN, 1);
        assertThat(agreeing).hasSizeGreaterThanOrEqualTo(3);
        assertThat(worstBend(agreeing, 0.2, 0.3)).as("where the shelves are").isLessThan(1);
        double far = -0.2;
        assertThat(worstBend(agreeing, far))
                .as("where there are none")
                .isLessThan(bend(plane(Optional.empty()), far) / 4);
    }
}
