package nexa.desktop.easel;

import javafx.geometry.Insets;
import javafx.scene.layout.StackPane;
import nexa.core.level.Trace;
import nexa.desktop.stage.PhotoStage;

/** The bar of the traced lines: where none of them lies under it. */
final class TracedLines implements TraceBar.Actions {
    /** How far the bar is from the edges of the stage. */
    private static final double FROM_EDGE = 44;

    private final TraceBar bar = new TraceBar(this);
    private final PhotoStage stage;
    private final StageHand hand;

    TracedLines(PhotoStage stage, StageHand hand) {
        this.stage = stage;
        this.hand = hand;
        StackPane.setMargin(bar, new Insets(FROM_EDGE));
        stage.overlay().onPhoto().onLaid(this::place);
    }

    TraceBar node() {
        return bar;
    }

    void show(Trace trace) {
        bar.show(trace);
        place();
    }

    void place() {
        if (bar.isVisible() && !hand.gestures().isBusy()) {
            bar.applyCss();
            StackPane.setAlignment(bar, stage.overlay().onPhoto().clearest(bar, FROM_EDGE));
        }
    }

    @Override
    public void remove(int index) {
        hand.tools().tracing().remove(index);
    }

    @Override
    public void choose(int index) {
        hand.tools().tracing().choose(index);
    }

    @Override
    public void putOnGuide() {
        hand.tools().tracing().putOnGuide(hand.gestures());
    }

    @Override
    public void forget() {
        hand.tools().forgetLines();
        stage.requestFocus();
    }
}
