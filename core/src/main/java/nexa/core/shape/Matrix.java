package nexa.core.shape;

import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;

/** A linear map of the plane: (a x + b y, c x + d y). */
record Matrix(double a, double b, double c, double d) {
    static final Matrix SAME = new Matrix(1, 0, 0, 1);

    /** From a photo's directions to those on screen. */
    static Matrix rotation(Angle angle) {
        return new Matrix(angle.cos(), -angle.sin(), angle.sin(), angle.cos());
    }

    Matrix transposed() {
        return new Matrix(a, c, b, d);
    }

    Matrix times(Matrix other) {
        return new Matrix(
                a * other.a + b * other.c,
                a * other.b + b * other.d,
                c * other.a + d * other.c,
                c * other.b + d * other.d);
    }

    Matrix times(double factor) {
        return new Matrix(a * factor, b * factor, c * factor, d * factor);
    }

    Point times(Point point) {
        return new Point(a * point.x() + b * point.y(), c * point.x() + d * point.y());
    }

    Matrix inverse() {
        return new Matrix(d, -b, -c, a).times(1 / determinant());
    }

    double determinant() {
        return a * d - b * c;
    }

    /** The least that it stretches any direction: its smaller singular value. */
    double leastStretch() {
        double sum = Math.hypot(a + d, c - b) / 2;
        return Math.abs(sum - Math.hypot(a - d, c + b) / 2);
    }
}
