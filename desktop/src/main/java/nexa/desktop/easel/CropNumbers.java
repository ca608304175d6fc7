package nexa.desktop.easel;

import java.util.function.Consumer;
import nexa.core.crop.TypedCrop;
import nexa.core.shoot.Edit;
import nexa.desktop.desk.CropSection;
import nexa.desktop.desk.PrintHelp;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/** What the desk's part for the crop in numbers asks for. */
final class CropNumbers implements CropSection.Actions {
    private final ShootSession session;
    private final PhotoStage stage;
    private final CropGestures gestures;
    private final Overlays overlays;
    private final Consumer<String> hint;
    private final Consumer<String> messages;

    CropNumbers(
            ShootSession session,
            PhotoStage stage,
            CropGestures gestures,
            Overlays overlays,
            Consumer<String> hint,
            Consumer<String> messages) {
        this.session = session;
        this.stage = stage;
        this.gestures = gestures;
        this.overlays = overlays;
        this.hint = hint;
        this.messages = messages;
    }

    @Override
    public void typed(TypedCrop.Field field, double pixels) {
        gestures.finish();
        session.crop().ifPresent(crop -> {
            boolean keepsRatio = !crop.format().ratio().isFree();
            TypedCrop.Typed typed = TypedCrop.type(crop.outline(), crop.crop(), field, pixels, keepsRatio);
            gestures.commit(Edit.Kind.TYPE, typed.crop());
            hint.accept(typed.isLimited() ? Words.get("desk.limited") : "");
        });
        stage.requestFocus();
    }

    @Override
    public void notALength(String text) {
        messages.accept(Words.get("desk.notALength", text));
    }

    @Override
    public void printHelp() {
        gestures.finish();
        session.crop().ifPresent(crop -> overlays.show(new PrintHelp(crop, overlays::close)));
    }
}
