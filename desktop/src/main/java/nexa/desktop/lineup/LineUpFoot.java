package nexa.desktop.lineup;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import nexa.core.format.Format;
import nexa.core.series.CropTable;
import nexa.core.series.PhotoCrop;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.Words;
import nexa.desktop.series.StepWords;
import nexa.desktop.session.ShootSession;

/** Below the crops: the spread of the set and what is allowed, the furthest out of step, and what can be done with one. */
final class LineUpFoot {
    private static final int LISTED = 4;

    /** What can be done there. */
    interface Actions {
        void choose(String file);

        void bringIntoStep();

        void leaveAsItIs();

        /** Marks done what is in step and has been on view. */
        void theseAreRight();

        void openEasel();

        /** Goes back to the crops. */
        void toCrops();
    }

    private final ShootSession session;
    private final Actions actions;
    private final HBox node;
    private final Tolerances tolerances;
    private final Spread spread;
    private final Label spreadTitle = Parts.label("", "section-title");
    private final VBox outList = new VBox(1);
    private final Label hereName = Parts.name("section-title");
    private final Label hereWords = Parts.label("", "small", "quiet");
    private final Button bring;
    private final Button leave;
    private final Button right;
    private final OnView onView;

    LineUpFoot(ShootSession session, OnView onView, Actions actions) {
        this.session = session;
        this.actions = actions;
        this.onView = onView;
        this.tolerances = new Tolerances(session, actions::toCrops);
        this.spread = new Spread(actions::choose);
        this.bring = Parts.button("lineup.bring", actions::bringIntoStep, "main-action", "carry");
        this.leave = Parts.button("lineup.leave", actions::leaveAsItIs, "small-button");
        this.right = Parts.button("lineup.right", actions::theseAreRight, "small-button");
        right.setId("these-are-right");
        bring.setId("bring");
        leave.setId("leave");
        node = new HBox(spread(), outOfStep(), here());
        node.getChildren().forEach(part -> part.getStyleClass().add("desk-section"));
        node.getStyleClass().add("lineup-foot");
    }

    Node node() {
        return node;
    }

    private VBox spread() {
        HBox allowed =
                new HBox(6, spreadTitle, Parts.spacer(), Parts.label(Words.get("lineup.allowed"), "small", "quiet"));
        allowed.getChildren().addAll(tolerances.nodes());
        allowed.getChildren().add(Parts.label("%", "small", "quiet"));
        allowed.setAlignment(Pos.CENTER_LEFT);
        return new VBox(4, allowed, spread);
    }

    private VBox outOfStep() {
        HBox heading = Parts.row(6, Parts.label(Words.get("lineup.out"), "section-title"), Parts.spacer(), right);
        VBox part = new VBox(4, heading, outList);
        part.setMinWidth(270);
        return part;
    }

    private VBox here() {
        Button open = Parts.button("lineup.open", actions::openEasel, "small-button");
        HBox row = Parts.row(6, bring, leave, open);
        VBox part = new VBox(
                6, new HBox(8, hereName, hereWords), row, Parts.label(Words.get("lineup.how"), "small", "quiet"));
        HBox.setHgrow(part, Priority.ALWAYS);
        return part;
    }

    void show(LineUp lineUp) {
        Format format = session.format();
        String current = session.photoProperty().get().orElse("");
        tolerances.show(format.tolerance());
        spreadTitle.setText(Words.get("lineup.spread", lineUp.entries().size()));
        spread.show(lineUp.entries(), format.tolerance(), current);
        showOut(lineUp);
        showHere(lineUp.find(current));
        showRight(lineUp);
    }

    /** Those that “These are right” is for. */
    List<String> right(LineUp lineUp) {
        return lineUp.entries().stream()
                .filter(entry -> entry.isIn() && !entry.crop().isDone() && onView.has(entry.crop()))
                .map(CropTable.Row::file)
                .toList();
    }

    /** More may have been on view since. */
    void showRight(LineUp lineUp) {
        int count = right(lineUp).size();
        right.setText(Words.get("lineup.right", count));
        right.setDisable(count == 0 || session.isReadOnly());
    }

    private void showOut(LineUp lineUp) {
        outList.getChildren().clear();
        lineUp.out().stream()
                .limit(LISTED)
                .forEach(entry -> outList.getChildren().add(outEntry(entry)));
        if (lineUp.out().isEmpty()) {
            boolean follows = lineUp.entries().stream().anyMatch(CropTable.Row::follows);
            outList.getChildren()
                    .add(Parts.label(Words.get(follows ? "lineup.allIn" : "lineup.none"), "small", "quiet"));
        }
    }

    private Button outEntry(CropTable.Row entry) {
        Button button = Parts.named(
                PhotoNames.base(entry.file()) + "  " + StepWords.of(entry.step().orElseThrow()));
        button.getStyleClass().addAll("flat", "look-entry");
        button.setGraphic(Parts.triangle());
        Parts.explain(button, Words.get("panel.look.tip", entry.file()));
        button.setOnAction(event -> actions.choose(entry.file()));
        return button;
    }

    private void showHere(Optional<CropTable.Row> here) {
        Parts.setName(hereName, here.map(CropTable.Row::file).orElse(""));
        hereWords.setText(here.filter(CropTable.Row::follows)
                .flatMap(CropTable.Row::step)
                .map(StepWords::of)
                .orElse(""));
        boolean canBring = here.map(entry -> entry.step().isPresent()
                        && entry.crop().state() != PhotoCrop.State.FOLLOW
                        && entry.crop().state() != PhotoCrop.State.LEAD)
                .orElse(false);
        bring.setDisable(!canBring);
        leave.setDisable(!here.map(CropTable.Row::isOut).orElse(false));
    }
}
