package nexa.desktop.stage;

import java.util.function.Consumer;
import javafx.animation.AnimationTimer;

/** Brings the photo from one place to another, in some frames. */
final class Glide extends AnimationTimer {
    private static final double NANOS = 150e6;

    private final Projection from;
    private final Pose target;
    private final Consumer<Pose> step;
    private final Runnable arrived;
    private long began;

    /**
     * Not begun yet.
     *
     * @param step shows the photo on its way, and at last where it is to lie
     * @param arrived runs before the last step
     */
    Glide(Projection from, Pose target, Consumer<Pose> step, Runnable arrived) {
        this.from = from;
        this.target = target;
        this.step = step;
        this.arrived = arrived;
    }

    @Override
    public void handle(long now) {
        began = began == 0 ? now : began;
        double share = Math.min(1, (now - began) / NANOS);
        double eased = share * share * (3 - 2 * share);
        if (share == 1) {
            arrived.run();
        }
        step.accept(share == 1 ? target : target.with(from.towards(target.projection(), eased)));
    }
}
