package nexa.imaging.render;

import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;

/**
 * How a photo's pixels lie in a crop, as seen at places all over it.
 *
 * @param most the most pixels of the photo that lie along one of the plane, anywhere and in any direction
 * @param least the fewest
 * @param turn by how many degrees the crop's sides differ, at most, from rows and columns of the photo; 0 … 45
 */
record LocalScale(double most, double least, double turn) {
    /** So many places along a side are looked at. */
    private static final int PLACES = 9;

    /** The same everywhere for a way to the right and one down. */
    static LocalScale of(Point right, Point down) {
        double sum = Math.hypot(right.x() + down.y(), right.y() - down.x());
        double difference = Math.hypot(right.x() - down.y(), right.y() + down.x());
        return new LocalScale(
                (sum + difference) / 2, Math.abs(sum - difference) / 2, Math.max(turn(right), turn(down)));
    }

    private static double turn(Point way) {
        double degrees = Math.toDegrees(Math.atan2(way.y(), way.x()));
        return Math.abs(degrees - 90 * Math.rint(degrees / 90));
    }

    /**
     * As a map from the plane to the photo has it.
     *
     * @param angle by which the crop is turned in the plane
     */
    static LocalScale over(PixelMap map, Crop crop, Angle angle) {
        Point right = angle.toPhoto(new Point(1, 0));
        Point down = angle.toPhoto(new Point(0, 1));
        LocalScale all = new LocalScale(0, Double.POSITIVE_INFINITY, 0);
        for (int i = 0; i < PLACES; i++) {
            for (int j = 0; j < PLACES; j++) {
                Point place = crop.at((double) i / (PLACES - 1), (double) j / (PLACES - 1), angle);
                Point here = map.at(place);
                all = all.and(of(
                        map.at(place.plus(right)).minus(here),
                        map.at(place.plus(down)).minus(here)));
            }
        }
        return all;
    }

    private LocalScale and(LocalScale other) {
        return new LocalScale(Math.max(most, other.most), Math.min(least, other.least), Math.max(turn, other.turn));
    }
}
