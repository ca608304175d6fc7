package nexa.desktop.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.OutputSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Crop;
import nexa.core.series.Formats;
import nexa.core.shoot.Edit;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.store.user.KeptFormats;

/**
 * The menu that adds a format to the shoot: a common ratio, one that is typed, one kept earlier, or this crop's shape. One
 * pick, and the crop is there; only a format with a size is opened to be described.
 */
public final class AddFormat {
    private static final List<String> COMMON = List.of("1:1", "5:4", "4:3", "7:5", "3:2", "16:9", "2:1");
    private static final Ratio NEW = Ratio.of("3", "2");

    private final ShootSession session;
    private final KeptFormats kept;
    private final Overlays overlays;
    private final Runnable briefs;
    private final MenuButton node = new MenuButton(Words.get("formats.add"));

    /** @param briefs shows the briefs */
    public AddFormat(ShootSession session, KeptFormats kept, Overlays overlays, Runnable briefs) {
        this.session = session;
        this.briefs = briefs;
        this.kept = kept;
        this.overlays = overlays;
        node.setId("add-format");
        node.getStyleClass().addAll("flat", "add-format");
        node.setTooltip(Parts.tooltip(Words.get("formats.add.tip")));
        node.setOnShowing(event -> node.getItems().setAll(offers()));
        node.getItems().setAll(offers());
    }

    public MenuButton node() {
        return node;
    }

    private List<MenuItem> offers() {
        List<MenuItem> items = new ArrayList<>();
        items.add(typed());
        items.add(new SeparatorMenuItem());
        COMMON.stream().map(Ratio::parse).forEach(ratio -> items.add(Parts.item(words(ratio), () -> pick(ratio))));
        session.crop()
                .ifPresent(crop ->
                        items.add(Parts.item(Words.get("formats.fromCrop"), () -> pick(shape(crop.crop())))));
        List<Format> own = kept.list();
        if (!own.isEmpty()) {
            items.add(new SeparatorMenuItem());
        }
        for (Format each : own) {
            items.add(Parts.item(Words.get("formats.kept", each.name(), FormatWords.asked(each)), () -> add(each)));
        }
        items.add(new SeparatorMenuItem());
        MenuItem brief = Parts.item(Words.get("formats.brief"), briefs);
        brief.setId("add-brief");
        items.add(brief);
        items.add(Parts.item(
                Words.get("formats.new"),
                () -> add(Format.of("new", Words.get("formats.new.name"), NEW)).ifPresent(this::describe)));
        return items;
    }

    private static String words(Ratio ratio) {
        String wide = FormatWords.ratio(ratio);
        return ratio.across().equals(ratio.down())
                ? wide
                : Words.get(
                        "formats.ratio",
                        wide,
                        FormatWords.ratio(Ratio.of(
                                ratio.down().toPlainString(), ratio.across().toPlainString())));
    }

    private static Ratio shape(Crop crop) {
        return Ratio.of(String.format(Locale.ROOT, "%.4f", crop.size().ratio()), "1");
    }

    /** A field in the menu: what is typed is picked with Enter. */
    private CustomMenuItem typed() {
        TextField field = new TextField();
        field.setId("typed-ratio");
        field.setPromptText(Words.get("formats.typed.prompt"));
        field.setPrefColumnCount(6);
        field.getStyleClass().addAll("number-field", "left-field");
        field.setAccessibleText(Words.get("formats.typed"));
        Label wrong = Parts.label("", "small", "look");
        wrong.setVisible(false);
        wrong.setManaged(false);
        HBox row = Parts.row(8, Parts.label(Words.get("formats.typed")), field);
        CustomMenuItem item = new CustomMenuItem(new VBox(3, row, wrong), false);
        field.setOnAction(event -> {
            try {
                Ratio ratio = TypedRatio.read(field.getText());
                node.hide();
                pick(ratio);
            } catch (IllegalArgumentException e) {
                wrong.setText(Words.get("formats.typed.wrong"));
                wrong.setVisible(true);
                wrong.setManaged(true);
            }
            event.consume();
        });
        return item;
    }

    /** Works in the format of a ratio, which is added if there is no such one yet. */
    private void pick(Ratio ratio) {
        Optional<String> there = session.shoot().formats().stream()
                .filter(format -> format.ratio().equals(ratio)
                        && format.turn() == FormatTurn.PHOTO
                        && format.size() instanceof OutputSize.AsCropped)
                .map(Format::id)
                .findFirst();
        there.ifPresentOrElse(
                session.formatProperty()::set, () -> add(Format.of("new", FormatWords.ratio(ratio), ratio)));
    }

    /** Adds a format to the shoot and works in it; empty where the shoot cannot be changed. */
    private Optional<String> add(Format format) {
        String id = Formats.freeId(session.shoot(), format.name());
        session.edit(Edit.Kind.FORMAT, id, shoot -> Formats.add(shoot, format.withId(id)));
        boolean isThere =
                session.shoot().formats().stream().anyMatch(one -> one.id().equals(id));
        if (!isThere) {
            return Optional.empty();
        }
        session.formatProperty().set(id);
        return Optional.of(id);
    }

    private void describe(String id) {
        overlays.show(new FormatEditor(session, kept, id, overlays::close));
    }
}
