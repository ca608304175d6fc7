package nexa.desktop.stage;

import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Bounds;
import javafx.scene.Cursor;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Rectangle;
import nexa.core.crop.Handle;
import nexa.core.geometry.Point;
import nexa.core.message.EnumName;
import nexa.core.shoot.Photo;
import nexa.desktop.picture.GuideLayer;
import nexa.desktop.picture.Veil;

/** What lies over the picture: the mat's veil, the crop's edge, the guide and the handles. */
public final class CropOverlay extends Pane {
    private final Veil veil = new Veil();
    private final Rectangle halo = new Rectangle();
    private final Rectangle edge = new Rectangle();
    private final GuideLayer guides = new GuideLayer();
    private final AskedLayer asked = new AskedLayer();
    private final PhotoLayer onPhoto = new PhotoLayer();
    private final Map<Handle, Grip> handles = new EnumMap<>(Handle.class);
    private boolean hasVeil = true;
    private Runnable laid = () -> {};

    CropOverlay() {
        setPickOnBounds(false);
        halo.getStyleClass().add("crop-halo");
        edge.getStyleClass().add("crop-edge");
        halo.setMouseTransparent(true);
        edge.setMouseTransparent(true);
        getChildren().addAll(veil, guides, asked, halo, edge, onPhoto);
        for (Handle handle : Handle.values()) {
            Grip grip = Grip.of(handle, "handle-", "handle", cursor(handle));
            handles.put(handle, grip);
            getChildren().add(grip);
        }
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

    /** Lays the overlay over a crop that lies at a frame of the stage, and over its photo. */
    void lay(Rectangle frame, Projection projection, Photo photo) {
        double left = frame.getX();
        double top = frame.getY();
        veil.setVisible(hasVeil);
        if (hasVeil) {
            veil.layAround(
                    photo.plane().border().stream().map(projection::toScreen).toList(),
                    List.of(
                            new Point(left, top),
                            new Point(left + frame.getWidth(), top),
                            new Point(left + frame.getWidth(), top + frame.getHeight()),
                            new Point(left, top + frame.getHeight())));
        }
        place(halo, left - 0.5, top - 0.5, frame.getWidth() + 1, frame.getHeight() + 1);
        place(edge, left - 0.5, top - 0.5, frame.getWidth() + 1, frame.getHeight() + 1);
        handles.forEach((handle, grip) -> grip.layAbout(new Point(
                left + (handle.x() + 1) / 2.0 * frame.getWidth(), top + (handle.y() + 1) / 2.0 * frame.getHeight())));
        guides.lay(frame);
        asked.lay(frame, projection, photo);
        onPhoto.lay(projection, photo.plane());
        laid.run();
    }

    /** What happens whenever it has been laid over a crop. */
    public void onLaid(Runnable action) {
        laid = action;
    }

    /** Whether none of the handles lies in part of the stage. */
    public boolean isClear(Bounds part) {
        return handles.values().stream()
                .noneMatch(grip -> grip.getBoundsInParent().intersects(part));
    }

    private static void place(Rectangle part, double x, double y, double width, double height) {
        part.setX(x);
        part.setY(y);
        part.setWidth(Math.max(0, width));
        part.setHeight(Math.max(0, height));
    }

    /** The crop's handles; each has its {@link Handle} as user data. */
    public Collection<? extends StackPane> handles() {
        return handles.values();
    }

    public GuideLayer guides() {
        return guides;
    }

    public AskedLayer asked() {
        return asked;
    }

    public PhotoLayer onPhoto() {
        return onPhoto;
    }

    /**
     * Shows how the crop's surroundings are veiled.
     *
     * @param strength 0 … 1
     */
    public void setMat(MatKind mat, double strength) {
        hasVeil = mat != MatKind.NONE;
        veil.setVisible(hasVeil);
        veil.getStyleClass().setAll("mat", "mat-" + EnumName.of(mat));
        veil.setOpacity(strength);
    }

    /** Shows or hides everything that is worked with, leaving the veil. */
    public void setTools(boolean shown) {
        handles.values().forEach(grip -> grip.setVisible(shown));
        halo.setVisible(shown);
        edge.setVisible(shown);
        guides.setVisible(shown);
        onPhoto.setVisible(shown);
        asked.setOpacity(shown ? 1 : 0);
    }
}
