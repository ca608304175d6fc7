package nexa.desktop.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Group;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import javafx.scene.shape.Rectangle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.guide.Guide;
import nexa.core.guide.Nested;
import nexa.desktop.parts.Parts;

/** The composition guides over a crop: white lines with a thin dark halo, and the outlines of other ratios, labelled. */
public final class GuideLayer extends Pane {
    /** An outline to lay inside the crop; a click on its label works in that format, if it is one's. */
    public record Outline(String label, double ratio, Runnable chosen) {}

    private static final double FINE = 0.55;

    private final Path halo = new Path();
    private final Path lines = new Path();
    private final Group labels = new Group();
    private List<Guide> guides = List.of();
    private List<Outline> outlines = List.of();
    private Rectangle frame = new Rectangle();

    public GuideLayer() {
        halo.getStyleClass().add("guide-halo");
        lines.getStyleClass().add("guide-line");
        halo.setMouseTransparent(true);
        lines.setMouseTransparent(true);
        setPickOnBounds(false);
        setManaged(false);
        getChildren().addAll(halo, lines, labels);
    }

    /** Changes what is laid over the crop. */
    public void show(List<Guide> newGuides, List<Outline> newOutlines) {
        guides = newGuides;
        outlines = newOutlines;
        labels.getChildren().setAll(outlines.stream().map(GuideLayer::label).toList());
        lay(frame);
    }

    private static Label label(Outline outline) {
        Label label = Parts.label(outline.label(), "guide-label");
        label.setOnMouseClicked(event -> outline.chosen().run());
        label.setOnMousePressed(event -> event.consume());
        return label;
    }

    /** Draws the lines finer than usual. */
    public void setFine(boolean fine) {
        halo.setVisible(!fine);
        lines.setOpacity(fine ? FINE : 1);
    }

    /** Lays the guides over a crop that lies at a frame. */
    public void lay(Rectangle newFrame) {
        frame = newFrame;
        List<PathElement> elements = new ArrayList<>();
        if (frame.getWidth() >= 1 && frame.getHeight() >= 1) {
            Size crop = new Size(frame.getWidth(), frame.getHeight());
            guides.forEach(guide -> draw(guide.lines(crop), elements::add));
            for (int i = 0; i < outlines.size(); i++) {
                Outline outline = outlines.get(i);
                Nested nested = Nested.in(crop, outline.label(), outline.ratio());
                draw(sides(nested), elements::add);
                // Outlines that nearly coincide keep their labels apart.
                double down = nested.corner().y() + 4 + 18.0 * i;
                labels.getChildren()
                        .get(i)
                        .relocate(Math.round(frame.getX() + nested.corner().x() + 5), Math.round(frame.getY() + down));
            }
        }
        halo.getElements().setAll(elements);
        lines.getElements().setAll(elements.stream().map(GuideLayer::copy).toList());
    }

    private static List<Segment> sides(Nested nested) {
        Point topLeft = nested.corner();
        Point topRight = topLeft.plus(new Point(nested.size().width(), 0));
        Point bottomLeft = topLeft.plus(new Point(0, nested.size().height()));
        Point bottomRight = new Point(topRight.x(), bottomLeft.y());
        return List.of(
                new Segment(topLeft, topRight),
                new Segment(topRight, bottomRight),
                new Segment(bottomRight, bottomLeft),
                new Segment(bottomLeft, topLeft));
    }

    private void draw(List<Segment> segments, Consumer<PathElement> to) {
        Point pen = null;
        for (Segment segment : segments) {
            Point from = onPixels(segment, segment.from());
            Point end = onPixels(segment, segment.to());
            if (!segment.from().equals(pen)) {
                to.accept(new MoveTo(from.x(), from.y()));
            }
            to.accept(new LineTo(end.x(), end.y()));
            pen = segment.to();
        }
    }

    /** Where a point comes to lie. Level and upright lines lie on whole pixels, so that they stay thin. */
    private Point onPixels(Segment line, Point point) {
        double x = frame.getX() + point.x();
        double y = frame.getY() + point.y();
        boolean isUpright = line.from().x() == line.to().x();
        boolean isLevel = line.from().y() == line.to().y();
        return new Point(isUpright ? Math.floor(x) + 0.5 : x, isLevel ? Math.floor(y) + 0.5 : y);
    }

    private static PathElement copy(PathElement element) {
        return element instanceof MoveTo move
                ? new MoveTo(move.getX(), move.getY())
                : new LineTo(((LineTo) element).getX(), ((LineTo) element).getY());
    }
}
