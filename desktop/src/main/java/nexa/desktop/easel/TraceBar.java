package nexa.desktop.easel;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import nexa.core.level.Trace;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** What the traced lines say, and what can be done with them. */
final class TraceBar extends HBox {
    /** What can be done with traced lines. */
    interface Actions {
        void remove(int index);

        void choose(int index);

        void putOnGuide();

        void forget();
    }

    private final Actions actions;

    TraceBar(Actions actions) {
        this.actions = actions;
        getStyleClass().add("trace-bar");
        setAlignment(Pos.CENTER_LEFT);
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        setVisible(false);
    }

    void show(Trace trace) {
        getChildren().clear();
        setVisible(!trace.lines().isEmpty());
        if (trace.lines().isEmpty()) {
            return;
        }
        String apart = Words.number(trace.disagreement(), 1);
        if (trace.disagrees()) {
            getChildren().addAll(Parts.triangle(), Parts.label(Words.get("trace.disagree", apart), "small", "look"));
        } else {
            int count = trace.lines().size();
            getChildren().add(Parts.label(Words.get("trace.count", count, apart), "small"));
        }
        for (int i = 0; i < trace.lines().size(); i++) {
            getChildren().add(line(trace, i));
        }
        if (!trace.disagrees()) {
            getChildren().add(Parts.button("trace.put", actions::putOnGuide, "small-button"));
        }
        getChildren().add(Parts.button("trace.forget", actions::forget, "flat", "small-button"));
    }

    private HBox line(Trace trace, int index) {
        String lean = Words.number(trace.lines().get(index).lean(), 1);
        HBox line = new HBox(2);
        line.setAlignment(Pos.CENTER);
        if (trace.disagrees()) {
            Button choose = new Button(Words.get("trace.choose", lean));
            choose.getStyleClass().add("small-button");
            Parts.explain(choose, Words.get("trace.choose.tip"));
            choose.setOnAction(event -> actions.choose(index));
            line.getChildren().add(choose);
        } else if (trace.lines().size() > 1) {
            line.getChildren().add(Parts.label(Words.get("trace.line", lean), "small"));
        }
        if (trace.lines().size() > 1) {
            Button remove = Parts.button("trace.remove", () -> actions.remove(index), "flat", "tiny");
            line.getChildren().add(remove);
        }
        return line;
    }
}
