package nexa.desktop.find;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import nexa.core.find.Found;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundPerspective;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.find.TakeFound;
import nexa.core.propose.Proposal;
import nexa.core.propose.TakeProposals;
import nexa.core.shape.FocalLength;
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

    /**
     * Looks for something in these, and in those no more that were still to come.
     *
     * @param formats the ids of those that there is one for each; "" for what is the same in all
     * @param isMissing which of them it is looked for in
     */
    void look(FindWhat what, List<Photo> photos, List<String> formats, Predicate<FoundPhoto.Key> isMissing) {
        stop();
        for (Photo photo : photos) {
            for (String format : formats) {
                if (isMissing.test(new FoundPhoto.Key(photo.file(), format))) {
                    tickets.add(look(what, photo, format));
                }
            }
        }
        session.finding().saveSoon();
    }

    private Ticket look(FindWhat what, Photo photo, String format) {
        return switch (what) {
            case LEVELS -> find(what, FoundLevel.class, photo);
            case BORDERS -> find(what, FoundTrim.class, photo);
            case UPRIGHTS -> findUprights(photo);
            case SUBJECTS -> find(what, FoundSubject.class, photo);
            case CROPS -> propose(photo, format);
        };
    }

    /** What was found of the level tells of uprights. */
    private Ticket findUprights(Photo photo) {
        OptionalDouble focal = FocalLength.known(
                photo.preparation().perspective(), session.lenses().now().focalLength35(photo.file()));
        boolean isDone = TakeFound.isDone(photo, FoundPerspective.class);
        return find(
                FindWhat.UPRIGHTS, FoundLevel.class, photo, isDone, level -> FoundPerspective.of(level, photo, focal));
    }

    private <T extends Found> Ticket find(FindWhat what, Class<T> type, Photo photo) {
        return find(what, type, photo, TakeFound.isDone(photo, type), some -> some);
    }

    private <T extends Found> Ticket find(
            FindWhat what, Class<T> looked, Photo photo, boolean isDone, Function<T, ? extends Found> made) {
        return session.finding().find(looked, photo, Urgency.IDLE, new Finding.Listener<T>() {
            @Override
            public void found(T some) {
                found.accept(new FoundPhoto(photo, what, Optional.of(made.apply(some)), isDone));
            }

            @Override
            public void failed(PhotoProblem problem) {
                found.accept(new FoundPhoto(photo, what, Optional.empty(), isDone));
            }
        });
    }

    /** The first proposal for a format. */
    private Ticket propose(Photo photo, String format) {
        boolean isDone = TakeProposals.isDone(photo, format);
        double ratio = session.crop(photo, session.shoot().format(format))
                .crop()
                .size()
                .ratio();
        return session.finding().propose(photo, ratio, 1, Urgency.IDLE, new Finding.Listener<>() {
            @Override
            public void found(List<Proposal> proposals) {
                tell(proposals.stream().findFirst());
            }

            @Override
            public void failed(PhotoProblem problem) {
                tell(Optional.empty());
            }

            private void tell(Optional<Proposal> proposal) {
                found.accept(new FoundPhoto(photo, FindWhat.CROPS, proposal, isDone, format));
            }
        });
    }

    /** Begins with no further photo, and no further stage of one. */
    void stop() {
        tickets.forEach(Ticket::cancel);
        tickets.clear();
    }
}
