package nexa.desktop.tool.level;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import nexa.core.geometry.Segment;
import nexa.core.level.Trace;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.StageBar;
import nexa.desktop.tool.perspective.LinesHand;
import nexa.desktop.tool.perspective.LinesUse;

/** What the traced lines say, and what can be done with them. */
final class TraceBar extends StageBar {
    private final Easel easel;
    private final LinesHand perspective;
    /** Where the lines lie in the photo, in its pixels. */
    private List<Segment> traced = List.of();

    /** @param perspective can be put right by the lines too */
    TraceBar(Easel easel, LinesHand perspective) {
        this.easel = easel;
        this.perspective = perspective;
        easel.tracing().onChanged(this::show);
        easel.stage().overlay().onPhoto().onLaid(this::place);
    }

    void place() {
        if (!easel.gestures().isBusy()) {
            place(easel.stage());
        }
    }

    private void show(Trace trace, List<Segment> inPhoto) {
        traced = inPhoto;
        List<LinesUse> offered = easel.photo()
                .map(photo -> LinesUse.offered(LinesHand.sorted(photo, inPhoto)))
                .orElse(List.of());
        // Lines drawn for a perspective need not agree.
        show(trace, offered, easel.tracing().isForPerspective());
        place();
    }

    private void show(Trace trace, List<LinesUse> offered, boolean isForPerspective) {
        getChildren().clear();
        setVisible(!trace.lines().isEmpty());
        if (trace.lines().isEmpty()) {
            return;
        }
        boolean disagrees = trace.disagrees() && !isForPerspective;
        showCount(trace, disagrees, isForPerspective);
        for (int i = 0; i < trace.lines().size(); i++) {
            getChildren().add(line(trace, i, disagrees));
        }
        if (isForPerspective) {
            Button turn = Parts.button("lines.turnOnly", this::turnOnly, "small-button");
            turn.setId("trace-turn-only");
            getChildren().add(turn);
        } else if (!disagrees) {
            getChildren()
                    .add(Parts.button("trace.put", () -> easel.tracing().putOnGuide(easel.gestures()), "small-button"));
        }
        for (LinesUse use : offered) {
            Button make = Parts.button(use.key(), () -> make(use), "small-button");
            make.setId(use.id("trace-"));
            getChildren().add(make);
        }
        getChildren().add(Parts.button("trace.forget", this::forget, "flat", "small-button"));
    }

    private void turnOnly() {
        List<Segment> by = traced;
        easel.putDown();
        easel.tracing().levelBy(by);
        easel.stage().requestFocus();
    }

    private void make(LinesUse use) {
        perspective.make(use, traced);
        easel.stage().requestFocus();
    }

    private void forget() {
        easel.forgetLines();
        easel.stage().requestFocus();
    }

    private void showCount(Trace trace, boolean disagrees, boolean isForPerspective) {
        int count = trace.lines().size();
        String apart = Words.number(trace.disagreement(), 1);
        if (disagrees) {
            getChildren().addAll(Parts.triangle(), Parts.label(Words.get("trace.disagree", apart), "small", "look"));
        } else {
            String words = isForPerspective ? "trace.drawn" : "trace.count";
            getChildren().add(Parts.label(Words.get(words, count, apart), "small"));
        }
    }

    private HBox line(Trace trace, int index, boolean isChoice) {
        String lean = Words.number(trace.lines().get(index).lean(), 1);
        HBox line = new HBox(2);
        line.setAlignment(Pos.CENTER);
        if (isChoice) {
            Button choose = new Button(Words.get("trace.choose", lean));
            choose.getStyleClass().add("small-button");
            Parts.explain(choose, Words.get("trace.choose.tip"));
            choose.setOnAction(event -> easel.tracing().choose(index));
            line.getChildren().add(choose);
        } else if (trace.lines().size() > 1) {
            line.getChildren().add(Parts.label(Words.get("trace.line", lean), "small"));
        }
        if (trace.lines().size() > 1) {
            Button remove = Parts.button("trace.remove", () -> easel.tracing().remove(index), "flat", "tiny");
            line.getChildren().add(remove);
        }
        return line;
    }
}
