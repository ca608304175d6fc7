package nexa.desktop.brief;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.core.format.Brief;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.Format;
import nexa.core.series.Formats;
import nexa.core.series.UseBrief;
import nexa.core.shoot.Shoot;
import nexa.desktop.parts.AskWords;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** What a brief says, and what would come of using it on a shoot. */
final class BriefPage {
    private final Brief brief;
    private final UseBrief use;
    private final CheckBox terms = new CheckBox(Words.get("brief.terms"));
    private final Node node;

    /**
     * What a brief says.
     *
     * @param now the terms of delivery as they are
     * @param changed hears that something else would come of it
     */
    BriefPage(Brief brief, Shoot shoot, DeliveryTerms now, Runnable changed) {
        this.brief = brief;
        this.use = UseBrief.of(shoot, brief);
        VBox formats = new VBox(8);
        formats.getStyleClass().add("brief-formats");
        for (int i = 0; i < brief.formats().size(); i++) {
            formats.getChildren().add(row(brief.formats().get(i), use.outcomes().get(i)));
        }
        ScrollPane scroll = Parts.scroll(formats);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        Label words = wrapped(
                use.isTooMuch()
                        ? Words.get("brief.tooMuch", use.shoot().formats().size(), Formats.MOST)
                        : words(use),
                use.isTooMuch() ? "look" : "brief-outcome");
        words.setId("brief-outcome");
        VBox page = new VBox(10, Parts.label(brief.name(), "section-title"), scroll);
        boolean hasOther = brief.terms().filter(asked -> !asked.equals(now)).isPresent();
        terms.setId("brief-terms");
        terms.setSelected(hasOther);
        terms.setOnAction(event -> changed.run());
        Parts.explain(terms, Words.get("brief.terms.tip"));
        brief.terms().ifPresent(asked -> {
            page.getChildren().add(wrapped(Words.get("brief.termsAre", TermWords.of(asked)), "small", "quiet"));
            if (hasOther) {
                page.getChildren().add(terms);
            }
        });
        page.getChildren().add(words);
        node = page;
    }

    private static Label wrapped(String words, String... styles) {
        Label label = Parts.label(words, styles);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    private static Node row(Format format, UseBrief.Outcome outcome) {
        VBox said = new VBox(1, Parts.label(format.name()));
        said.getChildren()
                .add(wrapped(
                        FormatWords.asked(format) + FormatWords.turn(format) + "   "
                                + Words.of("type", format.file().type()),
                        "small",
                        "quiet"));
        if (!format.asks().isNone()) {
            said.getChildren().add(wrapped(Words.get("brief.asks", AskWords.of(format.asks())), "small"));
        }
        HBox.setHgrow(said, Priority.ALWAYS);
        Label what = Parts.label(Words.of("brief.outcome", outcome), "small", "quiet");
        what.setMinWidth(Region.USE_PREF_SIZE);
        return new HBox(12, said, what);
    }

    /** What would come of it: "2 formats are there, 3 are added." */
    static String words(UseBrief use) {
        long there = use.outcomes().size() - use.count(UseBrief.Outcome.ADDED);
        return Words.get("brief.counts", there, use.count(UseBrief.Outcome.CHANGED), use.count(UseBrief.Outcome.ADDED));
    }

    Node node() {
        return node;
    }

    Brief brief() {
        return brief;
    }

    /** The terms of delivery that are to count from then on, if they are to be others. */
    Optional<DeliveryTerms> terms() {
        return brief.terms().filter(any -> terms.isSelected());
    }

    /** Whether it can be used, and that would change anything. */
    boolean isOfUse() {
        return !use.isTooMuch() && (!use.isNothing() || terms.isSelected());
    }
}
