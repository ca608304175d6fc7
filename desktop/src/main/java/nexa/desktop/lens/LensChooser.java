package nexa.desktop.lens;

import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.lens.KnownLens;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.Words;
import nexa.desktop.session.LensesNow;

/** All lenses that are known, those first that may have taken a photo: one is chosen for it. */
public final class LensChooser extends VBox {
    private static final double WIDTH = 560;
    private static final double HEIGHT = 320;

    private final List<KnownLens> all;
    private final ObservableList<KnownLens> listed = FXCollections.observableArrayList();
    private final ListView<KnownLens> list = new ListView<>(listed);
    private final Label count = Parts.label("", "small", "quiet");
    private final Consumer<KnownLens> chosen;
    private final Runnable close;

    /** Opens it for a photo. */
    public static void open(LensesNow lenses, String file, Overlays overlays, Consumer<KnownLens> chosen) {
        LensChooser chooser = new LensChooser(lenses, file, overlays::close, chosen);
        overlays.show(chooser);
    }

    private LensChooser(LensesNow lenses, String file, Runnable close, Consumer<KnownLens> chosen) {
        this.all = lenses.choices(file);
        this.chosen = chosen;
        this.close = close;
        getStyleClass().add("carry-panel");
        setSpacing(10);
        Label from = Parts.name("quiet");
        from.setText(PhotoNames.base(file));
        HBox heading = new HBox(
                10,
                Parts.label(Words.get("lens.choose.title"), "page-title"),
                from,
                Parts.spacer(),
                Parts.closeButton(close));
        heading.setAlignment(Pos.BASELINE_LEFT);
        TextField search = new TextField();
        search.setId("lens-search");
        search.setPromptText(Words.get("lens.choose.search"));
        search.setAccessibleText(Words.get("lens.choose.search"));
        search.textProperty().addListener((observed, before, now) -> search(now));
        search.setOnAction(event -> choose());
        search.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.DOWN) {
                list.requestFocus();
                event.consume();
            }
        });
        list.setId("lenses");
        list.setPrefSize(WIDTH, HEIGHT);
        list.setCellFactory(view -> new Cell());
        list.setPlaceholder(Parts.label(Words.get(all.isEmpty() ? "lens.choose.noData" : "lens.choose.none"), "quiet"));
        list.setOnMouseClicked(event -> {
            if (event.getButton() == MouseButton.PRIMARY && event.getClickCount() == 2) {
                choose();
            }
        });
        list.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                choose();
                event.consume();
            }
        });
        Button choose = Parts.button("lens.choose.do", this::choose, "main-action");
        choose.setId("lens-choose");
        choose.disableProperty()
                .bind(list.getSelectionModel().selectedItemProperty().isNull());
        HBox foot = Parts.row(12, count, Parts.spacer(), choose);
        LensSource source = new LensSource();
        source.tell(lenses.told());
        source.setMaxWidth(WIDTH);
        getChildren().addAll(heading, search, list, foot, source);
        search("");
    }

    private final class Cell extends ListCell<KnownLens> {
        @Override
        protected void updateItem(KnownLens lens, boolean isEmpty) {
            super.updateItem(lens, isEmpty);
            setText(
                    isEmpty
                            ? null
                            : Words.get("lens.entry", lens.model(), lens.maker(), Words.number(lens.cropFactor(), 2)));
        }
    }

    /** Lists those in which every word typed is found. */
    private void search(String typed) {
        List<String> words = List.of(typed.toLowerCase(Locale.ROOT).strip().split("\\s+"));
        listed.setAll(all.stream()
                .filter(lens -> {
                    String name = (lens.maker() + " " + lens.model()).toLowerCase(Locale.ROOT);
                    return words.stream().allMatch(name::contains);
                })
                .toList());
        count.setText(Words.get("lens.choose.count", listed.size(), all.size()));
        list.getSelectionModel().select(listed.isEmpty() ? -1 : 0);
        list.scrollTo(0);
    }

    private void choose() {
        KnownLens lens = list.getSelectionModel().getSelectedItem();
        if (lens != null) {
            close.run();
            chosen.accept(lens);
        }
    }
}
