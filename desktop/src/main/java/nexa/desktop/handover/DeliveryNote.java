package nexa.desktop.handover;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.message.EnumName;
import nexa.core.series.AskCheck;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Lane;
import nexa.desktop.parts.AskWords;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.TextSize;
import nexa.desktop.parts.Words;
import nexa.desktop.picture.Thumb;
import nexa.desktop.session.ShootSession;
import nexa.imaging.deliver.DeliveryPlan;

/** The delivery note: a row a format, with what it comes out as, how many, into which folder, and whether it goes. */
final class DeliveryNote {
    private static final Pattern WORD = Pattern.compile("\\{([a-z]+)}|([^{]+)");
    private static final int COLUMNS = 8;
    private static final int FIRST_COUNT = 3;

    private final ShootSession session;
    private final BiConsumer<String, Boolean> setGoes;
    private final Consumer<String> change;
    private final GridPane node = new GridPane();

    /**
     * The note of a shoot.
     *
     * @param setGoes takes whether a format goes
     * @param change opens a format to be changed
     */
    DeliveryNote(ShootSession session, BiConsumer<String, Boolean> setGoes, Consumer<String> change) {
        this.session = session;
        this.setGoes = setGoes;
        this.change = change;
        node.getStyleClass().add("note");
        double[] narrowest = {66, 126, 132, 46, 44, 64, 124, 62};
        double[] widths = {72, 170, 190, 52, 48, 64, 150, 70};
        for (int i = 0; i < COLUMNS; i++) {
            ColumnConstraints column =
                    new ColumnConstraints(TextSize.scaled(narrowest[i]), TextSize.scaled(widths[i]), Double.MAX_VALUE);
            column.setHgrow(i == 1 || i == 2 || i == 6 ? Priority.ALWAYS : Priority.NEVER);
            node.getColumnConstraints().add(column);
        }
    }

    Node node() {
        return node;
    }

    void show(DeliveryPlan plan) {
        node.getChildren().clear();
        String[] heads = {"note.format", "", "note.comesOut", "note.wide", "note.tall", "note.square", "note.into", ""};
        for (int i = 0; i < COLUMNS; i++) {
            Label head = heads[i].isEmpty() ? new Label() : Parts.label(Words.get(heads[i]), "note-head");
            boolean isCount = i >= FIRST_COUNT && i < FIRST_COUNT + Lane.values().length;
            node.add(cell(head, isCount ? Pos.CENTER_RIGHT : Pos.CENTER_LEFT), i, 0);
        }
        rule(1, "note-rule-strong");
        List<Format> formats = session.shoot().formats();
        for (int i = 0; i < formats.size(); i++) {
            Format format = formats.get(i);
            List<DeliveryPlan.Item> files = plan.files().stream()
                    .filter(item -> item.format().id().equals(format.id()))
                    .toList();
            addRow(2 * i + 2, format, files);
            rule(2 * i + 3, i == formats.size() - 1 ? "note-rule-strong" : "note-rule");
        }
        addTotals(2 * formats.size() + 2, plan.files());
    }

    private void rule(int row, String style) {
        Region line = new Region();
        line.getStyleClass().add(style);
        node.add(line, 0, row, COLUMNS, 1);
    }

    private void addRow(int row, Format format, List<DeliveryPlan.Item> files) {
        Thumb thumb = new Thumb(session.pictures());
        session.shoot().photos().stream()
                .filter(session::isReady)
                .findFirst()
                .ifPresent(photo -> thumb.show(session.crop(photo, format), 56, 46));
        StackPane place = new StackPane(thumb);
        place.setMinHeight(62);
        Button open = Parts.named(format.name());
        open.getStyleClass().addAll("flat", "note-open", "note-name");
        open.setId("change-" + format.id());
        Parts.explain(open, Words.get("note.change.tip", format.name()));
        open.setOnAction(event -> change.accept(format.id()));
        open.setWrapText(true);
        open.setAlignment(Pos.CENTER_LEFT);
        VBox name = new VBox(1, open, wrapped(FormatWords.shape(format) + FormatWords.turn(format), "small", "quiet"));
        VBox size = new VBox(
                1, wrapped(FormatWords.size(format), "note-size"), wrapped(fileWords(format, files), "small", "quiet"));
        name.setAlignment(Pos.CENTER_LEFT);
        size.setAlignment(Pos.CENTER_LEFT);
        long off = files.stream()
                .filter(item -> item.asked().stream().anyMatch(check -> check.outcome() == AskCheck.Outcome.MISSED))
                .count();
        if (off > 0) {
            Label notAsAsked = wrapped(Words.get("note.notAsAsked", off), "small", "look");
            Parts.tip(notAsAsked, Words.get("note.notAsAsked.tip", AskWords.of(format.asks())));
            size.getChildren().add(notAsAsked);
        }
        ToggleButton goes = Parts.toggle("note." + EnumName.of(format.going()), "flat", "note-goes");
        goes.setId("goes-" + format.id());
        goes.setMinWidth(Region.USE_PREF_SIZE);
        goes.setSelected(format.goes());
        goes.setOnAction(event -> setGoes.accept(format.id(), !format.goes()));
        List<Node> cells = new ArrayList<>(List.of(place, name, size));
        for (Lane lane : Lane.values()) {
            cells.add(Parts.label(format.goes() ? count(files, lane) : "–", "note-count"));
        }
        VBox into = new VBox(2, into(format), example(format, files));
        into.setAlignment(Pos.CENTER_LEFT);
        cells.add(into);
        cells.add(goes);
        for (int i = 0; i < COLUMNS; i++) {
            Node cell = cell(cells.get(i));
            boolean isToggle = i == COLUMNS - 1;
            cell.setOpacity(format.goes() || isToggle ? 1 : 0.55);
            node.add(cell, i, row);
        }
    }

