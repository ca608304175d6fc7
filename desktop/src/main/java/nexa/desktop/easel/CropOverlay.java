package nexa.desktop.easel;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Cursor;
import javafx.scene.Group;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import nexa.core.crop.Handle;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.guide.Guide;
import nexa.desktop.shell.Words;

/** What lies over the picture: the mat's veil, the crop's edge, the guide and the handles. */
final class CropOverlay extends Pane {
    private static final double GRIP = 24;

    private final Rectangle[] veil = {new Rectangle(), new Rectangle(), new Rectangle(), new Rectangle()};
    private final Rectangle halo = new Rectangle();
    private final Rectangle edge = new Rectangle();
    private final Group guideLines = new Group();
    private final Map<Handle, StackPane> handles = new EnumMap<>(Handle.class);
    private Guide guide;
    private Rectangle frame = new Rectangle();

    CropOverlay(Consumer<StackPane> prepareHandle) {
        setPickOnBounds(false);
        for (Rectangle part : veil) {
            part.getStyleClass().add("mat");
            part.setMouseTransparent(true);
        }
        halo.getStyleClass().add("crop-halo");
        edge.getStyleClass().add("crop-edge");
        halo.setMouseTransparent(true);
        edge.setMouseTransparent(true);
        guideLines.setMouseTransparent(true);
        getChildren().addAll(veil);
        getChildren().addAll(guideLines, halo, edge);
        for (Handle handle : Handle.values()) {
            StackPane grip = grip(handle);
            prepareHandle.accept(grip);
            handles.put(handle, grip);
            getChildren().add(grip);
        }
    }

    private static StackPane grip(Handle handle) {
        Region square = new Region();
        square.getStyleClass().add("handle-square");
        StackPane grip = new StackPane(square);
        grip.getStyleClass().add("handle");
        grip.setUserData(handle);
        grip.setId("handle-" + handle.name().toLowerCase(Locale.ROOT));
        grip.setPrefSize(GRIP, GRIP);
        grip.setFocusTraversable(true);
        grip.setAccessibleText(Words.of("handle", handle));
        grip.setCursor(cursor(handle));
        return grip;
    }

    private static Cursor cursor(Handle handle) {
        return switch (handle) {
            case TOP_LEFT -> Cursor.NW_RESIZE;
            case TOP -> Cursor.N_RESIZE;
            case TOP_RIGHT -> Cursor.NE_RESIZE;
            case RIGHT -> Cursor.E_RESIZE;
            case BOTTOM_RIGHT -> Cursor.SE_RESIZE;
            case BOTTOM -> Cursor.S_RESIZE;
            case BOTTOM_LEFT -> Cursor.SW_RESIZE;
            case LEFT -> Cursor.W_RESIZE;
        };
    }

    /** Lays the overlay over a crop that lies at a frame of the room. */
    void lay(Rectangle newFrame, Size room) {
        frame = newFrame;
        double left = frame.getX();
        double top = frame.getY();
        double right = left + frame.getWidth();
        double bottom = top + frame.getHeight();
        place(veil[0], 0, 0, room.width(), top);
        place(veil[1], 0, bottom, room.width(), room.height() - bottom);
        place(veil[2], 0, top, left, bottom - top);
        place(veil[3], right, top, room.width() - right, bottom - top);
        place(halo, left - 0.5, top - 0.5, frame.getWidth() + 1, frame.getHeight() + 1);
        place(edge, left - 0.5, top - 0.5, frame.getWidth() + 1, frame.getHeight() + 1);
        handles.forEach((handle, grip) -> grip.resizeRelocate(
                Math.round(left + (handle.x() + 1) / 2.0 * frame.getWidth() - GRIP / 2),
                Math.round(top + (handle.y() + 1) / 2.0 * frame.getHeight() - GRIP / 2),
                GRIP,
                GRIP));
        layGuide();
    }

    private static void place(Rectangle part, double x, double y, double width, double height) {
        part.setX(x);
        part.setY(y);
        part.setWidth(Math.max(0, width));
        part.setHeight(Math.max(0, height));
    }

    /** Changes the guide; {@code null} for none. */
    void setGuide(Guide newGuide) {
        guide = newGuide;
        layGuide();
    }

    private void layGuide() {
        List<Segment> segments = guide == null || frame.getWidth() < 1 || frame.getHeight() < 1
                ? List.of()
                : guide.lines(new Size(frame.getWidth(), frame.getHeight()));
        if (guideLines.getChildren().size() != 2 * segments.size()) {
            List<Line> lines = new ArrayList<>();
            segments.forEach(segment -> lines.add(line("guide-halo")));
            segments.forEach(segment -> lines.add(line("guide-line")));
            guideLines.getChildren().setAll(lines);
        }
        for (int i = 0; i < segments.size(); i++) {
            lay((Line) guideLines.getChildren().get(i), segments.get(i));
            lay((Line) guideLines.getChildren().get(i + segments.size()), segments.get(i));
        }
    }

    private static Line line(String style) {
        Line line = new Line();
        line.getStyleClass().add(style);
        return line;
    }

    private void lay(Line line, Segment segment) {
        line.setStartX(Math.round(frame.getX() + segment.from().x()) + 0.5);
        line.setStartY(Math.round(frame.getY() + segment.from().y()) + 0.5);
        line.setEndX(Math.round(frame.getX() + segment.to().x()) + 0.5);
        line.setEndY(Math.round(frame.getY() + segment.to().y()) + 0.5);
    }

    /** Shows how the crop's surroundings are veiled. */
    void setMat(MatKind mat) {
        for (Rectangle part : veil) {
            part.getStyleClass().setAll("mat", "mat-" + mat.name().toLowerCase(Locale.ROOT));
        }
    }

    /** Shows or hides everything that is worked with, leaving the veil. */
    void setTools(boolean shown) {
        handles.values().forEach(grip -> grip.setVisible(shown));
        halo.setVisible(shown);
        edge.setVisible(shown);
        guideLines.setVisible(shown);
    }
}
