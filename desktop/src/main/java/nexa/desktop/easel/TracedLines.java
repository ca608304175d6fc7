package nexa.desktop.easel;

import java.util.List;
import nexa.core.geometry.Segment;
import nexa.core.level.Trace;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/** The bar of the traced lines: where none of them lies under it. */
final class TracedLines implements TraceBar.Actions {
    private final TraceBar bar = new TraceBar(this);
    private final ShootSession session;
    private final PhotoStage stage;
    private final StageHand hand;
    private final LinesHand lines;
    private List<Segment> traced = List.of();

    TracedLines(ShootSession session, PhotoStage stage, StageHand hand, LinesHand lines) {
        this.session = session;
        this.stage = stage;
        this.hand = hand;
        this.lines = lines;
        stage.overlay().onPhoto().onLaid(this::place);
    }

    TraceBar node() {
        return bar;
    }

    /** @param inPhoto where the lines lie in the photo, in its pixels */
    void show(Trace trace, List<Segment> inPhoto) {
        traced = inPhoto;
        List<LinesUse> offered = session.photo()
                .filter(session::isReady)
                .map(photo -> LinesUse.offered(LinesHand.sorted(photo, inPhoto)))
                .orElse(List.of());
        bar.show(trace, offered, hand.tools().tracing().isForPerspective());
        place();
    }

    void place() {
        if (!hand.gestures().isBusy()) {
            bar.place(stage);
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
    public void turnOnly() {
        List<Segment> by = traced;
        hand.tools().putDown();
        hand.tools().tracing().levelBy(by);
        stage.requestFocus();
    }

    @Override
    public void make(LinesUse use) {
        lines.make(use, traced);
        stage.requestFocus();
    }

    @Override
    public void forget() {
        hand.tools().forgetLines();
        stage.requestFocus();
    }
}
