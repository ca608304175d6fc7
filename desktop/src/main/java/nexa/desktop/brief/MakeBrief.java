package nexa.desktop.brief;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.format.Brief;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.series.Formats;
import nexa.core.shoot.Shoot;
import nexa.desktop.parts.AskWords;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** Makes a brief of formats of the shoot and of formats kept earlier, with the terms of delivery as they are. */
final class MakeBrief {
    private static final double HEIGHT = 300;

    private final Set<String> taken;
    private final Consumer<Brief> keep;
    private final DeliveryTerms now;
    private final TextField name = new TextField();
    private final Map<CheckBox, Format> formats = new LinkedHashMap<>();
    private final CheckBox terms = new CheckBox(Words.get("brief.withTerms"));
    private final Button done = Parts.button("brief.keep", this::keep, "main-action");
    private final VBox node;

    /**
     * Of a shoot.
     *
     * @param taken names of briefs that are kept already
     * @param keep takes the brief to be kept
     */
    MakeBrief(Shoot shoot, BriefShelf shelf, Set<String> taken, Consumer<Brief> keep) {
        this.taken = taken;
        this.keep = keep;
        this.now = shelf.terms();
        name.setId("brief-name");
        name.setPromptText(Words.get("brief.name.none"));
        name.setAccessibleText(Words.get("brief.name"));
        name.setPrefColumnCount(24);
        name.textProperty().addListener(observed -> enable());
        name.setOnAction(event -> {
            if (!done.isDisabled()) {
                keep();
            }
        });
        terms.setId("brief-with-terms");
        terms.setSelected(true);
        Parts.explain(terms, TermWords.of(now));
        done.setId("brief-keep");
        VBox list = new VBox(7);
        list.getChildren().add(Parts.label(Words.get("brief.ofShoot"), "small", "quiet"));
        for (Format format : shoot.formats()) {
            // One that waits was never asked for.
            list.getChildren().add(box(format, format.going() != Going.WAITS));
        }
        List<Format> kept = shelf.formats();
        if (!kept.isEmpty()) {
            list.getChildren().add(Parts.label(Words.get("brief.ofKept"), "small", "quiet"));
            kept.forEach(format -> list.getChildren().add(box(format, false)));
        }
        ScrollPane scroll = Parts.scroll(list);
        scroll.setPrefHeight(HEIGHT);
        Label caption = Parts.label(Words.get("brief.name"), "quiet");
        HBox foot = Parts.row(12, terms, Parts.spacer(), done);
        node = new VBox(12, Parts.row(10, caption, name), scroll, foot);
        enable();
    }

    private CheckBox box(Format format, boolean isTicked) {
        String asked = FormatWords.asked(format) + FormatWords.turn(format);
        String asks = format.asks().isNone() ? "" : "   " + Words.get("brief.asks", AskWords.of(format.asks()));
        CheckBox box = new CheckBox(Words.get("brief.format", format.name(), asked + asks));
        box.setMnemonicParsing(false);
        box.setId("brief-of-" + format.id());
        box.setWrapText(true);
        box.setSelected(isTicked);
        box.selectedProperty().addListener(observed -> enable());
        formats.put(box, format);
        return box;
    }

    Node node() {
        return node;
    }

    /** The name comes first. */
    void begin() {
        name.requestFocus();
    }

    private void enable() {
        boolean isTaken = taken.contains(name.getText().strip());
        done.setText(Words.get(isTaken ? "brief.replace" : "brief.keep"));
        done.setDisable(name.getText().isBlank() || ticked().isEmpty());
    }

    private List<Format> ticked() {
        return formats.entrySet().stream()
                .filter(each -> each.getKey().isSelected())
                .map(Map.Entry::getValue)
                .toList();
    }

    private void keep() {
        List<Format> named = new ArrayList<>();
        for (Format format : ticked()) {
            named.add(format.withId(Formats.freeId(named, format.name())));
        }
        keep.accept(new Brief(name.getText().strip(), named, terms.isSelected() ? Optional.of(now) : Optional.empty()));
    }
}
