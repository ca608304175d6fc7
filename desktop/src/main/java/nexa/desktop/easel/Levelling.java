package nexa.desktop.easel;

import java.util.function.Consumer;
import nexa.core.series.Reorient;
import nexa.desktop.desk.LevelSection;
import nexa.desktop.desk.StartKind;
import nexa.desktop.parts.Words;
import nexa.desktop.stage.PhotoStage;

/** What the desk's level part asks for. */
final class Levelling implements LevelSection.Actions {
    private final PhotoStage stage;
    private final StageHand hand;
    private final FindLevel find;
    private final PhotoActions actions;
    private final Consumer<String> messages;

    Levelling(PhotoStage stage, StageHand hand, FindLevel find, PhotoActions actions, Consumer<String> messages) {
        this.stage = stage;
        this.hand = hand;
        this.find = find;
        this.actions = actions;
        this.messages = messages;
    }

    @Override
    public void moved(double degrees, boolean isHeld) {
        hand.tools().tracing().clear();
        hand.gestures().photo().turnTo(degrees, isHeld);
    }

    @Override
    public void letGo() {
        hand.gestures().finish();
    }

    @Override
    public void find() {
        find.find();
        stage.requestFocus();
    }

    @Override
    public void trace() {
        find.forget();
        hand.tools().take(Tools.Tool.TRACE);
        stage.requestFocus();
    }

    @Override
    public void reorient(Reorient how) {
        actions.reorient(how);
    }

    @Override
    public void startAgain(StartKind what) {
        actions.startAgain(what);
    }

    @Override
    public void notAnAngle(String text) {
        messages.accept(Words.get("level.notAnAngle", text));
    }
}
