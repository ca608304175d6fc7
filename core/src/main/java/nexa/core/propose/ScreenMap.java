package nexa.core.propose;

import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.shape.Plane;

/**
 * What stands out of a photo as it lies on screen, turned by its angle: how much there is in any upright rectangle, and where
 * its middle is, from summed tables. Coordinates are in cells from the upper left of what counts of the photo.
 */
final class ScreenMap {
    private static final int LONG_SIDE = 240;

    private final Outline outline;
    private final Bounds onScreen;
    private final double cell;
    private final int width;
    private final int height;
    private final double[] weight;
    private final double[] across;
    private final double[] down;

    ScreenMap(Scene scene, Plane plane, Outline outline) {
        this.outline = outline;
        this.onScreen = Bounds.of(outline.corners().stream().map(this::onScreen).toList());
        Point extent = onScreen.extent();
        this.cell = Math.max(extent.x(), extent.y()) / LONG_SIDE;
        this.width = (int) Math.ceil(extent.x() / cell - 1e-9);
        this.height = (int) Math.ceil(extent.y() / cell - 1e-9);
        this.weight = new double[(width + 1) * (height + 1)];
        this.across = new double[weight.length];
        this.down = new double[weight.length];
        fill(scene, plane);
    }

    private Point onScreen(Point inPlane) {
        return outline.angle().toScreen(inPlane.minus(outline.middle()));
    }

    private void fill(Scene scene, Plane plane) {
        for (int y = 0; y < height; y++) {
            double inRow = 0;
            double acrossRow = 0;
            for (int x = 0; x < width; x++) {
                double here = scene.weight(plane.toPhoto(toPlane(x + 0.5, y + 0.5)));
                inRow += here;
                acrossRow += here * (x + 0.5);
                int place = (y + 1) * (width + 1) + x + 1;
                int above = place - width - 1;
                weight[place] = weight[above] + inRow;
                across[place] = across[above] + acrossRow;
                down[place] = down[above] + inRow * (y + 0.5);
            }
        }
    }

    double width() {
        return onScreen.extent().x() / cell;
    }

    double height() {
        return onScreen.extent().y() / cell;
    }

    /** How many of the plane's pixels a cell is. */
    double cell() {
        return cell;
    }

    Point toPlane(double x, double y) {
        Point way = new Point(x, y).times(cell).plus(onScreen.least());
        return outline.middle().plus(outline.angle().toPhoto(way));
    }

    Point toCells(Point inPlane) {
        return onScreen(inPlane).minus(onScreen.least()).times(1 / cell);
    }

    /** Where a crop lies. */
    Bounds toCells(Crop crop) {
        Point middle = toCells(crop.centre());
        Point half = new Point(crop.size().width() / 2, crop.size().height() / 2).times(1 / cell);
        return new Bounds(middle.minus(half), middle.plus(half));
    }

    /** All there is. */
    double total() {
        return weight[weight.length - 1];
    }

    double weight(double left, double top, double right, double bottom) {
        return in(weight, left, top, right, bottom);
    }

    /** The middle of what is in a rectangle; of nothing, the rectangle's. */
    Point middle(Bounds in) {
        double all = sum(weight, in);
        return all < 1e-9 ? in.middle() : new Point(sum(across, in) / all, sum(down, in) / all);
    }

    double weight(Bounds in) {
        return sum(weight, in);
    }

    private double sum(double[] table, Bounds in) {
        return in(
                table, in.least().x(), in.least().y(), in.most().x(), in.most().y());
    }

    private double in(double[] table, double left, double top, double right, double bottom) {
        int x0 = place(left, width);
        int x1 = place(right, width);
        int y0 = place(top, height) * (width + 1);
        int y1 = place(bottom, height) * (width + 1);
        return table[y1 + x1] - table[y1 + x0] - table[y0 + x1] + table[y0 + x0];
    }

    private static int place(double at, int most) {
        return (int) Math.max(0, Math.min(most, Math.round(at)));
    }
}
