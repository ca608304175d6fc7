package nexa.desktop.tool.perspective;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.shape.SceneLines;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.tool.StageBar;

/** What the lines of a photo make of its perspective, and what else can be made of them. */
final class LinesBar extends StageBar {
    /** Uprights and levels that stay further off square, in degrees, cannot all be right. */
    private static final double WRONG = 10;

    /** What can be done with the lines. */
    interface Actions {
        void make(LinesUse use);

        /** Levels the photo by them, and leaves its perspective as shot. */
        void turnOnly();

        void remove(int line);

        void putAway();
    }

    private final Actions actions;

    LinesBar(Actions actions) {
        this.actions = actions;
        setId("lines-bar");
    }

    /**
     * Shows what was made of lines.
     *
     * @param off by how many degrees uprights and levels stay off square
     * @param uncertainty by how many degrees the perspective may be off, where that is known
     */
    void show(SceneLines lines, LinesUse use, double off, OptionalDouble uncertainty) {
        setVisible(true);
        HBox said = row();
        said.getChildren().addAll(made(use, off, uncertainty));
        IntStream.range(0, lines.all().size()).mapToObj(i -> line(lines, i)).forEach(said.getChildren()::add);
        HBox done = row();
        Button turn = Parts.button("lines.turnOnly", actions::turnOnly, "small-button");
        turn.setId("lines-turn-only");
        done.getChildren().add(turn);
        for (LinesUse one : LinesUse.offered(lines)) {
            ToggleButton make = Parts.toggle(one.key(), "choice", "small-button");
            make.setId(one.id("lines-"));
            make.setSelected(one == use);
            make.setOnAction(event -> actions.make(one));
            done.getChildren().add(make);
        }
        done.getChildren()
                .addAll(Parts.spacer(), Parts.button("lines.putAway", actions::putAway, "flat", "small-button"));
        getChildren().setAll(new VBox(4, said, done));
    }

    private static HBox row() {
        return Parts.row(9);
    }

    /** What was made of the lines, and how sure that is. */
    private static List<Node> made(LinesUse use, double off, OptionalDouble uncertainty) {
        if (use == LinesUse.FACE_ON && off > WRONG) {
            return List.of(
                    Parts.triangle(), Parts.label(Words.get("lines.wrong", Words.number(off, 1)), "small", "look"));
        }
        String within =
                uncertainty.isPresent() ? Words.get("lines.within", Words.number(uncertainty.getAsDouble(), 1)) : "";
        String made = use == LinesUse.FACE_ON
                ? Words.get("lines.square", Words.number(off, 1), within)
                : Words.get("lines.parallel", within);
        return List.of(Parts.label(made, "small"));
    }

    private HBox line(SceneLines lines, int index) {
        boolean isUpright = index < lines.uprights().size();
        HBox line = new HBox(2);
        line.setAlignment(Pos.CENTER);
        Button remove = Parts.button("trace.remove", () -> actions.remove(index), "flat", "tiny");
        line.getChildren()
                .addAll(
                        Parts.label(
                                Words.get(isUpright ? "lines.upright" : "lines.level", index + 1), "small", "quiet"),
                        remove);
        return line;
    }

    void hide() {
        setVisible(false);
        getChildren().clear();
    }
}
