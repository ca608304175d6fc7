package nexa.core.shape;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/**
 * Takes a lens's bending out: between points of the photo and points of the straightened picture, both in pixels, by their
 * offsets from the photo's middle, which stays. A straight offset u is drawn in the photo at u · G(|u|); G(0) = 1.
 *
 * <p>After the published models of the open lens data, told in the photo's pixels. Far out, where the picture would be
 * squeezed to less than a quarter, straight ends.
 */
public final class LensMap {
    private static final double LEAST_SLOPE = 0.25;
    private static final double MOST_HALF_DIAGONALS = 3;
    private static final double LEAST_LIGHT = 0.1;
    private static final double ACCURACY = 1e-14;
    private static final int MOST_STEPS = 200;

    private final Lens lens;
    private final Point middle;
    private final double unit;
    private final double lightUnit;
    private final double limit;

    /** G, and G + ρ G′, of a straight radius in pixels. */
    private final Polynomial growth;

    private final Polynomial slope;

    /** The map of a lens for photos of a size. */
    public LensMap(Lens lens, Size photo) {
        this.lens = lens;
        this.middle = photo.middle();
        double shortSide = Math.max(1, photo.shortSide() - 1);
        double longSide = Math.max(1, photo.longSide() - 1);
        double cropFactors =
                lens.cameraCrop() / lens.profile().map(LensProfile::cropFactor).orElse(1.0);
        double aspect = lens.profile().map(LensProfile::aspect).orElse(LensProfile.USUAL_ASPECT);
        this.unit = shortSide
                / 2
                * cropFactors
                * Math.sqrt((longSide / shortSide) * (longSide / shortSide) + 1)
                / Math.sqrt(aspect * aspect + 1);
        this.lightUnit = Math.hypot(shortSide, longSide) / 2 * cropFactors;
        double halfDiagonal = Math.hypot(photo.width(), photo.height()) / 2;
        Polynomial drawn = lens.profile()
                .flatMap(LensProfile::distortion)
                .map(Distortion::polynomial)
                .orElse(new Polynomial(1));
        // g*(ρ) = 1 + t (g(ρ / unit) − 1) − (m / 1000)(ρ / half diagonal)², then G(ρ) = g*(ρ / g₀) / g₀.
        Polynomial wanted = drawn.stretched(1 / unit)
                .timesPlus(lens.distortion(), 0, 1 - lens.distortion())
                .timesPlus(1, 2, -lens.bulge() / 1000 / (halfDiagonal * halfDiagonal));
        double atMiddle = wanted.at(0);
        this.growth = wanted.stretched(1 / atMiddle).timesPlus(1 / atMiddle, 0, 0);
        this.slope = growth.timesX().derivative();
        double farthest = MOST_HALF_DIAGONALS * halfDiagonal;
        List<Double> ends = slope.timesPlus(1, 0, -LEAST_SLOPE).roots(0, farthest);
        this.limit = ends.isEmpty() ? farthest : ends.get(0);
    }

    /** Whether any point of the straightened picture lies elsewhere than in the photo. */
    boolean bends() {
        return !growth.isConstant();
    }

    /** How far from the middle the straightened picture ends, in its pixels. */
    public double limit() {
        return limit;
    }

    /** The pixels of the photo that are 1 in the profile's distortion and colours. */
    double unit() {
        return unit;
    }

    /** The pixels of the photo that are 1 in the profile's vignetting. */
    double lightUnit() {
        return lightUnit;
    }

    /** The point of the straightened picture that a point of the photo becomes; empty beyond its end. */
    public Optional<Point> toStraight(Point photo) {
        double radius = photo.distance(middle);
        return radius > limit * growth.at(limit) ? Optional.empty() : Optional.of(toStraightWithin(photo));
    }

    /** As {@link #toStraight}, but of a point beyond the end the last one on its way from the middle. */
    public Point toStraightWithin(Point photo) {
        Point offset = photo.minus(middle);
        double radius = Math.hypot(offset.x(), offset.y());
        return radius == 0 ? photo : middle.plus(offset.times(straightRadius(radius) / radius));
    }

    /** Newton's method for ρ G(ρ) = radius, kept between bounds. */
    private double straightRadius(double radius) {
        double low = 0;
        double high = limit;
        if (radius >= limit * growth.at(limit)) {
            return limit;
        }
        double found = Math.min(radius, limit);
        for (int i = 0; i < MOST_STEPS; i++) {
            double beyond = found * growth.at(found) - radius;
            if (beyond > 0) {
                high = found;
            } else {
                low = found;
            }
            double next = found - beyond / slope.at(found);
            if (!(next > low && next < high)) {
                next = (low + high) / 2;
            }
            if (Math.abs(next - found) <= ACCURACY * found) {
                return next;
            }
            found = next;
        }
        return found;
    }

    /** The point of the photo in which a point of the straightened picture is drawn. */
    public Point toPhoto(Point straight) {
        Point offset = straight.minus(middle);
        return middle.plus(offset.times(growth.at(Math.hypot(offset.x(), offset.y()))));
    }

    /** How much the photo is stretched from the middle outwards there, photo pixels a straight pixel. */
    double slopeAt(Point straight) {
        return slope.at(straight.distance(middle));
    }

    /** How much the photo is stretched across that, photo pixels a straight pixel. */
    double growthAt(Point straight) {
        return growth.at(straight.distance(middle));
    }

    /** Where red is read for what is green at a point of the photo. */
    public Point red(Point photo) {
        return lens.profile()
                .flatMap(LensProfile::fringes)
                .map(fringes -> fringed(photo, fringes.red()))
                .orElse(photo);
    }

    /** Where blue is read for what is green at a point of the photo. */
    public Point blue(Point photo) {
        return lens.profile()
                .flatMap(LensProfile::fringes)
                .map(fringes -> fringed(photo, fringes.blue()))
                .orElse(photo);
    }

    private Point fringed(Point photo, List<Double> terms) {
        Point offset = photo.minus(middle);
        double r = Math.hypot(offset.x(), offset.y()) / unit;
        double off = terms.get(0) + terms.get(1) * r + terms.get(2) * r * r - 1;
        return middle.plus(offset.times(1 + lens.colour() * off));
    }

    /** What the light at a point of the photo, told linearly, is multiplied by. */
    public double gain(Point photo) {
        List<Double> terms = lens.profile().map(LensProfile::vignetting).orElse(List.of());
        if (terms.isEmpty()) {
            return 1;
        }
        double r = photo.distance(middle) / lightUnit;
        double light = new Polynomial(1, terms.get(0), terms.get(1), terms.get(2)).at(r * r);
        return Math.pow(Math.max(light, LEAST_LIGHT), -lens.vignetting());
    }
}
