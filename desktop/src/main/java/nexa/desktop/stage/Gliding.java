package nexa.desktop.stage;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.AnimationTimer;

/** Brings the photo to where it is to lie, little by little; one such way at a time. */
final class Gliding extends AnimationTimer {
    private static final double NANOS = 150e6;

    private final Consumer<Pose> aim;
    private Projection from;
    private Pose target;
    private long began;
    private boolean isOn;

    /** @param aim hears where the photo is to lie in each frame */
    Gliding(Consumer<Pose> aim) {
        this.aim = aim;
    }

    boolean isOn() {
        return isOn;
    }

    void glide(Projection newFrom, Pose newTarget) {
        stop();
        if (newFrom.equals(newTarget.projection())) {
            aim.accept(newTarget);
        } else {
            from = newFrom;
            target = newTarget;
            began = 0;
            isOn = true;
            start();
        }
    }

    /** As {@link #glide}, or at once where there is nothing to glide from. */
    void go(Optional<Projection> newFrom, Pose newTarget) {
        stop();
        newFrom.ifPresentOrElse(now -> glide(now, newTarget), () -> aim.accept(newTarget));
    }

    @Override
    public void handle(long now) {
        began = began == 0 ? now : began;
        double share = Math.min(1, (now - began) / NANOS);
        double eased = share * share * (3 - 2 * share);
        Pose next = share == 1 ? target : target.with(from.towards(target.projection(), eased));
        if (share == 1) {
            stop();
        }
        aim.accept(next);
    }

    @Override
    public void stop() {
        super.stop();
        isOn = false;
    }
}
