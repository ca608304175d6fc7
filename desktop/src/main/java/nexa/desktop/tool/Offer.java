package nexa.desktop.tool;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.find.Found;
import nexa.core.geometry.Segment;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Finding;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;

/**
 * Finds one kind of thing in the photo worked on and, where that is to be seen before it is taken, offers it with dashed lines.
 * An offer stands as long as its photo is as it was.
 */
public final class Offer<T extends Found> {
    private final Class<T> what;
    private final Easel easel;
    private Ticket ticket = Ticket.NONE;
    private String said = "";
    private Optional<Made<T>> made = Optional.empty();

    /** What was offered, of a photo as it was then. */
    private record Made<T>(Photo photo, T found) {}

    public Offer(Class<T> what, Easel easel) {
        this.what = what;
        this.easel = easel;
    }

    /** What stands. */
    public Optional<T> standing() {
        return made.filter(offer -> isAsItWas(offer.photo())).map(Made::found);
    }

    /**
     * Looks for it.
     *
     * @param looking said meanwhile
     * @param found hears of it if the photo is as it was
     */
    public void look(Photo photo, String looking, Consumer<T> found) {
        say(looking);
        ticket = easel.session().finding().find(what, photo, Urgency.NOW, new Finding.Listener<>() {
            @Override
            public void found(T some) {
                if (isAsItWas(photo)) {
                    found.accept(some);
                } else {
                    unsay();
                }
            }

            @Override
            public void failed(PhotoProblem problem) {
                say(Words.say(problem));
            }
        });
    }

    /** Offers what was found in the photo worked on, with lines in its pixels. */
    public void make(Photo photo, T found, List<Segment> lines, String words) {
        made = Optional.of(new Made<>(photo, found));
        easel.stage().overlay().onPhoto().propose(lines);
        say(words);
    }

    /** Whether the same photo is worked on and its places lie where they lay. */
    private boolean isAsItWas(Photo asked) {
        return easel.session()
                .photo()
                .filter(now -> now.hasSamePictureAs(asked) && now.preparation().hasSamePlacesAs(asked.preparation()))
                .isPresent();
    }

    public void say(String words) {
        said = words;
        easel.say(words);
    }

    /** Says no more what was said, unless something else has been said since. */
    public void unsay() {
        if (easel.hint().says(said)) {
            say("");
        }
    }

    /** What was being looked for is not wanted any more, and what was offered does not stand. */
    public void forget() {
        ticket.cancel();
        if (made.isPresent()) {
            easel.stage().overlay().onPhoto().show(List.of());
        }
        unsay();
        made = Optional.empty();
    }
}
