package nexa.desktop.easel;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.desktop.formats.AddFormat;
import nexa.desktop.formats.FormatEditor;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Subscriptions;
import nexa.desktop.parts.TextSize;
import nexa.desktop.parts.Words;
import nexa.desktop.picture.Thumb;
import nexa.desktop.session.ShootSession;
import nexa.store.user.KeptFormats;

/** The formats, each with this photo's own crop in it, and which way the crop lies. */
final class FormatsColumn {
    private static final double THUMB_WIDTH = 52;
    private static final double THUMB_HEIGHT = 48;
    private static final double WORDS_WIDTH = 114;

    private final ShootSession session;
    private final KeptFormats kept;
    private final Overlays overlays;
    private final BorderPane node = new BorderPane();
    private final VBox list = new VBox(2);
    private final ToggleGroup group = new ToggleGroup();
    private final ToggleButton wide;
    private final ToggleButton tall;
    private final Subscriptions subscriptions = new Subscriptions();
    private List<Entry> entries = List.of();

    FormatsColumn(
            ShootSession session,
            KeptFormats kept,
            Overlays overlays,
            Runnable briefs,
            Consumer<Orientation> turnCrop,
            Node around) {
        this.session = session;
        this.kept = kept;
        this.overlays = overlays;
        node.getStyleClass().add("formats");
        HBox heading = new HBox(
                Parts.label(Words.get("formats.title"), "section-title"),
                Parts.spacer(),
                Parts.label(Words.get("formats.thisPhoto"), "quiet"));
        heading.getStyleClass().add("formats-heading");
        ScrollPane scroll = Parts.scroll(list);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        wide = lying("formats.wide", Orientation.WIDE, turnCrop);
        tall = lying("formats.tall", Orientation.TALL, turnCrop);
        Label lies = Parts.label(Words.get("formats.lies"), "small", "quiet", "around-label");
        HBox lying = Parts.row(3, lies, wide, tall, Parts.label("W", "key-cap"));
        VBox foot = new VBox(5, lying, around);
        foot.getStyleClass().add("formats-foot");
        node.setTop(heading);
        node.setCenter(scroll);
        HBox add = new HBox(new AddFormat(session, kept, overlays, briefs).node());
        add.getStyleClass().add("formats-add");
        node.setBottom(new VBox(add, foot));
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.readingProperty(), this::refresh);
        subscriptions.listen(session.photoProperty(), this::refresh);
        subscriptions.listen(session.formatProperty(), this::refresh);
    }

    private static ToggleButton lying(String key, Orientation way, Consumer<Orientation> turnCrop) {
        ToggleButton button = Parts.toggle(key, "choice", "tiny");
        button.setOnAction(event -> turnCrop.accept(way));
        return button;
    }

    private void change(String id) {
        overlays.show(new FormatEditor(session, kept, id, overlays::close));
    }

    Node node() {
        return node;
    }

    /** Shows the present state; nothing while the easel is not in front. */
    void refresh() {
        if (node.getScene() == null) {
            return;
        }
        List<String> ids = session.shoot().formats().stream().map(Format::id).toList();
        if (!entries.stream().map(Entry::id).toList().equals(ids)) {
            entries = new ArrayList<>();
            for (Format format : session.shoot().formats()) {
                entries.add(new Entry(format.id(), entries.size() + 1));
            }
            list.getChildren().setAll(entries.stream().map(Entry::button).toList());
        }
        Optional<Photo> photo = session.photo().filter(session::isReady);
        for (Entry entry : entries) {
            Format format = session.shoot().format(entry.id());
            entry.show(format, photo.map(ready -> session.crop(ready, format)));
        }
        Optional<Orientation> way =
                session.crop().map(crop -> crop.crop().size().orientation());
        wide.setSelected(way.filter(lying -> lying == Orientation.WIDE).isPresent());
        tall.setSelected(way.filter(lying -> lying == Orientation.TALL).isPresent());
    }

    void dispose() {
        subscriptions.dispose();
    }

    /** One format in the column. */
    private final class Entry {
        private final String id;
        private final ToggleButton button = new ToggleButton();
        private final Thumb thumb = new Thumb(session.pictures());
        private final Label name = Parts.label("", "format-name");
        private final Label asked = Parts.label("", "small", "quiet");
        private final Label comesOut = Parts.label("", "small", "quiet");

        Entry(String id, int number) {
            this.id = id;
            StackPane place = new StackPane(thumb);
            place.setMinSize(THUMB_WIDTH, THUMB_HEIGHT);
            place.setMaxSize(THUMB_WIDTH, THUMB_HEIGHT);
            VBox words = new VBox(1, name, asked, comesOut);
            words.setMinWidth(TextSize.scaled(WORDS_WIDTH));
            words.setMaxWidth(TextSize.scaled(WORDS_WIDTH));
            words.setAlignment(Pos.CENTER_LEFT);
            HBox content = Parts.row(10, place, words);
            button.setGraphic(content);
            button.getStyleClass().add("format-entry");
            button.setToggleGroup(group);
            button.setId("format-" + id);
            button.setMaxWidth(Double.MAX_VALUE);
            String tip = number <= 9 ? Words.get("formats.entry.tip", number) : Words.get("formats.entry.plain");
            Parts.explain(button, tip);
            button.setOnAction(event -> {
                button.setSelected(true);
                session.formatProperty().set(id);
            });
            button.setOnMouseClicked(event -> {
                if (event.getButton() == MouseButton.PRIMARY && event.getClickCount() == 2) {
                    change(id);
                }
            });
            button.setContextMenu(new ContextMenu(Parts.item(Words.get("formats.change"), () -> change(id))));
        }

        String id() {
            return id;
        }

        ToggleButton button() {
            return button;
        }

        void show(Format format, Optional<PhotoCrop> crop) {
            name.setText(format.name());
            asked.setText(FormatWords.asked(format, crop.map(PhotoCrop::photo)));
            button.setAccessibleText(format.name() + ", " + asked.getText());
            button.setSelected(format.id().equals(session.formatProperty().get()));
            crop.ifPresentOrElse(
                    shown -> {
                        thumb.show(shown, THUMB_WIDTH, THUMB_HEIGHT);
                        comesOut.setText(FormatWords.shortDetail(shown));
                        boolean few = shown.hasTooFewPixels();
                        Parts.style(comesOut, "small", few ? "look" : "quiet");
                    },
                    () -> {
                        thumb.clear();
                        comesOut.setText("");
                    });
        }
    }
}
