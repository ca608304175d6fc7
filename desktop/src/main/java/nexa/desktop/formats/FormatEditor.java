package nexa.desktop.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.core.format.Asks;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.Going;
import nexa.core.format.NearRatio;
import nexa.core.format.OutputSize;
import nexa.core.format.Ratio;
import nexa.core.series.Formats;
import nexa.core.shoot.Edit;
import nexa.desktop.parts.Choices;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.imaging.deliver.DeliveryPlan;
import nexa.store.user.KeptFormats;

/** Changes a format of the shoot: name, ratio, which way it lies, size. Every change is there at once and can be undone. */
public final class FormatEditor extends VBox {
    private static final List<String> COMMON =
            List.of("1:1", "5:4", "4:3", "7:5", "3:2", "16:10", "16:9", "1.91:1", "2:1", "21:9", "2.39:1", "3:1");

    private enum Page {
        FILES,
        ASKED
    }

    private final ShootSession session;
    private final KeptFormats kept;
    private final String id;
    private final Runnable close;
    private final TextField name = new TextField();
    private final ComboBox<String> ratio = new ComboBox<>();
    private final ComboBox<String> turn = new ComboBox<>();
    private final SizeEditor size;
    private final Label said = Parts.label("", "small", "look");
    private final Label crops = Parts.label("", "small", "quiet");
    private final ToggleButton goes = Parts.toggle("editor.goes", "choice");
    private final AskEditor asks;
    private final ToggleButton reaches = Parts.toggle("editor.reaches", "choice");
    private boolean isFilling;

    /** @param id of the format */
    public FormatEditor(ShootSession session, KeptFormats kept, String id, Runnable close) {
        this.session = session;
        this.kept = kept;
        this.id = id;
        this.close = close;
        getStyleClass().add("format-editor");
        setSpacing(12);
        prepare();
        size = new SizeEditor(
                this::format, this::changeShape, asked -> change(format -> format.withSize(asked)), this::takePaper);
        GridPane grid = new GridPane();
        grid.setHgap(12);
        grid.setVgap(9);
        grid.addRow(0, caption("editor.name"), name);
        grid.addRow(1, caption("editor.ratio"), ratioRow());
        grid.addRow(2, caption("editor.turn"), turn);
        grid.addRow(3, caption("editor.size"), size.kindRow());
        grid.addRow(4, Parts.label(""), size.sizeRow());
        FileEditor file = new FileEditor(
                () -> format().file(),
                session.shoot().hasTwoFiles(),
                spec -> change(format -> format.withFile(spec)),
                this::exampleName);
        grid.addRow(5, caption("editor.file"), file.kindRow());
        grid.addRow(6, caption("file.colour"), file.colourRow());
        grid.addRow(7, caption("editor.folder"), file.nameRow());
        grid.addRow(8, Parts.label(""), file.wordRow());
        grid.addRow(9, Parts.label(""), file.example());
        asks = new AskEditor(this::format, this::ask, said::setText);
        said.setWrapText(true);
        said.setMaxWidth(440);
        getChildren().addAll(heading(grid), new StackPane(grid, asks.node()), said, crops, actions());
        fill();
    }

    /** The title, with the editor's two pages beside it: what comes out, and what is asked of the crops. */
    private HBox heading(Node format) {
        asks.node().setVisible(false);
        Choices<Page> pages = new Choices<>("editor.page", Page.FILES, page -> {
            format.setVisible(page == Page.FILES);
            asks.node().setVisible(page == Page.ASKED);
        });
        HBox leaves = Parts.row(4);
        leaves.getChildren().addAll(pages.buttons());
        return Parts.row(
                12,
                Parts.label(Words.get("editor.title"), "page-title"),
                leaves,
                Parts.spacer(),
                Parts.closeButton(close));
    }

    private void ask(Asks asked) {
        session.edit(
                Edit.Kind.ASKS, id, shoot -> shoot.withFormat(shoot.format(id).withAsks(asked)));
        fill();
    }

    /** The name of a file of the photo worked on, or of none in particular. */
    private String exampleName(FileSpec spec) {
        return session.crop()
                .map(crop -> DeliveryPlan.example(
                        session.shoot(),
                        session.readingProperty().get(),
                        session.crop(crop.photo(), format().withFile(spec))))
                .orElse(spec.name());
    }

    private static Label caption(String key) {
        return Parts.label(Words.get(key), "quiet");
    }

    private void prepare() {
        name.setId("format-name");
        name.setPrefColumnCount(24);
        name.setAccessibleText(Words.get("editor.name"));
        ratio.setEditable(true);
        ratio.setId("format-ratio");
        ratio.setAccessibleText(Words.get("editor.ratio"));
        ratio.setPrefWidth(170);
        ratio.getItems().addAll(Words.get("ratio.photo"), Words.get("ratio.free"));
        ratio.getItems().addAll(COMMON);
        turn.setId("format-turn");
        turn.setAccessibleText(Words.get("editor.turn"));
        for (FormatTurn way : FormatTurn.values()) {
            turn.getItems().add(Words.of("editor.turn", way));
        }
        name.setOnAction(event -> rename());
        name.focusedProperty().addListener((observed, before, now) -> {
            if (!now) {
                rename();
            }
        });
        ratio.setOnAction(event -> changeShape());
        turn.setOnAction(event -> change(format ->
                format.withTurn(FormatTurn.values()[turn.getSelectionModel().getSelectedIndex()])));
        reaches.setId("format-reaches");
        reaches.setOnAction(event -> change(format -> format.withReaches(reaches.isSelected())));
        goes.setOnAction(event -> change(format -> format.withGoing(goes.isSelected() ? Going.GOES : Going.STAYS)));
    }

