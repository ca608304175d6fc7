package nexa.core.shape;

import nexa.core.geometry.Point;

/**
 * A map that keeps straight lines straight: (x, y) leads to (a x + b y + c, d x + e y + f) / (g x + h y + i), all in pixels.
 *
 * @param x a, b, c
 * @param y d, e, f
 * @param depth g, h, i; above 0 wherever the map means something
 */
public record Homography(Row x, Row y, Row depth) {
    /** A linear function of a place. */
    public record Row(double across, double down, double constant) {
        public double at(Point place) {
            return across * place.x() + down * place.y() + constant;
        }

        public Row times(double factor) {
            return new Row(across * factor, down * factor, constant * factor);
        }

        public Row plus(Row other) {
            return new Row(across + other.across, down + other.down, constant + other.constant);
        }
    }

    public Point at(Point place) {
        double deep = depth.at(place);
        return new Point(x.at(place) / deep, y.at(place) / deep);
    }

    /** How what it leads to moves with a place. */
    Matrix derivative(Point place) {
        double deep = depth.at(place);
        Point at = at(place);
        return new Matrix(
                (x.across - at.x() * depth.across) / deep,
                (x.down - at.x() * depth.down) / deep,
                (y.across - at.y() * depth.across) / deep,
                (y.down - at.y() * depth.down) / deep);
    }

    /** The same map where both sides are counted from another origin, which lay at a place until now. */
    Homography from(Point origin) {
        Row wide = moved(x, origin);
        Row high = moved(y, origin);
        Row deep = moved(depth, origin);
        return new Homography(wide.plus(deep.times(-origin.x())), high.plus(deep.times(-origin.y())), deep);
    }

    private static Row moved(Row row, Point origin) {
        return new Row(row.across, row.down, row.at(origin));
    }
}
