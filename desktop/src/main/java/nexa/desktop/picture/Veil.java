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

/** Covers a photo but for its crop. */
public final class Veil extends Path {
    public Veil() {
        setFillRule(FillRule.EVEN_ODD);
        setMouseTransparent(true);
        setManaged(false);
    }

    /** Lays it over a photo's outline, leaving the crop free; both by their corners as they lie on screen. */
    public void lay(List<Point> outline, List<Point> crop) {
        List<PathElement> elements = new ArrayList<>();
        add(elements, outline);
        add(elements, crop);
        getElements().setAll(elements);
    }

    private static void add(List<PathElement> elements, List<Point> corners) {
        Point first = corners.get(0);
        elements.add(new MoveTo(first.x(), first.y()));
        corners.stream().skip(1).forEach(corner -> elements.add(new LineTo(corner.x(), corner.y())));
        elements.add(new ClosePath());
    }
}
