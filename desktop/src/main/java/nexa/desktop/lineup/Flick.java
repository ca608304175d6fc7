package nexa.desktop.lineup;

import java.util.List;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import nexa.core.series.CropTable;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.picture.Thumb;
import nexa.desktop.session.ShootSession;

/** The crops one after the other in the same spot, while a key is held. */
final class Flick extends StackPane {
    private static final Duration EACH = Duration.millis(420);
    private static final double MARGIN = 40;

    private final OnView onView;
    private final Thumb thumb;
    private final Label name = Parts.label("");
    private final Timeline timeline = new Timeline(new KeyFrame(EACH, event -> step(1)));
    private List<CropTable.Row> entries = List.of();
    private int here;

    /** @param onView hears what is on view */
    Flick(ShootSession session, OnView onView) {
        this.onView = onView;
        thumb = new Thumb(session.pictures());
        VBox place = new VBox(8, thumb, name);
        place.setAlignment(Pos.CENTER);
        getChildren().add(place);
        getStyleClass().add("flick");
        setVisible(false);
        timeline.setCycleCount(Animation.INDEFINITE);
    }

    void begin(List<CropTable.Row> newEntries, String from) {
        if (newEntries.isEmpty() || isVisible()) {
            return;
        }
        entries = newEntries;
        here = Math.max(0, entries.stream().map(CropTable.Row::file).toList().indexOf(from));
        setVisible(true);
        step(0);
        timeline.playFromStart();
    }

    /** Goes on by hand. */
    void step(int places) {
        here = Math.floorMod(here + places, entries.size());
        CropTable.Row entry = entries.get(here);
        thumb.show(entry.crop(), getWidth() - 2 * MARGIN, getHeight() - 2 * MARGIN);
        name.setText(PhotoNames.base(entry.file()));
        onView.see(entry.crop(), Math.max(thumb.getMaxWidth(), thumb.getMaxHeight()));
    }

    /** Goes on by hand from now on. */
    void stepByHand(int places) {
        timeline.stop();
        step(places);
    }

    /** The file that is seen. */
    String file() {
        return entries.get(here).file();
    }

    void end() {
        timeline.stop();
        setVisible(false);
        thumb.clear();
    }
}
