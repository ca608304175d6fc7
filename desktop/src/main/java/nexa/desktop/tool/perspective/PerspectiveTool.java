package nexa.desktop.tool.perspective;

import java.util.List;
import java.util.OptionalDouble;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import nexa.core.geometry.Point;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Tone;
import nexa.desktop.desk.DeskPage;
import nexa.desktop.stage.LineEnds;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.EaselTool;

/** Puts the photo's perspective right: by the desk's page, and by lines at hand on the stage. */
public final class PerspectiveTool implements EaselTool {
    private final Easel easel;
    private final Reshaping reshaping;
    private final LinesHand lines;
    private final PerspectivePage page;
    private boolean isWithout;

    public PerspectiveTool(Easel easel) {
        this.easel = easel;
        this.reshaping = new Reshaping(easel);
        this.lines = new LinesHand(easel, reshaping, this::markByLines);
        this.page = new PerspectivePage(new PerspectiveHand(easel, reshaping), lines);
        easel.inHand().onChanged(this::markByLines);
    }

    private void markByLines() {
        page.markByLines(lines.isShown() || easel.tracing().isForPerspective());
    }

    /** Its page of the desk's part for the shape. */
    public DeskPage page() {
        return new DeskPage("shape.perspective", "page-perspective", page.node());
    }

    /** The lines by which it is put right. */
    public LinesHand lines() {
        return lines;
    }

    /** The focal length a photo's lines are solved with, in millimetres on 36 × 24 mm; empty where they may tell it themselves. */
    public OptionalDouble knownFocalLength(Photo photo) {
        return reshaping.knownFocalLength(photo);
    }

    @Override
    public List<Node> overStage() {
        return List.of(lines.bar());
    }

    @Override
    public void show(PhotoCrop crop) {
        page.show(crop.photo().preparation().perspective(), reshaping.focalLength(crop.photo()));
    }

    @Override
    public void settle() {
        lines.refresh();
    }

    @Override
    public void clear() {
        page.clear();
    }

    @Override
    public void putAway() {
        lines.putAway();
    }

    @Override
    public boolean pressed(KeyEvent key) {
        boolean isMeant = key.getCode() == KeyCode.U && key.isShiftDown();
        if (isMeant) {
            showWithout(true);
        }
        return isMeant;
    }

    @Override
    public boolean moves(Object part, Point pixels) {
        if (part instanceof LineEnds.End end) {
            lines.move(end, pixels);
            return true;
        }
        return false;
    }

    @Override
    public boolean released(KeyEvent key) {
        boolean isMeant = key.getCode() == KeyCode.U;
        if (isMeant) {
            showWithout(false);
        }
        return isMeant;
    }

    /** Shows the photo without its shape and colour put right, or as it is again. */
    private void showWithout(boolean without) {
        if (without == isWithout) {
            return;
        }
        isWithout = without;
        easel.gestures().finish();
        easel.session().crop().ifPresent(crop -> {
            String file = crop.photo().file();
            Shoot shoot = easel.session().shoot();
            Shoot seen = without ? shoot.with(file, PerspectiveTool::without) : shoot;
            easel.stage().show(new Crops(seen).of(seen.photo(file), crop.format()));
        });
    }

    private static Photo without(Photo photo) {
        return photo.withPreparation(photo.preparation()
                .withShape(photo.preparation().shape().angleAlone())
                .withTone(Tone.NONE));
    }
}
