package nexa.desktop.sheet;

import java.util.function.Consumer;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;

/** A rectangle drawn by a drag over the sheet, that chooses what it touches. */
final class RubberBand {
    /** A drag this far, in pixels, is meant. */
    private static final double FAR = 8;

    private final Region sheet;
    private final double scrollBar;
    private final Consumer<Bounds> chosen;
    private final Rectangle band = new Rectangle();
    private final Pane layer = new Pane(band);
    private Point2D start = Point2D.ZERO;

    /**
     * None is drawn yet.
     *
     * @param scrollBar the width at the right of the sheet where nothing is drawn
     * @param chosen is given what it covered, in the scene
     */
    RubberBand(Region sheet, double scrollBar, Consumer<Bounds> chosen) {
        this.sheet = sheet;
        this.scrollBar = scrollBar;
        this.chosen = chosen;
        band.getStyleClass().add("band");
        band.setVisible(false);
        layer.setMouseTransparent(true);
        sheet.addEventFilter(MouseEvent.MOUSE_PRESSED, event -> start = new Point2D(event.getX(), event.getY()));
        sheet.addEventFilter(MouseEvent.MOUSE_DRAGGED, this::dragged);
        sheet.addEventFilter(MouseEvent.MOUSE_RELEASED, event -> released());
    }

    /** To be laid over the sheet. */
    Node node() {
        return layer;
    }

    private void dragged(MouseEvent event) {
        boolean isOnPhotos = start.getX() < sheet.getWidth() - scrollBar;
        boolean isFar = start.distance(event.getX(), event.getY()) > FAR;
        if (event.isPrimaryButtonDown() && isOnPhotos && (isFar || band.isVisible())) {
            band.setVisible(true);
            band.setX(Math.min(start.getX(), event.getX()));
            band.setY(Math.min(start.getY(), event.getY()));
            band.setWidth(Math.abs(event.getX() - start.getX()));
            band.setHeight(Math.abs(event.getY() - start.getY()));
        }
    }

    private void released() {
        if (band.isVisible()) {
            chosen.accept(band.localToScene(band.getBoundsInLocal()));
            band.setVisible(false);
        }
    }
}
