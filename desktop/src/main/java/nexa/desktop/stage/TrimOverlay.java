package nexa.desktop.stage;

import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Cursor;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Polygon;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Trim;
import nexa.desktop.picture.Veil;

/** What a trim leaves of a photo, over the whole photo, with a handle on each side. */
public final class TrimOverlay extends Pane {
    private final Veil veil = new Veil();
    private final Polygon halo = new Polygon();
    private final Polygon edge = new Polygon();
    private final Map<Trim.Side, Grip> handles = new EnumMap<>(Trim.Side.class);

    TrimOverlay() {
        setPickOnBounds(false);
        setVisible(false);
        veil.getStyleClass().setAll("mat", "mat-dark");
        veil.setOpacity(0.5);
        halo.getStyleClass().add("crop-halo");
        edge.getStyleClass().add("crop-edge");
        halo.setMouseTransparent(true);
        edge.setMouseTransparent(true);
        getChildren().addAll(veil, halo, edge);
        for (Trim.Side side : Trim.Side.values()) {
            Cursor cursor = side.isUpright() ? Cursor.H_RESIZE : Cursor.V_RESIZE;
            Grip grip = Grip.of(side, "trim-handle-", "trim.handle", cursor);
            handles.put(side, grip);
            getChildren().add(grip);
        }
    }

    /** The handles; each has its {@link Trim.Side} as user data. */
    public Collection<? extends StackPane> handles() {
        return handles.values();
    }

    void lay(Projection projection, Photo photo) {
        List<Point> border = onStage(photo.plane().border(photo.remaining()), projection);
        veil.lay(onStage(photo.plane().border(), projection), border);
        Double[] points = border.stream()
                .flatMap(corner -> List.of(corner.x(), corner.y()).stream())
                .toArray(Double[]::new);
        halo.getPoints().setAll(points);
        edge.getPoints().setAll(points);
        List<Point> corners = new Outline(photo.remaining(), Angle.NONE).corners();
        // The corners go round from the upper left, as the sides do from the left one but one place later.
        for (Trim.Side side : Trim.Side.values()) {
            Point from = corners.get((side.ordinal() + 3) % 4);
            Point middle = from.plus(corners.get(side.ordinal())).times(0.5);
            handles.get(side).layAbout(projection.toScreen(photo.plane().toPlane(middle)));
        }
    }

    private static List<Point> onStage(List<Point> inPlane, Projection projection) {
        return inPlane.stream().map(projection::toScreen).toList();
    }
}
