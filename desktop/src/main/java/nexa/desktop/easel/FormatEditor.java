package nexa.desktop.easel;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.LengthUnit;
import nexa.core.format.NearRatio;
import nexa.core.format.OutputSize;
import nexa.core.format.Paper;
import nexa.core.format.Ratio;
import nexa.core.series.Formats;
import nexa.core.shoot.Edit;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.FormatWords;
import nexa.desktop.shell.Parts;
import nexa.desktop.shell.Words;
import nexa.store.KeptFormats;

/** Changes a format of the shoot: name, ratio, which way it lies, size. Every change is there at once and can be undone. */
final class FormatEditor extends VBox {
    private static final List<String> COMMON =
            List.of("1:1", "5:4", "4:3", "7:5", "3:2", "16:10", "16:9", "1.91:1", "2:1", "21:9", "2.39:1", "3:1");
    private static final double USUAL_PPI = 300;

    private final ShootSession session;
    private final KeptFormats kept;
    private final String id;
    private final Runnable close;
    private final TextField name = new TextField();
    private final ComboBox<String> ratio = new ComboBox<>();
    private final ComboBox<String> turn = new ComboBox<>();
    private final ComboBox<String> kind = new ComboBox<>();
    private final TextField width = numberField("format-width", "editor.width");
    private final TextField height = numberField("format-height", "editor.height");
    private final TextField ppi = numberField("format-ppi", "editor.ppi");
    private final HBox sizes = new HBox(6);
    private final Label said = Parts.label("", "small", "look");
    private final Label crops = Parts.label("", "small", "quiet");
    private final ToggleButton goes = Parts.toggle("editor.goes", "choice");
    private boolean isFilling;

    FormatEditor(ShootSession session, KeptFormats kept, String id, Runnable close) {
        this.session = session;
        this.kept = kept;
        this.id = id;
        this.close = close;
        getStyleClass().add("format-editor");
        setSpacing(12);
        HBox heading = new HBox(
                12, Parts.label(Words.get("editor.title"), "page-title"), Parts.spacer(), Parts.closeButton(close));
        heading.setAlignment(Pos.CENTER_LEFT);
        prepare();
        GridPane grid = new GridPane();
        grid.setHgap(12);
        grid.setVgap(9);
        grid.addRow(0, caption("editor.name"), name);
        grid.addRow(1, caption("editor.ratio"), ratioRow());
        grid.addRow(2, caption("editor.turn"), turn);
        grid.addRow(3, caption("editor.size"), new HBox(6, kind, papers()));
        grid.addRow(4, Parts.label(""), sizes);
        FileEditor file = new FileEditor(() -> format().file(), spec -> change(format -> format.withFile(spec)));
        grid.addRow(5, caption("editor.file"), file.kindRow());
        grid.addRow(6, caption("editor.folder"), file.nameRow());
        said.setWrapText(true);
        said.setMaxWidth(440);
        getChildren().addAll(heading, grid, said, crops, actions());
        fill();
    }

    private static Label caption(String key) {
        return Parts.label(Words.get(key), "quiet");
    }

    private static TextField numberField(String id, String key) {
        TextField field = new TextField();
        field.setId(id);
        field.setPrefColumnCount(5);
        field.getStyleClass().add("number-field");
        field.setAccessibleText(Words.get(key));
        field.setTooltip(Parts.tooltip(Words.get(key)));
        return field;
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
        kind.setId("format-size");
        kind.setAccessibleText(Words.get("editor.size"));
        kind.getItems()
                .addAll(
                        Words.get("editor.cropped"),
                        Words.get("editor.pixels"),
                        Words.get("editor.edge"),
                        Words.get("editor.paper", Words.get("unit.cm")),
                        Words.get("editor.paper", Words.get("unit.mm")),
                        Words.get("editor.paper", Words.get("unit.in")));
        name.setOnAction(event -> rename());
        name.focusedProperty().addListener((observed, before, now) -> {
            if (!now) {
                rename();
            }
        });
        ratio.setOnAction(event -> changeShape());
        turn.setOnAction(event -> change(format ->
                format.withTurn(FormatTurn.values()[turn.getSelectionModel().getSelectedIndex()])));
        kind.setOnAction(event -> changeKind());
        for (TextField field : List.of(width, height, ppi)) {
            field.setOnAction(event -> changeShape());
            field.focusedProperty().addListener((observed, before, now) -> {
                if (!now) {
                    changeShape();
                }
            });
        }
        goes.setOnAction(event -> change(format -> format.withGoes(goes.isSelected())));
    }

