package nexa.desktop.tool;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import nexa.desktop.parts.Parts;
import nexa.desktop.stage.PhotoStage;

/** Says something by the pointer while it draws, else above the picture. */
public final class StageHint {
    private static final double BELOW_TOP = 12;
    private static final double BY_POINTER = 18;
    /** Room for the longest hint beside the pointer. */
    private static final double LONGEST = 300;

    private final Label node = Parts.label("", "stage-hint");
    private final PhotoStage stage;
    private final ToolInHand tool;

    StageHint(PhotoStage stage, ToolInHand tool) {
        this.stage = stage;
        this.tool = tool;
        node.setMouseTransparent(true);
        node.setVisible(false);
        node.setMaxSize(Label.USE_PREF_SIZE, Label.USE_PREF_SIZE);
        StackPane.setAlignment(node, Pos.TOP_CENTER);
    }

    public Label node() {
        return node;
    }

    /** Whether it says just this. */
    public boolean says(String words) {
        return node.getText().equals(words);
    }

    /** @param words "" for nothing */
    public void say(String words) {
        node.setText(words);
        node.setVisible(!words.isEmpty());
        boolean isByPointer = tool.isDrawing();
        StackPane.setAlignment(node, isByPointer ? Pos.TOP_LEFT : Pos.TOP_CENTER);
        node.setTranslateX(isByPointer ? Math.min(tool.pointer().x() + BY_POINTER, stage.getWidth() - LONGEST) : 0);
        node.setTranslateY(
                isByPointer
                        ? Math.min(tool.pointer().y() + BY_POINTER, stage.getHeight() - 2 * BY_POINTER)
                        : BELOW_TOP);
    }
}
