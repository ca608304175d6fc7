package nexa.core.shoot;

import java.util.Optional;
import nexa.core.geometry.Fingerprint;

/**
 * How what a crop takes in outside its photo is filled.
 *
 * @param colour for {@link Fill#COLOUR}; empty is the edge's own
 * @param spared what is never stretched nor copied into the fill; empty is the photo's subject, if it has one
 */
public record Beyond(Fill fill, Optional<Colour> colour, Optional<Subject> spared) {
    /** Of which nobody has said anything. */
    public static final Beyond USUAL = new Beyond(Fill.PICTURE, Optional.empty(), Optional.empty());

    /** What it is filled by. */
    public enum Fill {
        COLOUR,
        /** The outer part of the photo is drawn out. */
        STRETCH,
        /** Made of the picture beside it. */
        PICTURE
    }

    public Beyond withFill(Fill newFill) {
        return new Beyond(newFill, colour, spared);
    }

    /** Filled by a colour; empty is the edge's own. */
    public Beyond withColour(Optional<Colour> newColour) {
        return new Beyond(Fill.COLOUR, newColour, spared);
    }

    public Beyond withSpared(Optional<Subject> newSpared) {
        return new Beyond(fill, colour, newSpared);
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("Beyond")
                .with("fill", fill.name())
                .with("colour", colour, Colour::toString)
                .with("spared", spared, Subject::fingerprint)
                .letters();
    }
}