    private static Label wrapped(String words, String... styles) {
        Label label = Parts.label(words, styles);
        label.setWrapText(true);
        return label;
    }

    private static Node cell(Node content) {
        boolean isCount = content.getStyleClass().contains("note-count");
        return cell(content, isCount ? Pos.CENTER_RIGHT : Pos.CENTER_LEFT);
    }

    private static Node cell(Node content, Pos alignment) {
        StackPane cell = new StackPane(content);
        cell.getStyleClass().add("note-cell");
        cell.setAlignment(alignment);
        return cell;
    }

    private static String count(List<DeliveryPlan.Item> files, Lane lane) {
        long count = files.stream()
                .map(item -> item.crop().output())
                .filter(size -> Lane.of(size.size()) == lane)
                .count();
        return count == 0 ? "–" : String.valueOf(count);
    }

    private static String fileWords(Format format, List<DeliveryPlan.Item> files) {
        FileSpec file = format.file();
        String type = Words.of("type", file.type());
        String kind = file.type() == FileSpec.Type.JPEG
                ? Words.get("note.kind", type, file.quality())
                : file.depth() == FileSpec.Depth.PHOTO ? type : type + " " + Words.of("depth", file.depth());
        kind += file.colour() == FileSpec.Colour.SRGB ? ", " + Words.of("colour", file.colour()) : "";
        kind += file.source() == FileSpec.Source.RAW ? ", " + Words.of("source", file.source()) : "";
        Optional<PhotoCrop> first = files.stream().map(DeliveryPlan.Item::crop).findFirst();
        boolean hasPaper = first.isPresent() && first.get().ppi().isPresent();
        return hasPaper ? FormatWords.pixels(first.get()) + ", " + kind : kind;
    }

    /** The folder and the name's words and text, as chips. */
    private static Node into(Format format) {
        FlowPane chips = new FlowPane(3, 3);
        if (!format.file().folder().isEmpty()) {
            chips.getChildren().add(Parts.label(format.file().folder() + " /", "small"));
        }
        Matcher parts = WORD.matcher(format.file().name());
        while (parts.find()) {
            boolean isWord = parts.group(1) != null;
            String text = isWord
                    ? Words.get("word." + parts.group(1))
                    : parts.group(2).strip();
            if (!text.isEmpty()) {
                chips.getChildren().add(Parts.label(text, "small", isWord ? "chip" : "chip-text"));
            }
        }
        chips.setPrefWrapLength(140);
        chips.setAlignment(Pos.CENTER_LEFT);
        return chips;
    }

    /** The name of the first file, as it will be. */
    private static Label example(Format format, List<DeliveryPlan.Item> files) {
        String name = files.isEmpty() ? "" : files.get(0).name();
        Label label = Parts.label(name.substring(name.lastIndexOf('/') + 1), "small", "quiet");
        Parts.tip(label, name.isEmpty() ? format.file().name() : name);
        label.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        label.setMinWidth(0);
        return label;
    }

    private void addTotals(int row, List<DeliveryPlan.Item> files) {
        long photos = files.stream().map(item -> item.photo().file()).distinct().count();
        node.add(cell(Parts.label(Words.get("note.total", files.size()), "note-name")), 0, row, 2, 1);
        node.add(cell(Parts.label(Words.get("note.from", photos), "note-name")), 2, row);
        int column = FIRST_COUNT;
        for (Lane lane : Lane.values()) {
            node.add(cell(Parts.label(count(files, lane), "note-count", "note-name")), column++, row);
        }
    }
}