    private HBox ratioRow() {
        HBox row = new HBox(8, ratio, Parts.button("editor.shape", this::shapeOfCrop, "small-button"));
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private MenuButton papers() {
        MenuButton menu = new MenuButton(Words.get("editor.papers"));
        menu.setId("format-papers");
        menu.setTooltip(Parts.tooltip(Words.get("editor.papers.tip")));
        for (Paper paper : Paper.COMMON) {
            MenuItem item = new MenuItem(FormatWords.paper(paper));
            item.setOnAction(event -> {
                double resolution = format().size() instanceof OutputSize.Print print ? print.ppi() : USUAL_PPI;
                OutputSize size = new OutputSize.Print(paper.longSide(), paper.shortSide(), paper.unit(), resolution);
                Ratio own = Ratio.of(FormatWords.plain(paper.longSide()), FormatWords.plain(paper.shortSide()));
                takePaper(own, size);
            });
            menu.getItems().add(item);
        }
        return menu;
    }

    /** A paper sets the ratio as well; where that is nearly the one there was, it says by how much they differ. */
    private void takePaper(Ratio own, OutputSize size) {
        Ratio before = format().ratio();
        change(format -> format.withShape(own, size));
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
        HBox row = new HBox(
                6,
                goes,
                more,
                Parts.button("editor.copy", this::copy, "small-button"),
                Parts.button("editor.up", () -> move(-1), "small-button"),
                Parts.button("editor.down", () -> move(1), "small-button"),
                Parts.spacer(),
                Parts.button("editor.remove", this::remove, "small-button"));
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private List<MenuItem> keepItems(MenuButton menu) {
        List<MenuItem> items = new ArrayList<>();
        items.add(item(Words.get("editor.keep.this", format().name()), () -> kept.keep(format())));
        for (Format each : kept.list()) {
            items.add(item(Words.get("editor.forget", each.name()), () -> kept.forget(each.name())));
        }
        return items;
    }

    private static MenuItem item(String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setOnAction(event -> action.run());
        return item;
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
        kind.getSelectionModel().select(kindOf(format.size()));
        fillSizes(format.size());
        crops.setText(Words.get("editor.crops", Formats.crops(session.shoot(), id)));
        isFilling = false;
    }

    private static int kindOf(OutputSize size) {
        if (size instanceof OutputSize.Pixels) {
            return 1;
        }
        if (size instanceof OutputSize.LongEdge) {
            return 2;
        }
        return size instanceof OutputSize.Print print ? 3 + print.unit().ordinal() : 0;
    }

    private void fillSizes(OutputSize size) {
        List<Node> parts = new ArrayList<>();
        if (size instanceof OutputSize.Pixels pixels) {
            width.setText(String.valueOf(pixels.width()));
            height.setText(String.valueOf(pixels.height()));
            parts.addAll(List.of(width, Parts.label("×"), height, Parts.label("px", "quiet")));
        } else if (size instanceof OutputSize.LongEdge edge) {
            width.setText(String.valueOf(edge.pixels()));
            parts.addAll(List.of(width, Parts.label("px", "quiet")));
        } else if (size instanceof OutputSize.Print print) {
            width.setText(FormatWords.plain(print.width()));
            height.setText(FormatWords.plain(print.height()));
            ppi.setText(FormatWords.plain(print.ppi()));
            parts.addAll(List.of(
                    width,
                    Parts.label("×"),
                    height,
                    Parts.label(Words.of("unit", print.unit()), "quiet"),
                    ppi,
                    Parts.label("ppi", "quiet")));
        }
        sizes.setAlignment(Pos.CENTER_LEFT);
        sizes.getChildren().setAll(parts);
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
            said.setText(Words.get("editor.cannot", e.getMessage()));
        }
        fill();
    }

    private void rename() {
        String typed = name.getText().strip();
        if (!typed.isEmpty() && !typed.equals(format().name())) {
            change(format -> format.withName(typed));
        }
    }

    private void changeKind() {
        int chosen = kind.getSelectionModel().getSelectedIndex();
        if (isFilling || chosen == kindOf(format().size())) {
            return;
        }
        change(format -> format.withSize(startingSize(format, chosen)));
    }

    /** A size of the chosen kind to begin with, in the format's ratio. */
    private static OutputSize startingSize(Format format, int kind) {
        double shape = format.ratio().isFixed() ? format.ratio().value() : 1.5;
        return switch (kind) {
            case 1 -> pixels(shape);
            case 2 -> new OutputSize.LongEdge(2048);
            case 3 -> print(shape, 20, LengthUnit.CM);
            case 4 -> print(shape, 200, LengthUnit.MM);
            case 5 -> print(shape, 8, LengthUnit.IN);
            default -> new OutputSize.AsCropped();
        };
    }

    private static OutputSize pixels(double shape) {
        return shape >= 1
                ? new OutputSize.Pixels(1600, (int) Math.round(1600 / shape))
                : new OutputSize.Pixels((int) Math.round(1600 * shape), 1600);
    }

    private static OutputSize print(double shape, double longSide, LengthUnit unit) {
        return shape >= 1
                ? new OutputSize.Print(longSide, rounded(longSide / shape), unit, USUAL_PPI)
                : new OutputSize.Print(rounded(longSide * shape), longSide, unit, USUAL_PPI);
    }

    private static double rounded(double length) {
        return Math.rint(length * 100) / 100;
    }

    private void changeShape() {
        if (isFilling) {
            return;
        }
        change(format -> {
            Ratio asked = ratio(ratio.getValue());
            OutputSize size = typedSize(format.size());
            boolean isNewRatio = !asked.equals(format.ratio());
            // A new ratio takes the size along: the width stays and the height follows.
            return format.withShape(asked, isNewRatio ? fitted(size, asked) : size);
        });
    }

    private static Ratio ratio(String text) {
        String plain = text.strip()
                .toLowerCase(Locale.ROOT)
                .replace(" ", "")
                .replace(',', '.')
                .replace('×', ':');
        if (plain.equals(Words.get("ratio.photo").replace(" ", ""))) {
            return Ratio.PHOTO;
        }
        if (plain.equals(Words.get("ratio.free"))) {
            return Ratio.FREE;
        }
        return Ratio.parse(plain.contains(":") ? plain : plain + ":1");
    }

    private OutputSize typedSize(OutputSize now) {
        if (now instanceof OutputSize.Pixels) {
            return new OutputSize.Pixels(whole(width), whole(height));
        }
        if (now instanceof OutputSize.LongEdge) {
            return new OutputSize.LongEdge(whole(width));
        }
        if (now instanceof OutputSize.Print print) {
            return new OutputSize.Print(decimal(width), decimal(height), print.unit(), decimal(ppi));
        }
        return now;
    }

    private static OutputSize fitted(OutputSize size, Ratio ratio) {
        if (!ratio.isFixed()) {
            return size;
        }
        if (size instanceof OutputSize.Pixels pixels) {
            return new OutputSize.Pixels(pixels.width(), (int) Math.round(pixels.width() / ratio.value()));
        }
        if (size instanceof OutputSize.Print print) {
            return new OutputSize.Print(
                    print.width(), rounded(print.width() / ratio.value()), print.unit(), print.ppi());
        }
        return size;
    }

    private static int whole(TextField field) {
        return (int) Math.round(decimal(field));
    }

    private static double decimal(TextField field) {
        String text = field.getText().strip().replace(',', '.').replace("\u2009", "");
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException(Words.get("editor.notANumber", field.getText()), e);
        }
    }

    /** Takes the shape of the crop on the easel, found freely, as this format's ratio. */
    private void shapeOfCrop() {
        session.crop().ifPresent(crop -> {
            String across =
                    String.format(Locale.ROOT, "%.4f", crop.crop().size().ratio());
            Ratio shape = Ratio.of(across, "1");
            change(format -> format.withShape(shape, fitted(format.size(), shape)));
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
