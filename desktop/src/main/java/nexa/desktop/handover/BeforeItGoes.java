package nexa.desktop.handover;

import java.util.DoubleSummaryStatistics;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.core.format.Ask;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.format.ViewingDistance;
import nexa.core.message.EnumName;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.imaging.deliver.DeliveryCheck;
import nexa.imaging.deliver.DeliveryPlan;

/** What is to be known before a delivery goes, each with a way to the photos it is about. */
final class BeforeItGoes {
    private final VBox lines = new VBox(8);
    private final Label looking = Parts.label("", "small", "quiet");
    private final VBox node = new VBox(8, lines, looking);
    private final Consumer<List<DeliveryCheck.Finding>> lookAt;

    /** @param lookAt shows the photos that something was found in */
    BeforeItGoes(Consumer<List<DeliveryCheck.Finding>> lookAt) {
        this.lookAt = lookAt;
        looking.setWrapText(true);
        showLooksLeft(0);
    }

    Node node() {
        return node;
    }

    /** How many photos there still are to be looked at. */
    void showLooksLeft(int left) {
        looking.setText(Words.get("before.looking", left));
        looking.setVisible(left > 0);
        looking.setManaged(left > 0);
    }

    void show(Foreseen known, List<Format> formats) {
        lines.getChildren().clear();
        if (known.isTooMuch()) {
            String words = Words.get("before.noRoom", ByteWords.of(known.likely()), ByteWords.of(known.room()));
            tell(Parts.square(), words, "broken", List.of());
        }
        for (DeliveryCheck.Kind kind : DeliveryCheck.Kind.values()) {
            List<DeliveryCheck.Finding> found = known.of(kind);
            if (!found.isEmpty()) {
                tell(kind, found, known.plan());
            }
        }
        tellBeyond(known.beyond());
        if (isAllWaiting(formats)) {
            tell(Parts.triangle(), Words.get("before.waits"), "look", List.of());
        } else if (lines.getChildren().isEmpty()) {
            tell(Parts.tick(), Words.get("before.nothing"), "fine", List.of());
        } else if (known.of(DeliveryCheck.Kind.SAME_NAME).isEmpty()) {
            tell(Parts.tick(), Words.get("before.names"), "fine", List.of());
        }
    }

    /** Whether nothing goes because nothing was done yet. */
    private static boolean isAllWaiting(List<Format> formats) {
        return formats.stream().noneMatch(Format::goes)
                && formats.stream().anyMatch(format -> format.going() == Going.WAITS);
    }

    /** What is not photo is always said. */
    private void tellBeyond(DoubleSummaryStatistics shares) {
        if (shares.getCount() > 0) {
            String least = Words.number(100 * shares.getMin(), 1);
            String most = Words.number(100 * shares.getMax(), 1);
            String words = least.equals(most)
                    ? Words.get("check.beyond", shares.getCount(), most)
                    : Words.get("check.beyond.range", shares.getCount(), least, most);
            tell(null, words, "quiet", List.of());
        }
    }

    private void tell(DeliveryCheck.Kind kind, List<DeliveryCheck.Finding> found, DeliveryPlan plan) {
        boolean isBroken = kind == DeliveryCheck.Kind.UNREADABLE || kind == DeliveryCheck.Kind.NOTHING_LEFT;
        long formats =
                found.stream().map(DeliveryCheck.Finding::format).distinct().count();
        String words = kind == DeliveryCheck.Kind.NOT_AS_ASKED
                ? notAsAsked(found)
                : Words.get("check." + EnumName.of(kind), crops(found), formats);
        tell(
                isBroken ? Parts.square() : Parts.triangle(),
                kind == DeliveryCheck.Kind.TOO_FEW_PIXELS ? words + onPaper(plan) : words,
                isBroken ? "broken" : "look",
                found);
    }

    /** How many crops that was found in: in one of them, several things that are asked may not be met. */
    private static long crops(List<DeliveryCheck.Finding> found) {
        return found.stream()
                .map(finding -> finding.file() + "\n" + finding.format())
                .distinct()
                .count();
    }

    /** How many crops are not as asked, with each thing that they do not meet. */
    private static String notAsAsked(List<DeliveryCheck.Finding> found) {
        Map<Ask, Long> counts = new EnumMap<>(Ask.class);
        found.forEach(finding -> finding.check().ifPresent(check -> counts.merge(check.ask(), 1L, Long::sum)));
        String each = counts.entrySet().stream()
                .map(count -> Words.get("check.ask", Words.of("ask.name", count.getKey()), count.getValue()))
                .collect(Collectors.joining(", "));
        return Words.get("check.not_as_asked", crops(found), each);
    }

    /** What too few pixels mean on paper: the pixels an inch there will be, and from how far that looks sharp. */
    private static String onPaper(DeliveryPlan plan) {
        DoubleSummaryStatistics ppi = DeliveryCheck.ppiOfTooSmall(plan);
        if (ppi.getCount() == 0) {
            return "";
        }
        String distance = Words.number(ViewingDistance.sharpFrom(ppi.getMin()), 0);
        return " " + Words.get("check.onPaper", Words.number(ppi.getMin(), 0), Words.number(ppi.getMax(), 0), distance);
    }

    private void tell(Node mark, String words, String style, List<DeliveryCheck.Finding> found) {
        Label label = Parts.label(words, "small", style);
        label.setGraphic(mark);
        label.setWrapText(true);
        label.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(label, Priority.ALWAYS);
        HBox line = new HBox(4, label);
        if (!found.isEmpty()) {
            Button show = Parts.button("before.show", () -> lookAt.accept(found), "flat", "tiny");
            show.setId("show-" + EnumName.of(found.get(0).kind()));
            show.setMinWidth(Region.USE_PREF_SIZE);
            line.getChildren().add(show);
        }
        lines.getChildren().add(line);
    }
}
