package nexa.desktop.picture;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.shape.ClosePath;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import nexa.core.geometry.Point;
import nexa.core.geometry.Polygons;

/** Covers a photo but for its crop. */
public final class Veil extends Path {
    public Veil() {
        setFillRule(FillRule.EVEN_ODD);
        setMouseTransparent(true);
        setManaged(false);
    }

    /** Lays it over a photo's outline, leaving the crop free; both by their corners as they lie on screen. */
    public void layAround(List<Point> outline, List<Point> crop) {
        // What of the crop lies beyond the outline is no hole in it.
        lay(outline, Polygons.within(outline, crop));
    }

    /** Lays it over an outline, leaving a hole in it; both by their corners as they lie on screen. */
    public void lay(List<Point> outline, List<Point> hole) {
        List<PathElement> elements = new ArrayList<>();
        add(elements, outline);
        if (!hole.isEmpty()) {
            add(elements, hole);
        }
        getElements().setAll(elements);
    }

    private static void add(List<PathElement> elements, List<Point> corners) {
        Point first = corners.get(0);
        elements.add(new MoveTo(first.x(), first.y()));
        corners.stream().skip(1).forEach(corner -> elements.add(new LineTo(corner.x(), corner.y())));
        elements.add(new ClosePath());
    }
}
