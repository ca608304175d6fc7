package nexa.desktop.tool.beyond;

import java.util.List;
import java.util.function.BiFunction;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import nexa.core.series.PhotoCrop;
import nexa.core.series.Reach;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Shoot;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.EaselTool;

/** Lets the crop worked on reach beyond its photo, and fills what lies there. */
public final class BeyondTool implements EaselTool {
    private final Easel easel;
    private final BeyondBar bar;

    public BeyondTool(Easel easel) {
        this.easel = easel;
        this.bar = new BeyondBar(this::fill, easel::tell);
    }

    /** Lets the crop reach beyond its photo, or keeps it inside again. */
    public void toggle() {
        edit(Edit.Kind.REACH, (shoot, crop) -> {
            boolean may = !crop.photo().mayReach(crop.format());
            return Reach.let(shoot, crop.photo().file(), crop.format().id(), may);
        });
    }

    private void fill(Beyond beyond) {
        edit(
                Edit.Kind.FILL,
                (shoot, crop) ->
                        Reach.fill(shoot, crop.photo().file(), crop.format().id(), beyond));
    }

    private void edit(Edit.Kind kind, BiFunction<Shoot, PhotoCrop, Shoot> change) {
        easel.gestures().finish();
        easel.session().crop().ifPresent(crop -> easel.session().edit(kind, shoot -> change.apply(shoot, crop)));
    }

    @Override
    public List<Node> overStage() {
        return List.of(bar);
    }

    @Override
    public void show(PhotoCrop crop) {
        bar.show(crop);
    }

    @Override
    public void clear() {
        bar.setVisible(false);
    }

    @Override
    public boolean pressed(KeyEvent key) {
        boolean isMeant = key.getCode() == KeyCode.E;
        if (isMeant) {
            toggle();
        }
        return isMeant;
    }
}