    private HBox ratioRow() {
        return Parts.row(8, ratio, Parts.button("editor.shape", this::shapeOfCrop, "small-button"));
    }

    /** A paper sets the ratio as well; where that is nearly the one there was, it says by how much they differ. */
    private void takePaper(Ratio own, OutputSize paper) {
        Ratio before = format().ratio();
        change(format -> format.withShape(own, paper));
        if (before.isFixed()) {
            tellMiss(before, own);
        }
    }

    private void tellMiss(Ratio one, Ratio other) {
        OptionalDouble miss = NearRatio.miss(one.value(), other.value());
        if (miss.isPresent()) {
            said.setText(Words.get(
                    "editor.near", one.toString(), other.toString(), Words.number(100 * miss.getAsDouble(), 1)));
        }
    }

    private HBox actions() {
        MenuButton more = new MenuButton(Words.get("editor.keep"));
        more.setId("format-keep");
        more.setTooltip(Parts.tooltip(Words.get("editor.keep.tip")));
        more.setOnShowing(event -> more.getItems().setAll(keepItems(more)));
        more.getItems().setAll(keepItems(more));
        return Parts.row(
                6,
                goes,
                reaches,
                more,
                Parts.button("editor.copy", this::copy, "small-button"),
                Parts.button("editor.up", () -> move(-1), "small-button"),
                Parts.button("editor.down", () -> move(1), "small-button"),
                Parts.spacer(),
                Parts.button("editor.remove", this::remove, "small-button"));
    }

    private List<MenuItem> keepItems(MenuButton menu) {
        List<MenuItem> items = new ArrayList<>();
        items.add(Parts.item(Words.get("editor.keep.this", format().name()), () -> kept.keep(format())));
        for (Format each : kept.list()) {
            items.add(Parts.item(Words.get("editor.forget", each.name()), () -> kept.forget(each.name())));
        }
        return items;
    }

    private Format format() {
        return session.shoot().format(id);
    }

    /** Shows the format as it is. */
    private void fill() {
        isFilling = true;
        Format format = format();
        name.setText(format.name());
        ratio.setValue(format.ratio().isFixed() ? format.ratio().toString() : FormatWords.ratio(format));
        turn.getSelectionModel().select(format.turn().ordinal());
        turn.setDisable(format.ratio().isFree());
        goes.setSelected(format.goes());
        reaches.setSelected(format.reaches());
        size.fill();
        asks.fill();
        crops.setText(Words.get("editor.crops", Formats.crops(session.shoot(), id)));
        isFilling = false;
    }

    private void change(UnaryOperator<Format> how) {
        if (isFilling) {
            return;
        }
        said.setText("");
        try {
            Format changed = how.apply(format());
            session.edit(Edit.Kind.FORMAT, id, shoot -> Formats.change(shoot, changed));
        } catch (IllegalArgumentException | ArithmeticException e) {
            said.setText(Words.get("editor.cannot", Words.wrong(e)));
        }
        fill();
    }

    private void rename() {
        String typed = name.getText().strip();
        if (!typed.isEmpty() && !typed.equals(format().name())) {
            change(format -> format.withName(typed));
        }
    }

    private void changeShape() {
        if (isFilling) {
            return;
        }
        change(format -> {
            Ratio asked = TypedRatio.read(ratio.getValue());
            OutputSize typed = size.typed();
            boolean isNewRatio = !asked.equals(format.ratio());
            return format.withShape(asked, isNewRatio ? SizeEditor.fitted(typed, asked) : typed);
        });
    }

    /** Takes the shape of the crop on the easel, found freely, as this format's ratio. */
    private void shapeOfCrop() {
        session.crop().ifPresent(crop -> {
            String across =
                    String.format(Locale.ROOT, "%.4f", crop.crop().size().ratio());
            Ratio shape = Ratio.of(across, "1");
            change(format -> format.withShape(shape, SizeEditor.fitted(format.size(), shape)));
        });
    }

    private void copy() {
        Format copy = format().withId(Formats.freeId(session.shoot(), format().name()))
                .withName(Words.get("editor.copied", format().name()))
                .withLeads(Map.of());
        session.edit(Edit.Kind.FORMAT, id, shoot -> Formats.add(shoot, copy));
        fill();
    }

    private void move(int places) {
        session.edit(Edit.Kind.FORMAT, id, shoot -> Formats.move(shoot, id, places));
    }

    private void remove() {
        if (session.shoot().formats().size() == 1) {
            said.setText(Words.get("editor.last"));
            return;
        }
        Optional<String> next = session.shoot().formats().stream()
                .map(Format::id)
                .filter(other -> !other.equals(id))
                .findFirst();
        close.run();
        next.ifPresent(other -> {
            if (session.formatProperty().get().equals(id)) {
                session.formatProperty().set(other);
            }
            session.edit(Edit.Kind.FORMAT, other, shoot -> Formats.remove(shoot, id));
        });
    }
}
