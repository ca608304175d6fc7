package nexa.desktop.find;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.find.FoundLevel;
import nexa.core.shoot.Photo;
import nexa.desktop.session.LevelFinding;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;

/** Looks at many photos, one after the other, until it is stopped. */
final class FindInMany {
    private final LevelFinding finding;
    private final Consumer<FoundPhoto> found;
    private final List<Ticket> tickets = new ArrayList<>();

    /** @param found hears of each photo */
    FindInMany(LevelFinding finding, Consumer<FoundPhoto> found) {
        this.finding = finding;
        this.found = found;
    }

    /** Looks at these, and at those no more that were still to come. */
    void look(List<Photo> photos) {
        stop();
        for (Photo photo : photos) {
            tickets.add(finding.find(photo, Urgency.IDLE, new LevelFinding.Listener() {
                @Override
                public void found(FoundLevel level) {
                    found.accept(new FoundPhoto(photo, Optional.of(level)));
                }

                @Override
                public void failed(PhotoProblem problem) {
                    found.accept(new FoundPhoto(photo, Optional.empty()));
                }
            }));
        }
        finding.saveSoon();
    }

    /** Begins with no further photo, and no further stage of one. */
    void stop() {
        tickets.forEach(Ticket::cancel);
        tickets.clear();
    }
}
