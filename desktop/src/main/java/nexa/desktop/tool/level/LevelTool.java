package nexa.desktop.tool.level;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;
import nexa.core.series.PhotoCrop;
import nexa.desktop.desk.DeskPart;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.EaselTool;
import nexa.desktop.tool.PhotoActions;
import nexa.desktop.tool.perspective.PerspectiveTool;

/** Levels the photo: by what is found, by traced lines, by the desk. */
public final class LevelTool implements EaselTool {
    private static final double STEP = 0.1;

    private final Easel easel;
    private final PhotoActions actions;
    private final FindLevel find;
    private final LevelSection section;
    private final TraceBar bar;

    /** @param perspective can be put right by traced lines too, and is where a level photo's uprights run together */
    public LevelTool(Easel easel, PhotoActions actions, PerspectiveTool perspective) {
        this.easel = easel;
        this.actions = actions;
        this.find = new FindLevel(easel, perspective);
        this.section = new LevelSection(easel, actions, find);
        this.bar = new TraceBar(easel, perspective.lines());
    }

    /** Its part of the desk. */
    public DeskPart part() {
        return section.part();
    }

    /** Finds the level, or takes what is offered. */
    public void find() {
        find.find();
    }

    /** Takes the tool for tracing, or puts it down again. */
    public void trace() {
        section.trace();
    }

    @Override
    public List<Node> overStage() {
        return List.of(bar);
    }

    @Override
    public void show(PhotoCrop crop) {
        section.show(crop.photo().angle());
    }

    @Override
    public void settle() {
        bar.place();
    }

    @Override
    public void withdraw() {
        find.forget();
    }

    @Override
    public boolean pressed(KeyEvent key) {
        double step = key.isShiftDown() ? 10 * STEP : STEP;
        switch (key.getCode()) {
            case COMMA, LESS -> easel.gestures().photo().turnBy(-step);
            case PERIOD, GREATER -> easel.gestures().photo().turnBy(step);
            case L -> trace();
            case F -> {
                if (key.isShiftDown()) {
                    actions.findInMany();
                } else {
                    find();
                }
            }
            default -> {
                return false;
            }
        }
        return true;
    }
}
