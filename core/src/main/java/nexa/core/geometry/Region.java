package nexa.core.geometry;

import java.util.List;

/** The convex area that a photo's crops have to stay inside. All in pixels; the angle is the photo's. */
sealed interface Region permits Rectangle, ConvexPolygon {

    /** The same area, in which a crop lies when this share of its extent about its centre does. */
    Region holding(double share);

    /** The share of a crop's extent about its centre that has to lie inside, above 0 and at most 1. */
    double held();

    /** Its edges, each once. */
    List<HalfPlane> edges();

    /** Its corners, clockwise as seen with y downwards. */
    List<Point> corners();

    double area();

    /** The largest factor at which a crop of this size lies inside anywhere. */
    double growth(Size crop, Angle angle);

    /** The largest size of a ratio at which a crop lies inside anywhere. */
    Size largest(double ratio, Angle angle);

    /** The nearest centre to the wished one at which a crop of this size, which fits, lies inside. */
    Point nearestCentre(Point wished, Size crop, Angle angle);

    /** A wished crop brought inside; see {@link Outline#settle}. */
    Crop settle(Crop wish, Angle angle);

    /** The crop of a ratio that a photo nobody has touched has. */
    Crop untouched(double ratio, Angle angle);

    /** How far one can go from a point inside along a way; see {@link Outline#room}. */
    double room(Point start, Point way);
}
