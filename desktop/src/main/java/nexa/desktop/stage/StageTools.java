package nexa.desktop.stage;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;
import nexa.core.series.PhotoCrop;

/** What lies over the picture: the crop with its tools, or the sides of the trim over the whole photo, or nothing. */
final class StageTools {
    private final CropOverlay crop = new CropOverlay();
    private final TrimOverlay trim = new TrimOverlay();
    private final StageNotes notes;
    private boolean isUncropped;
    private boolean isTrimming;
    private boolean hasPhoto;

    StageTools(StageNotes notes) {
        this.notes = notes;
        show();
    }

    List<Node> nodes() {
        return List.of(crop, trim);
    }

    CropOverlay crop() {
        return crop;
    }

    TrimOverlay trim() {
        return trim;
    }

    void setUncropped(boolean uncropped) {
        isUncropped = uncropped;
        show();
    }

    void setTrimming(boolean trimming) {
        isTrimming = trimming;
        show();
    }

    /** Whether the whole photo is shown, and not its crop. */
    boolean showWhole() {
        return isUncropped || isTrimming;
    }

    /** There is no photo to lie over. */
    void hide() {
        hasPhoto = false;
        show();
    }

    private void show() {
        crop.setVisible(hasPhoto && !showWhole());
        trim.setVisible(hasPhoto && isTrimming && !isUncropped);
        notes.setKeptShown(crop.isVisible());
    }

    /** Lays all of it over a photo with its crop. */
    void lay(Lying now, PhotoCrop of) {
        hasPhoto = true;
        Rectangle frame = now.frame();
        crop.lay(frame, now.projection(), of.photo());
        trim.lay(now.projection(), of.photo());
        notes.showKept(now.crop().size().area() / of.outline().area(), frame);
        show();
    }

    void fill(Region stage) {
        crop.resizeRelocate(0, 0, stage.getWidth(), stage.getHeight());
        trim.resizeRelocate(0, 0, stage.getWidth(), stage.getHeight());
    }
}
