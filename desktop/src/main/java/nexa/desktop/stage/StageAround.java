package nexa.desktop.stage;

import java.util.Optional;
import nexa.core.series.FillPlan;
import nexa.imaging.fill.EdgeFill;
import nexa.imaging.pictures.OutsidePicture;
import nexa.imaging.pictures.PictureLibrary;
import nexa.imaging.work.Ticket;

/** What the crop on the stage shows of what lies beyond its photo. It is made in the background. */
final class StageAround {
    /** What was asked for, or is there. */
    private record Made(EdgeFill.Key key, Optional<Ticket> ticket, Optional<OutsidePicture> around) {
        /** Whether it will do until what is wanted is there: only its margins differ. */
        boolean isLike(EdgeFill.Key wanted) {
            return key.withMarginsOf(wanted).equals(wanted);
        }
    }

    private final PictureLibrary library;
    private final Runnable changed;
    private Optional<Made> made = Optional.empty();

    /** @param changed hears that more is there than before */
    StageAround(PictureLibrary library, Runnable changed) {
        this.library = library;
        this.changed = changed;
    }

    /** What there is of what a plan wants; what is missing is asked for. */
    Optional<OutsidePicture> of(Optional<FillPlan> plan) {
        if (plan.isEmpty()) {
            return Optional.empty();
        }
        if (plan.get().stretch().isPresent()) {
            return plan.get().stretch().map(OutsidePicture::of);
        }
        EdgeFill.Key key = EdgeFill.Key.of(plan.get());
        if (made.filter(one -> one.key().equals(key)).isEmpty()) {
            Optional<OutsidePicture> meanwhile =
                    made.filter(one -> one.isLike(key)).flatMap(Made::around);
            forget();
            Ticket ticket = library.around(plan.get(), around -> {
                made = Optional.of(new Made(key, Optional.empty(), Optional.of(around)));
                changed.run();
            });
            made = Optional.of(new Made(key, Optional.of(ticket), meanwhile));
        }
        return made.flatMap(Made::around);
    }

    /** Nothing that was asked for is waited for any more. */
    void forget() {
        made.flatMap(Made::ticket).ifPresent(Ticket::cancel);
        made = Optional.empty();
    }
}
