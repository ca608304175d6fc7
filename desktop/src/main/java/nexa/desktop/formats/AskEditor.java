package nexa.desktop.formats;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.ToDoubleFunction;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import nexa.core.format.Asks;
import nexa.core.format.Format;
import nexa.core.format.OutputSize;
import nexa.core.geometry.Point;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.TextSize;
import nexa.desktop.parts.TypedNumber;
import nexa.desktop.parts.Words;

/** The page of the format editor for what is asked of the crops. A field that is empty asks nothing. */
final class AskEditor {
    private static final double NOTE_WIDTH = 460;
    private static final double PERCENT = 100;
    /** Of two fields that only count together, what the one that was left empty is. */
    private static final double LEAST_SHARE = 0.01;

    private static final double MIDDLE = 0.5;

    private final Supplier<Format> now;
    private final Consumer<Asks> change;
    private final Consumer<String> refused;
    private final Map<TextField, Supplier<OptionalDouble>> shown = new LinkedHashMap<>();
    private final TextField least = percent("ask-share-least", "ask.least.name", () -> share(Asks.Share::least));
    private final TextField most = percent("ask-share-most", "ask.most.name", () -> share(Asks.Share::most));
    private final TextField across = percent("ask-across", "ask.across.name", () -> place(Point::x));
    private final TextField down = percent("ask-down", "ask.down.name", () -> place(Point::y));
    private final TextField eyes = percent("ask-eyes", "ask.eyes.name", () -> asks().eyes());
    private final TextField within = percent("ask-within", "ask.within.name", () -> OptionalDouble.of(asks().within()));
    private final TextField room = percent("ask-room", "ask.room.name", () -> asks().room());
    private final TextField level = number("ask-level", "ask.level.name", () -> asks().level());
    private final TextField ppi = number("ask-ppi", "ask.ppi.name", () -> asks().leastPpi());
    private final ToggleButton allPhoto = Parts.toggle("ask.allPhoto", "choice", "small-button");
    private final Label onlyPaper = Parts.label(Words.get("ask.onlyPaper"), "small", "quiet");
    private final VBox node;
    private boolean isFilling;

    /**
     * An editor of what is asked of a format.
     *
     * @param change takes what is to be asked
     * @param refused hears why what was typed cannot be
     */
    AskEditor(Supplier<Format> now, Consumer<Asks> change, Consumer<String> refused) {
        this.now = now;
        this.change = change;
        this.refused = refused;
        GridPane grid = new GridPane();
        grid.setHgap(12);
        grid.setVgap(9);
        add(grid, "ask.share", least, said("ask.to"), most, said("ask.share.of"));
        add(grid, "ask.subjectAt", across, said("ask.across"), down, said("ask.down"));
        add(grid, "ask.eyesAt", eyes, said("ask.down"));
        add(grid, "ask.giveOrTake", within, said("ask.within.of"));
        add(grid, "ask.roomAround", room, said("ask.room.of"));
        add(grid, "ask.levelWithin", level, said("ask.level.of"));
        add(grid, "ask.pixels", ppi, said("ask.ppi.of"), onlyPaper);
        add(grid, "ask.edge", allPhoto);
        allPhoto.setId("ask-all-photo");
        allPhoto.setOnAction(event -> take());
        Label note = Parts.label(Words.get("ask.note"), "small", "quiet");
        note.setWrapText(true);
        note.setPrefWidth(TextSize.scaled(NOTE_WIDTH));
        node = new VBox(12, grid, note);
    }

    private static Label said(String key) {
        return Parts.label(Words.get(key), "quiet");
    }

    private static void add(GridPane grid, String caption, Node... parts) {
        grid.addRow(grid.getRowCount(), said(caption), Parts.row(6, parts));
    }

    private TextField percent(String id, String key, Supplier<OptionalDouble> value) {
        return number(id, key, () -> {
            OptionalDouble share = value.get();
            return share.isPresent() ? OptionalDouble.of(share.getAsDouble() * PERCENT) : share;
        });
    }

    private TextField number(String id, String key, Supplier<OptionalDouble> value) {
        TextField field = Parts.numberField(id, 4, Words.get(key), Words.get(key + ".tip"), this::take);
        field.setOnAction(event -> take());
        shown.put(field, value);
        return field;
    }

    Node node() {
        return node;
    }

    private Asks asks() {
        return now.get().asks();
    }

    private OptionalDouble share(ToDoubleFunction<Asks.Share> end) {
        return asks().share()
                .map(share -> OptionalDouble.of(end.applyAsDouble(share)))
                .orElse(OptionalDouble.empty());
    }

    private OptionalDouble place(ToDoubleFunction<Point> way) {
        return asks().place()
                .map(place -> OptionalDouble.of(way.applyAsDouble(place)))
                .orElse(OptionalDouble.empty());
    }

    /** Shows what is asked now. */
    void fill() {
        isFilling = true;
        shown.forEach((field, value) -> field.setText(
                value.get().isPresent() ? Words.plain(Math.round(value.get().getAsDouble() * 1e4) / 1e4) : ""));
        allPhoto.setSelected(asks().allPhoto());
        boolean isForPaper = now.get().size() instanceof OutputSize.Print;
        ppi.setDisable(!isForPaper);
        onlyPaper.setVisible(!isForPaper);
        isFilling = false;
    }

    /** Takes what is typed, where it can be. */
    private void take() {
        if (isFilling) {
            return;
        }
        try {
            Asks typed = typed();
            if (!typed.equals(asks())) {
                change.accept(typed);
            }
        } catch (IllegalArgumentException e) {
            refused.accept(Words.get("editor.cannot", Words.wrong(e)));
        }
        fill();
    }

    private Asks typed() {
        OptionalDouble from = share(least);
        OptionalDouble to = share(most);
        OptionalDouble u = share(across);
        OptionalDouble v = share(down);
        return Asks.NONE
                .withShare(
                        from.isPresent() || to.isPresent()
                                ? Optional.of(new Asks.Share(from.orElse(LEAST_SHARE), to.orElse(Asks.MOST_SHARE)))
                                : Optional.empty())
                .withPlace(
                        u.isPresent() || v.isPresent()
                                ? Optional.of(new Point(u.orElse(MIDDLE), v.orElse(MIDDLE)))
                                : Optional.empty())
                .withEyes(share(eyes))
                .withWithin(share(within).orElse(Asks.USUAL_WITHIN))
                .withRoom(share(room))
                .withLevel(number(level))
                .withAllPhoto(allPhoto.isSelected())
                .withLeastPpi(number(ppi));
    }

    private static OptionalDouble share(TextField field) {
        OptionalDouble typed = number(field);
        return typed.isPresent() ? OptionalDouble.of(typed.getAsDouble() / PERCENT) : typed;
    }

    private static OptionalDouble number(TextField field) {
        return field.getText().isBlank()
                ? OptionalDouble.empty()
                : OptionalDouble.of(TypedNumber.read(field.getText()));
    }
}
