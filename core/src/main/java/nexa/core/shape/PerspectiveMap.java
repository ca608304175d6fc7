package nexa.core.shape;

import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/**
 * Takes the perspective out: from the straightened picture to the plane and back, both in pixels. The camera is turned about
 * one axis in the picture until it faces the scene; the middle stays where it is, with its scale.
 *
 * <p>A pinhole camera's rotation by Rodrigues' formula; see any textbook on projective geometry. With X = (offset / f, 1) and
 * d = P X, a point lies in the plane at c + S κ^1.5 f ((d₁, d₂) / d₃ − (P₁₃, P₂₃) / κ), κ = P₃₃. Where d₃ is little, the plane
 * is drawn out; it ends where a pixel becomes four.
 */
final class PerspectiveMap {
    private static final double DIAGONAL_35 = Math.hypot(36, 24);
    private static final double END = Math.pow(4, -2.0 / 3);

    private final Point middle;
    private final double focal;
    private final double[][] turn;
    private final double scale;
    private final Matrix stretch;
    /** From the plane back to the straightened picture, both in offsets from the middle. */
    private final Homography back;

    PerspectiveMap(Perspective perspective, Size photo, Angle angle) {
        this.middle = photo.middle();
        this.focal = focal(perspective.focal35(), photo);
        double share = perspective.strength() / 100;
        this.turn = rotation(Math.toRadians(share * perspective.tilt()), Math.toRadians(share * perspective.swing()));
        this.scale = Math.pow(turn[2][2], 1.5) * focal;
        double wider = Math.sqrt(perspective.stretch());
        Matrix turned = Matrix.rotation(angle);
        this.stretch =
                turned.transposed().times(new Matrix(wider, 0, 0, 1 / wider)).times(turned);
        this.back = back();
    }

    /** Of a place in the plane: S⁻¹ undone, then the ray turned back; a rotation's inverse is its transpose. */
    private Homography back() {
        Matrix flat = stretch.inverse().times(1 / scale);
        double x = turn[0][2] / middleDepth();
        double y = turn[1][2] / middleDepth();
        Homography.Row[] rows = new Homography.Row[3];
        for (int i = 0; i < 3; i++) {
            double a = turn[0][i];
            double b = turn[1][i];
            rows[i] = new Homography.Row(
                    a * flat.a() + b * flat.c(), a * flat.b() + b * flat.d(), a * x + b * y + turn[2][i]);
        }
        return new Homography(rows[0].times(focal), rows[1].times(focal), rows[2]);
    }

    /** From the plane to the straightened picture, in pixels. */
    Homography toStraight() {
        return back.from(new Point(-middle.x(), -middle.y()));
    }

    /** A focal length in the photo's pixels. */
    static double focal(double focal35, Size photo) {
        return focal35 * Math.hypot(photo.width(), photo.height()) / DIAGONAL_35;
    }

    /** By Rodrigues, about the axis (x, y, 0), by its length. */
    static double[][] rotation(double x, double y) {
        double by = Math.hypot(x, y);
        if (by == 0) {
            return new double[][] {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}};
        }
        double a = x / by;
        double b = y / by;
        double sin = Math.sin(by);
        double cos = Math.cos(by);
        return new double[][] {
            {cos + (1 - cos) * a * a, (1 - cos) * a * b, sin * b},
            {(1 - cos) * a * b, cos + (1 - cos) * b * b, -sin * a},
            {-sin * b, sin * a, cos}
        };
    }

    /** κ: what depth is in the middle. */
    private double middleDepth() {
        return turn[2][2];
    }

    private Point ray(Point straight) {
        return straight.minus(middle).times(1 / focal);
    }

    private double row(int row, Point ray) {
        return turn[row][0] * ray.x() + turn[row][1] * ray.y() + turn[row][2];
    }

    /** How much deeper a point lies than where the plane ends; below 0 beyond that. */
    double beforeEnd(Point straight) {
        return row(2, ray(straight)) - END * middleDepth();
    }

    /** The point, or, if it lies beyond the end of the plane, the last one on its way from the middle. */
    Point within(Point straight) {
        double before = beforeEnd(straight);
        double middleBefore = (1 - END) * middleDepth();
        return before >= 0
                ? straight
                : middle.plus(straight.minus(middle).times(middleBefore / (middleBefore - before)));
    }

    Point toPlane(Point straight) {
        Point ray = ray(straight);
        double depth = row(2, ray);
        Point flat = new Point(
                row(0, ray) / depth - turn[0][2] / middleDepth(), row(1, ray) / depth - turn[1][2] / middleDepth());
        return middle.plus(stretch.times(flat.times(scale)));
    }

    Point toStraight(Point plane) {
        return middle.plus(back.at(plane.minus(middle)));
    }

    /** √ of how much larger areas are in the plane than in the straightened picture there. */
    double scaleAt(Point straight) {
        return Math.pow(middleDepth() / row(2, ray(straight)), 1.5);
    }

    /** How the straightened picture moves with the plane at a place of the plane. */
    Matrix toStraightDerivative(Point plane) {
        return back.derivative(plane.minus(middle));
    }
}
