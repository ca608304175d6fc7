package nexa.desktop.find;

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
        boolean isTicked(String file);

        void toggle(String file);

        void open(String file);
    }

    private final Actions actions;
    private final FoundPicture picture;
    private final Label tick = Parts.label("✓", "found-tick");
    private final Label name = Parts.name("small");
    private final Label words = Parts.label("", "small", "quiet");
    /** What takes a line of its own. */
    private final Label reason = Parts.label("", "small", "quiet");

    private String file = "";

    FoundPrint(PictureLibrary library, Actions actions) {
        this.actions = actions;
        this.picture = new FoundPicture(library);
        getStyleClass().addAll("flat", "found-print");
        tick.setMinWidth(Label.USE_PREF_SIZE);
        words.setMinWidth(Label.USE_PREF_SIZE);
        HBox caption = Parts.row(5, tick, name, Parts.spacer(), words);
        caption.setPrefWidth(WIDTH);
        reason.setMaxWidth(WIDTH);
        VBox content = new VBox(3, picture, caption, reason);
        setGraphic(content);
        setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        setOnAction(event -> actions.toggle(file));
        setOnMouseClicked(event -> {
            if (event.getClickCount() == 2) {
                // Its two clicks ticked it back and forth.
                actions.open(file);
            }
        });
        addEventFilter(KeyEvent.KEY_PRESSED, key -> {
            if (key.getCode() == KeyCode.ENTER) {
                actions.open(file);
                key.consume();
            }
        });
    }

    void show(FoundPhoto found) {
        file = found.photo().file();
        setId("found-" + PhotoNames.base(file));
        picture.show(found, WIDTH, PICTURE);
        Parts.setName(name, file);
        String said = FoundWords.found(found.found(), found.photo(), found.isDone());
        boolean isLong = found.what() == FindWhat.CROPS || !findRoom(PhotoNames.base(file), said);
        words.setText(isLong ? "" : said);
        reason.setText(isLong ? said : "");
        Parts.tip(reason, isLong ? said : "");
        reason.setManaged(isLong);
        reason.setVisible(isLong);
        setAccessibleText(Words.get("find.print", PhotoNames.base(file), said));
        setVisible(true);
        again();
    }

    /** Whether a name and words find room in one line. */
    private boolean findRoom(String base, String said) {
        Text line = new Text(base + said);
        line.setFont(words.getFont());
        return line.getLayoutBounds().getWidth() <= WIDTH - BESIDE_WORDS;
    }

    /** Shows whether it is ticked now. */
    void again() {
        setSelected(actions.isTicked(file));
        tick.setVisible(isSelected());
    }

    void clear() {
        picture.clear();
        setVisible(false);
    }
}
