package nexa.desktop.find;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.find.Found;
import nexa.core.find.TakeFound;
import nexa.core.propose.Proposal;
import nexa.core.propose.TakeProposals;
import nexa.core.shoot.Photo;
import nexa.desktop.session.Finding;
import nexa.desktop.session.ShootSession;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;

/** Looks at many photos, one after the other, until it is stopped. */
final class FindInMany {
    private final ShootSession session;
    private final Consumer<FoundPhoto> found;
    private final List<Ticket> tickets = new ArrayList<>();

    /** @param found hears of each photo */
    FindInMany(ShootSession session, Consumer<FoundPhoto> found) {
        this.session = session;
        this.found = found;
    }

    /** Looks for something in these, and in those no more that were still to come. */
    void look(FindWhat what, List<Photo> photos) {
        stop();
        for (Photo photo : photos) {
            tickets.add(what == FindWhat.CROPS ? propose(photo) : find(what, what.type(), photo));
        }
        session.finding().saveSoon();
    }

    private <T extends Found> Ticket find(FindWhat what, Class<T> type, Photo photo) {
        boolean isDone = TakeFound.isDone(photo, type);
        return session.finding().find(type, photo, Urgency.IDLE, new Finding.Listener<T>() {
            @Override
            public void found(T some) {
                found.accept(new FoundPhoto(photo, what, Optional.of(some), isDone));
            }

            @Override
            public void failed(PhotoProblem problem) {
                found.accept(new FoundPhoto(photo, what, Optional.empty(), isDone));
            }
        });
    }

    /** The first proposal for the format worked in. */
    private Ticket propose(Photo photo) {
        String format = session.formatProperty().get();
        boolean isDone = TakeProposals.isDone(photo, format);
        double ratio = session.crop(photo, session.format()).crop().size().ratio();
        return session.finding().propose(photo, ratio, 1, Urgency.IDLE, new Finding.Listener<>() {
            @Override
            public void found(List<Proposal> proposals) {
                found.accept(
                        new FoundPhoto(photo, FindWhat.CROPS, proposals.stream().findFirst(), isDone));
            }

            @Override
            public void failed(PhotoProblem problem) {
                found.accept(new FoundPhoto(photo, FindWhat.CROPS, Optional.empty(), isDone));
            }
        });
    }

    /** Begins with no further photo, and no further stage of one. */
    void stop() {
        tickets.forEach(Ticket::cancel);
        tickets.clear();
    }
}
