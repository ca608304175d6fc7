package nexa.core.guide;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;

/** Guides that divide a crop across and down at the same shares. */
public enum Divisions implements Guide {
    /** The rule of thirds. */
    THIRDS(1.0 / 3, 2.0 / 3);

    private final double[] shares;

    Divisions(double... shares) {
        this.shares = shares;
    }

    @Override
    public List<Segment> lines(Size crop) {
        List<Segment> lines = new ArrayList<>();
        for (double share : shares) {
            double x = share * crop.width();
            lines.add(new Segment(new Point(x, 0), new Point(x, crop.height())));
        }
        for (double share : shares) {
            double y = share * crop.height();
            lines.add(new Segment(new Point(0, y), new Point(crop.width(), y)));
        }
        return lines;
    }
}
