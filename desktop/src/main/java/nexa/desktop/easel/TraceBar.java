package nexa.desktop.easel;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import nexa.core.level.Trace;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** What the traced lines say, and what can be done with them. */
final class TraceBar extends StageBar {
    /** What can be done with traced lines. */
    interface Actions {
        void remove(int index);

        void choose(int index);

        void putOnGuide();

        /** Levels the photo by them. */
        void turnOnly();

        /** Puts the perspective right by them. */
        void make(LinesUse use);

        void forget();
    }

    private final Actions actions;

    TraceBar(Actions actions) {
        this.actions = actions;
    }

    /**
     * Shows lines.
     *
     * @param offered what perspectives can be made from them
     * @param isForPerspective whether they are drawn for that, so that they need not agree
     */
    void show(Trace trace, List<LinesUse> offered, boolean isForPerspective) {
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
            Button turn = Parts.button("lines.turnOnly", actions::turnOnly, "small-button");
            turn.setId("trace-turn-only");
            getChildren().add(turn);
        } else if (!disagrees) {
            getChildren().add(Parts.button("trace.put", actions::putOnGuide, "small-button"));
        }
        for (LinesUse use : offered) {
            Button make = Parts.button(use.key(), () -> actions.make(use), "small-button");
            make.setId(use.id("trace-"));
            getChildren().add(make);
        }
        getChildren().add(Parts.button("trace.forget", actions::forget, "flat", "small-button"));
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
