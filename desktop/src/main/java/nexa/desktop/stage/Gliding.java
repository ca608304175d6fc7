package nexa.desktop.stage;

import java.util.Optional;
import java.util.function.Consumer;

/** Brings the photo to where it is to lie, little by little; one such way at a time. */
final class Gliding {
    private final Consumer<Pose> aim;
    private Optional<Glide> glide = Optional.empty();

    /** @param aim hears where the photo is to lie in each frame */
    Gliding(Consumer<Pose> aim) {
        this.aim = aim;
    }

    boolean isOn() {
        return glide.isPresent();
    }

    void glide(Projection from, Pose target) {
        stop();
        if (from.equals(target.projection())) {
            aim.accept(target);
        } else {
            Glide begun = new Glide(from, target, aim, this::stop);
            glide = Optional.of(begun);
            begun.start();
        }
    }

    /** As {@link #glide}, or at once where there is nothing to glide from. */
    void go(Optional<Projection> from, Pose target) {
        stop();
        from.ifPresentOrElse(now -> glide(now, target), () -> aim.accept(target));
    }

    void stop() {
        glide.ifPresent(Glide::stop);
        glide = Optional.empty();
    }
}
