package nexa.desktop.stage;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;
import nexa.core.geometry.Segment;
import nexa.core.series.PhotoCrop;

/** What lies over the picture: the crop with its tools, or the sides of the trim over the whole photo, or nothing. */
final class StageTools {
    private final CropOverlay crop = new CropOverlay();
    private final BeyondOverlay beyond = new BeyondOverlay();
    private final TrimOverlay trim = new TrimOverlay();
    private final LineEnds lineEnds = new LineEnds();
    private final StageNotes notes;
    private boolean isUncropped;
    private boolean isTrimming;
    private boolean hasPhoto;

    StageTools(StageNotes notes) {
        this.notes = notes;
        show();
    }

    List<Node> nodes() {
        return List.of(beyond.node(), crop, trim, lineEnds);
    }

    CropOverlay crop() {
        return crop;
    }

    TrimOverlay trim() {
        return trim;
    }

    LineEnds lineEnds() {
        return lineEnds;
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

    /** Shows lines of the photo, in its pixels, with a handle at each end. */
    void showLines(List<Segment> lines) {
        crop.onPhoto().keep(lines);
        lineEnds.show(lines);
    }

    /** There is no photo to lie over. */
    void hide() {
        hasPhoto = false;
        show();
    }

    private void show() {
        crop.setVisible(hasPhoto && !showWhole());
        trim.setVisible(hasPhoto && isTrimming && !isUncropped);
        lineEnds.setVisible(crop.isVisible());
        notes.setKeptShown(crop.isVisible());
    }

    /** Lays all of it over a photo with its crop. */
    void lay(Pose now, PhotoCrop of) {
        hasPhoto = true;
        Rectangle frame = now.frame();
        crop.lay(frame, now.projection(), of.photo());
        trim.lay(now.projection(), of.photo());
        lineEnds.lay(now.projection(), of.photo().plane());
        notes.showKept(of.withCrop(now.crop()).kept(), frame);
        show();
        if (crop.isVisible()) {
            beyond.lay(now, of);
        } else {
            beyond.hide();
        }
    }

    void fill(Region stage) {
        crop.resizeRelocate(0, 0, stage.getWidth(), stage.getHeight());
        trim.resizeRelocate(0, 0, stage.getWidth(), stage.getHeight());
        lineEnds.resizeRelocate(0, 0, stage.getWidth(), stage.getHeight());
    }
}
