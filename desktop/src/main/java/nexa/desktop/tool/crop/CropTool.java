package nexa.desktop.tool.crop;

import javafx.scene.input.KeyEvent;
import nexa.core.crop.Handle;
import nexa.core.format.Asks;
import nexa.core.geometry.Point;
import nexa.core.series.PhotoCrop;
import nexa.desktop.desk.DeskPart;
import nexa.desktop.parts.Words;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.EaselTool;

/** What is done to the crop: by keys, by numbers, drawn anew. */
public final class CropTool implements EaselTool {
    private final Easel easel;
    private final CropSection section;
    private final DrawAnew drawing;

    public CropTool(Easel easel) {
        this.easel = easel;
        this.section = new CropSection(easel);
        this.drawing = new DrawAnew(easel);
    }

    /** Its part of the desk. */
    public DeskPart part() {
        return section.part();
    }

    /** Takes the tool for drawing the crop anew, or puts it down again. */
    public void draw() {
        easel.take(drawing, Words.get("tool.draw"));
    }

    @Override
    public void show(PhotoCrop crop) {
        section.show(crop);
        boolean isMoving = easel.gestures().isBusy();
        easel.stage().overlay().asked().show(isMoving ? crop.format().asks() : Asks.NONE);
    }

    @Override
    public void settle() {
        easel.stage().overlay().asked().show(Asks.NONE);
    }

    @Override
    public void clear() {
        section.clear();
    }

    @Override
    public boolean pressed(KeyEvent key) {
        switch (key.getCode()) {
            case W -> easel.gestures().turnCrop();
            case HOME -> easel.gestures().largest();
            case PLUS, EQUALS, ADD -> easel.gestures().tighten(1);
            case MINUS, SUBTRACT -> easel.gestures().tighten(-1);
            case N -> draw();
            default -> {
                return false;
            }
        }
        return true;
    }

    @Override
    public boolean moves(Object part, Point pixels) {
        if (part instanceof Handle handle) {
            easel.gestures().moveSide(handle, pixels);
            return true;
        }
        return false;
    }
}
