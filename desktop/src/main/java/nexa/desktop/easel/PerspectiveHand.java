package nexa.desktop.easel;

import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import nexa.core.series.Crops;
import nexa.core.series.StartAgain;
import nexa.core.shape.Perspective;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Tone;
import nexa.desktop.desk.PerspectivePage;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;

/** What the desk's page for the perspective asks for. */
final class PerspectiveHand implements PerspectivePage.Actions {
    private final ShootSession session;
    private final PhotoStage stage;
    private final StageHand hand;
    private final Reshaping reshaping;
    private final LinesHand lines;
    private final Consumer<String> messages;
    private boolean isWithout;

    /** @param messages hears what the photographer is to be told */
    PerspectiveHand(
            ShootSession session,
            PhotoStage stage,
            StageHand hand,
            Reshaping reshaping,
            LinesHand lines,
            Consumer<String> messages) {
        this.session = session;
        this.stage = stage;
        this.hand = hand;
        this.reshaping = reshaping;
        this.lines = lines;
        this.messages = messages;
    }

    @Override
    public void faced(double tilt, double swing, boolean isHeld) {
        hand.tools().tracing().clear();
        reshaping
                .photo()
                .ifPresent(
                        photo -> reshaping.reshape(photo, reshaping.now(photo).facing(tilt, swing), isHeld));
    }

    @Override
    public void letGo() {
        hand.gestures().finish();
    }

    @Override
    public void strength(double strength) {
        edit(now -> now.withStrength(strength));
    }

    @Override
    public void stretch(double stretch) {
        edit(now -> now.withStretch(stretch));
    }

    private void edit(UnaryOperator<Perspective> change) {
        hand.letGoOfAll();
        reshaping.photo().ifPresent(photo -> reshaping.reshape(photo, change.apply(reshaping.now(photo)), false));
        letGo();
    }

    /** Another focal length makes something else of the same lines. */
    @Override
    public void focalLength(double millimetres) {
        hand.letGoOfAll();
        reshaping.photo().ifPresent(photo -> {
            Perspective to = reshaping.now(photo).withFocal35(millimetres);
            if (to.lines().isNone()) {
                reshaping.reshape(photo, to, false);
            } else {
                reshaping.solveAgain(photo, to);
            }
        });
        letGo();
    }

    @Override
    public void notANumber(String text) {
        messages.accept(Words.get("perspective.notANumber", text));
    }

    @Override
    public void asShot() {
        hand.letGoOfAll();
        lines.putAway();
        reshaping
                .photo()
                .ifPresent(photo -> session.edit(
                        Edit.Kind.PERSPECTIVE, shoot -> StartAgain.perspective(shoot, Set.of(photo.file()))));
        stage.requestFocus();
    }

    @Override
    public void byLines() {
        if (lines.isShown()) {
            lines.putAway();
        } else if (reshaping.lines().isPresent()) {
            hand.gestures().finish();
            hand.tools().putAllDown();
            lines.showOwn();
        } else {
            hand.tools().takeForLines();
        }
        stage.requestFocus();
    }

    /** Shows the photo without its shape and colour put right, or as it is again. */
    void showWithout(boolean without) {
        if (without == isWithout) {
            return;
        }
        isWithout = without;
        hand.gestures().finish();
        session.crop().ifPresent(crop -> {
            String file = crop.photo().file();
            Shoot shoot = session.shoot();
            Shoot seen = without ? shoot.with(file, PerspectiveHand::without) : shoot;
            stage.show(new Crops(seen).of(seen.photo(file), crop.format()));
        });
    }

    private static Photo without(Photo photo) {
        return photo.withPreparation(photo.preparation()
                .withShape(photo.preparation().shape().angleAlone())
                .withTone(Tone.NONE));
    }

    /** Whether it is shown without. */
    boolean isWithout() {
        return isWithout;
    }
}
