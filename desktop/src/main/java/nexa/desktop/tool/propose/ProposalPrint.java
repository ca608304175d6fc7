package nexa.desktop.tool.propose;

import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.core.propose.Proposal;
import nexa.core.series.PhotoCrop;
import nexa.desktop.parts.FoundWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.picture.Thumb;
import nexa.imaging.pictures.PictureLibrary;

/** A proposal as it would look, with its reason below. */
final class ProposalPrint extends Button {
    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final double WIDTH = 174;
    private static final double HEIGHT = 84;
    /** Room for two lines. */
    private static final double WORDS = 36;

    private final Thumb thumb;
    private final Label words = Parts.label("", "small", "proposal-words");

    ProposalPrint(PictureLibrary library, int number) {
        thumb = new Thumb(library);
        StackPane frame = new StackPane(thumb);
        frame.getStyleClass().add("proposal-frame");
        frame.setMinSize(WIDTH, HEIGHT + 8);
        words.setWrapText(true);
        words.setPrefWidth(WIDTH);
        words.setMinHeight(WORDS);
        words.setMaxHeight(WORDS);
        words.setAlignment(Pos.TOP_CENTER);
        setGraphic(new VBox(2, frame, words));
        setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        getStyleClass().addAll("flat", "proposal");
        setId("proposal-" + number);
        // The arrows choose among them, and the stage keeps the focus.
        setFocusTraversable(false);
    }

    void show(PhotoCrop crop, Proposal proposal, int place, int count) {
        thumb.show(crop, WIDTH, HEIGHT);
        String reasons = FoundWords.reasons(proposal);
        words.setText(reasons);
        setAccessibleText(Words.get("propose.print", place, count, reasons));
        setVisible(true);
    }

    void setCurrent(boolean isCurrent) {
        pseudoClassStateChanged(CURRENT, isCurrent);
    }

    void clear() {
        thumb.clear();
        setVisible(false);
    }
}
