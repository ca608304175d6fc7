package nexa.desktop.tool;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Overlays;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/** The easel as its tools have it at hand: the shoot, the stage, what the hand does there, and the tools themselves. */
public final class Easel {
    private final ShootSession session;
    private final PhotoStage stage;
    private final Overlays overlays;
    private final Consumer<String> messages;
    private final ToolInHand inHand;
    private final StageHint hint;
    private final CropGestures gestures;
    private final Tracing tracing;
    private final StageMouse mouse;
    private final List<EaselTool> tools = new ArrayList<>();

    /**
     * An easel without tools.
     *
     * @param overlays where panels are shown
     * @param messages hears what the photographer is to be told
     * @param ended hears that a gesture has ended, or something has been drawn
     */
    public Easel(ShootSession session, Overlays overlays, Consumer<String> messages, Runnable ended) {
        this.session = session;
        this.stage = new PhotoStage(session.pictures());
        this.overlays = overlays;
        this.messages = messages;
        this.inHand = new ToolInHand(stage, ended);
        this.hint = new StageHint(stage, inHand);
        this.gestures = new CropGestures(session, stage, this::show, ended, hint::say);
        this.tracing = new Tracing(session, stage, hint::say);
        this.mouse = new StageMouse(stage, gestures, inHand);
    }

    /** Adds a tool, whose bar lies over those added before. */
    public void add(EaselTool tool) {
        tools.add(tool);
    }

    public List<EaselTool> tools() {
        return Collections.unmodifiableList(tools);
    }

    public ShootSession session() {
        return session;
    }

    public PhotoStage stage() {
        return stage;
    }

    public Overlays overlays() {
        return overlays;
    }

    public CropGestures gestures() {
        return gestures;
    }

    public ToolInHand inHand() {
        return inHand;
    }

    public StageHint hint() {
        return hint;
    }

    /** The lines traced along what should be level or upright. */
    public Tracing tracing() {
        return tracing;
    }

    public StageMouse mouse() {
        return mouse;
    }

    /** The photo worked on, if it can be. */
    public Optional<Photo> photo() {
        return session.photo().filter(session::isReady);
    }

    /** Says something on the stage; "" for nothing. */
    public void say(String words) {
        hint.say(words);
    }

    /** Tells the photographer something. */
    public void tell(String words) {
        messages.accept(words);
    }

    /** Shows a crop with every tool. */
    public void show(PhotoCrop crop) {
        tools.forEach(tool -> tool.show(crop));
    }

    /** Takes something to draw with into the hand, or puts it down if it is there. What any tool offers is withdrawn. */
    public void take(Drawing drawing, String words) {
        boolean isThere = inHand.holds(drawing);
        putDown();
        withdraw();
        if (!isThere && session.crop().isPresent()) {
            inHand.take(drawing);
            say(words);
        }
    }

    /** Puts down what is in the hand, and ends the gesture in progress. */
    public void putDown() {
        if (inHand.isTaken()) {
            say("");
        }
        gestures.finish();
        inHand.putDown();
    }

    /** What the hand is at, and the lines traced, belong to the photo as it was. */
    public void letGo() {
        gestures.finish();
        tracing.clear();
    }

    /** Puts down what is in the hand, and forgets the lines traced. */
    public void putAllDown() {
        putDown();
        forgetLines();
    }

    public void forgetLines() {
        tracing.clear();
        say("");
    }

    /** What was looked for is not wanted any more, and what was offered does not stand. */
    public void withdraw() {
        tools.forEach(EaselTool::withdraw);
    }

    /** Puts away what any tool has laid over the photo. */
    public void putAway() {
        tools.forEach(EaselTool::putAway);
    }
}
