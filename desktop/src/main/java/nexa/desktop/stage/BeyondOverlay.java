package nexa.desktop.stage;

import java.util.List;
import javafx.animation.PauseTransition;
import javafx.scene.paint.Color;
import javafx.scene.paint.CycleMethod;
import javafx.scene.paint.LinearGradient;
import javafx.scene.paint.Stop;
import javafx.scene.shape.ClosePath;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.util.Duration;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Polygons;
import nexa.core.series.PhotoCrop;

/** Hatches what a crop takes in beyond its photo, for a moment after that has changed. */
final class BeyondOverlay {
    private static final Duration SHOWN = Duration.millis(500);
    private static final double PITCH = 7;

    private final Path node = new Path();
    private final PauseTransition pause = new PauseTransition(SHOWN);
    private Object before = List.of();

    BeyondOverlay() {
        node.setId("beyond-hatch");
        node.setManaged(false);
        node.setMouseTransparent(true);
        node.setFillRule(FillRule.EVEN_ODD);
        node.setStroke(null);
        node.setFill(new LinearGradient(
                0,
                0,
                PITCH,
                PITCH,
                false,
                CycleMethod.REPEAT,
                new Stop(0, Color.gray(1, 0.55)),
                new Stop(0.22, Color.gray(1, 0.55)),
                new Stop(0.22, Color.gray(0.1, 0.35)),
                new Stop(0.34, Color.gray(0.1, 0.35)),
                new Stop(0.34, Color.TRANSPARENT),
                new Stop(1, Color.TRANSPARENT)));
        node.setVisible(false);
        pause.setOnFinished(event -> node.setVisible(false));
    }

    Path node() {
        return node;
    }

    /** Lays it over a crop as it lies on the stage. */
    void lay(Pose now, PhotoCrop of) {
        Crop crop = now.crop();
        boolean reaches = of.withCrop(crop).beyond() > 0;
        Object shown = reaches
                ? List.of(
                        crop,
                        of.photo().preparation(),
                        of.photo().entry(of.format().id()).beyond())
                : List.of();
        if (!shown.equals(before)) {
            before = shown;
            node.setVisible(reaches);
            pause.playFromStart();
        }
        if (node.isVisible()) {
            List<Point> corners = crop.corners(of.photo().angle());
            List<Point> border = of.photo().plane().border(of.photo().remaining());
            node.getElements().clear();
            add(corners, now.projection());
            // What of the photo is in the crop is left out of it.
            add(Polygons.within(border, corners), now.projection());
        }
    }

    private void add(List<Point> corners, Projection projection) {
        for (int i = 0; i < corners.size(); i++) {
            Point at = projection.toScreen(corners.get(i));
            node.getElements().add(i == 0 ? new MoveTo(at.x(), at.y()) : new LineTo(at.x(), at.y()));
        }
        if (!corners.isEmpty()) {
            node.getElements().add(new ClosePath());
        }
    }

    void hide() {
        node.setVisible(false);
    }
}
