package nexa.desktop.find;

import java.util.List;
import javafx.geometry.Bounds;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import nexa.desktop.parts.FoundWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.Words;
import nexa.imaging.pictures.PictureLibrary;

/** A photo in the panel: what was found in it, and whether that is ticked. */
final class FoundPrint extends ToggleButton {
    static final double WIDTH = 182;
    private static final double PICTURE = 122;
    /** The tick, and what parts it, the name and the words. */
    private static final double BESIDE_WORDS = 34;

    /** What is done with it. */
    interface Actions {
        boolean isTicked(FoundPhoto.Key key);

        void toggle(FoundPhoto.Key key);

        /** Ticks a whole group, or takes its ticks away. */
        void setTicked(List<FoundPhoto.Key> group, boolean isTicked);

        void open(FoundPhoto.Key key);
    }

    private final Actions actions;
    private final FoundPicture picture;
    private final Label tick = Parts.label("✓", "found-tick");
    private final Label name = Parts.name("small");
    private final Label words = Parts.label("", "small", "quiet");
    /** What takes a line of its own. */
    private final Label reason = Parts.label("", "small", "quiet");

    private FoundPhoto.Key key = new FoundPhoto.Key("", "");

    FoundPrint(PictureLibrary library, Actions actions) {
        this.actions = actions;
        this.picture = new FoundPicture(library);
        getStyleClass().addAll("flat", "found-print");
        tick.setMinWidth(Label.USE_PREF_SIZE);
        words.setMinWidth(Label.USE_PREF_SIZE);
        // Names differ in their ends, and reasons in what comes last: both are told whole.
        name.setWrapText(true);
        HBox caption = new HBox(5, tick, name, Parts.spacer(), words);
        caption.setPrefWidth(WIDTH);
        caption.setMaxWidth(WIDTH);
        reason.setWrapText(true);
        VBox content = new VBox(3, picture, caption, reason);
        setGraphic(content);
        setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        setOnAction(event -> actions.toggle(key));
        setOnMouseClicked(event -> {
            if (event.getClickCount() == 2) {
                // Its two clicks ticked it back and forth.
                actions.open(key);
            }
        });
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER) {
                actions.open(key);
                event.consume();
            }
        });
    }

    void show(FoundPhoto found) {
        key = found.key();
        String file = key.file();
        setId("found-" + PhotoNames.base(file) + (key.format().isEmpty() ? "" : "-" + key.format()));
        picture.show(found, WIDTH, PICTURE);
        Parts.setName(name, file);
        String said = FoundWords.found(found.found(), found.photo(), found.isDone());
        boolean isLong = found.what() == FindWhat.CROPS || !findRoom(PhotoNames.base(file), said);
        words.setText(isLong ? "" : said);
        reason.setText(isLong ? said : "");
        fit(name, WIDTH - BESIDE_WORDS - (isLong ? 0 : measured(said).getWidth()));
        fit(reason, WIDTH);
        reason.setManaged(isLong);
        reason.setVisible(isLong);
        setAccessibleText(Words.get("find.print", PhotoNames.base(file), said));
        setVisible(true);
        again();
    }

    /** Whether a name and words find room in one line. */
    private boolean findRoom(String base, String said) {
        return measured(base + said).getWidth() <= WIDTH - BESIDE_WORDS;
    }

    private Bounds measured(String line) {
        Text text = new Text(line);
        text.setFont(words.getFont());
        return text.getLayoutBounds();
    }

    /** Makes a label just so wide, and as high as its words are then: a button does not ask its picture how high it is. */
    private void fit(Label label, double width) {
        Text text = new Text(label.getText());
        text.setFont(words.getFont());
        text.setWrappingWidth(width);
        label.setMinWidth(width);
        label.setPrefWidth(width);
        label.setMaxWidth(width);
        label.setPrefHeight(Math.ceil(text.getLayoutBounds().getHeight()) + 2);
        label.setMinHeight(Label.USE_PREF_SIZE);
    }

    /** Shows whether it is ticked now. */
    void again() {
        setSelected(actions.isTicked(key));
        tick.setVisible(isSelected());
    }

    void clear() {
        picture.clear();
        setVisible(false);
    }
}
