package nexa.desktop.easel;

import java.util.List;
import nexa.core.geometry.Segment;
import nexa.core.level.Trace;
import nexa.core.series.PhotoCrop;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/** All that the hand does on the stage. */
final class StageHand {
    /** Hears what the hand does. */
    interface Listener {
        /** The mouse begins something on the stage. */
        void begins();

        /** A gesture goes on. */
        void changed(PhotoCrop draft);

        /** A gesture has ended, or something has been drawn. */
        void ended();

        /** There is something to say by the pointer; "" for nothing. */
        void say(String words);

        /** Lines have been traced, or are traced no more; where they lie in the photo, in its pixels. */
        void traced(Trace trace, List<Segment> inPhoto);
    }

    private final CropGestures gestures;
    private final ToolInHand tool;
    private final Tools tools;
    private final StageMouse mouse;

    StageHand(ShootSession session, PhotoStage stage, Listener listener) {
        this.gestures = new CropGestures(session, stage, listener::changed, listener::ended, listener::say);
        this.tool = new ToolInHand(stage, listener::ended);
        this.tools = new Tools(session, stage, gestures, tool, listener::say, listener::traced);
        this.mouse = new StageMouse(stage, gestures, tool, listener::begins);
    }

    CropGestures gestures() {
        return gestures;
    }

    ToolInHand tool() {
        return tool;
    }

    Tools tools() {
        return tools;
    }

    StageMouse mouse() {
        return mouse;
    }

    /** What the hand is at, and the lines traced, belong to the photo as it was. */
    void letGoOfAll() {
        gestures.finish();
        tools.tracing().clear();
    }

    /** Another photo or format: what the hand was still at belongs to the one before, and is kept. */
    void beginAnew() {
        gestures.finish();
        tools.putAllDown();
    }
}
