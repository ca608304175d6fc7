package nexa.desktop.tool.perspective;

import java.util.Set;
import java.util.function.UnaryOperator;
import nexa.core.series.StartAgain;
import nexa.core.shape.Perspective;
import nexa.core.shoot.Edit;
import nexa.desktop.parts.Words;
import nexa.desktop.tool.Easel;

/** What the desk's page for the perspective asks for. */
final class PerspectiveHand {
    private final Easel easel;
    private final Reshaping reshaping;

    PerspectiveHand(Easel easel, Reshaping reshaping) {
        this.easel = easel;
        this.reshaping = reshaping;
    }

    /**
     * Tilt and swing are set by hand, in degrees.
     *
     * @param isHeld whether the hand is still at it
     */
    void faced(double tilt, double swing, boolean isHeld) {
        easel.tracing().clear();
        easel.photo()
                .ifPresent(
                        photo -> reshaping.reshape(photo, reshaping.now(photo).facing(tilt, swing), isHeld));
    }

    /** The hand lets go. */
    void letGo() {
        easel.gestures().letGo();
    }

    /** How much is taken out, in per cent. */
    void strength(double strength) {
        edit(now -> now.withStrength(strength));
    }

    /** Width over height of what was square. */
    void stretch(double stretch) {
        edit(now -> now.withStretch(stretch));
    }

    private void edit(UnaryOperator<Perspective> change) {
        easel.letGo();
        easel.photo().ifPresent(photo -> reshaping.reshape(photo, change.apply(reshaping.now(photo)), false));
        letGo();
    }

    /** Another focal length, in millimetres on 36 × 24 mm, makes something else of the same lines. */
    void focalLength(double millimetres) {
        easel.letGo();
        easel.photo().ifPresent(photo -> {
            Perspective to = reshaping.now(photo).withFocal35(millimetres);
            if (to.lines().isNone()) {
                reshaping.reshape(photo, to, false);
            } else {
                reshaping.solveAgain(photo, to);
            }
        });
        letGo();
    }

    void notANumber(String text) {
        easel.tell(Words.get("perspective.notANumber", text));
    }

    void asShot() {
        easel.letGo();
        easel.photo()
                .ifPresent(photo -> easel.session()
                        .edit(Edit.Kind.PERSPECTIVE, shoot -> StartAgain.perspective(shoot, Set.of(photo.file()))));
        easel.stage().requestFocus();
    }
}
