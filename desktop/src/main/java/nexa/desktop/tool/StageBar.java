package nexa.desktop.tool;

import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import nexa.desktop.stage.PhotoStage;

/** A bar over the stage about lines on the photo, where the fewest of them lie under it. */
public class StageBar extends HBox {
    /** How far the bar is from the edges of the stage. */
    private static final double FROM_EDGE = 44;

    public StageBar() {
        getStyleClass().add("trace-bar");
        setAlignment(Pos.CENTER_LEFT);
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        setVisible(false);
        StackPane.setMargin(this, new Insets(FROM_EDGE));
    }

    /** Lays it where the lines are clear of it. */
    public void place(PhotoStage stage) {
        if (isVisible()) {
            applyCss();
            StackPane.setAlignment(this, stage.overlay().onPhoto().clearest(this, FROM_EDGE));
        }
    }
}
