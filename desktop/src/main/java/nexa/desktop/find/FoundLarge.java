package nexa.desktop.find;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.desktop.parts.FoundWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.imaging.pictures.PictureLibrary;

/** One photo that was looked at, large; the arrows go on to the next, the space bar ticks. */
final class FoundLarge extends VBox {
    private static final double BELOW = 50;

    private final FoundPrint.Actions actions;
    private final FoundPicture picture;
    private final Label name = Parts.name("section-title");
    private final Label words = Parts.label("");
    private final Label tick = Parts.label("", "quiet");
    private final Region room;
    private List<FoundPhoto> photos = List.of();
    private int here;

    /** @param room where it is shown */
    FoundLarge(PictureLibrary library, FoundPrint.Actions actions, Region room) {
        this.room = room;
        this.actions = actions;
        this.picture = new FoundPicture(library);
        setSpacing(8);
        setAlignment(Pos.CENTER);
        getStyleClass().add("found-large");
        setId("found-large");
        setFocusTraversable(true);
        HBox caption = new HBox(12, name, words, Parts.spacer(), tick, Parts.label(Words.get("find.large"), "quiet"));
        caption.setAlignment(Pos.BASELINE_LEFT);
        getChildren().addAll(picture, caption);
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        setOnMouseClicked(event -> toggle());
    }

    private void pressed(KeyEvent key) {
        switch (key.getCode()) {
            case LEFT, UP, PAGE_UP -> step(-1);
            case RIGHT, DOWN, PAGE_DOWN -> step(1);
            case SPACE -> toggle();
            default -> {
                return;
            }
        }
        key.consume();
    }

    private void step(int places) {
        show(photos, Math.max(0, Math.min(photos.size() - 1, here + places)));
    }

    private void toggle() {
        actions.toggle(photos.get(here).key());
        again();
    }

    /** Shows one of some photos. */
    void show(List<FoundPhoto> all, int place) {
        photos = all;
        here = place;
        FoundPhoto found = photos.get(here);
        picture.show(found, room.getWidth(), Math.max(BELOW, room.getHeight() - BELOW));
        Parts.setName(name, found.photo().file());
        words.setText(FoundWords.found(found.found(), found.photo(), found.isDone()));
        setAccessibleText(Words.get("find.print", name.getText(), words.getText()));
        again();
    }

    private void again() {
        FoundPhoto found = photos.get(here);
        boolean isTicked = actions.isTicked(found.key());
        tick.setText(found.canBeTaken() ? Words.get(isTicked ? "find.ticked" : "find.unticked") : "");
    }
}
