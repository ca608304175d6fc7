package nexa.core.shoot;

import nexa.core.geometry.Fingerprint;
import nexa.core.shape.Edge;

/**
 * What is done to a photo's light and colour, for every format alike. It moves nothing: no photo is read anew for it, and whatever
 * was found in the photo stays where it is.
 *
 * @param edge the darkening or lightening wanted towards the edge of each of its crops
 */
public record Tone(Edge edge) {
    /** Light and colour stay as they are. */
    public static final Tone NONE = new Tone(Edge.NONE);

    public Tone withEdge(Edge newEdge) {
        return new Tone(newEdge);
    }

    /** All of it in letters, see {@link Fingerprint}; a correction that is not made says nothing. */
    String fingerprint() {
        return edge.equals(Edge.NONE) ? "" : " " + edge.fingerprint();
    }

    /** Whether it is the same in every crop of the photo: the edge is measured on the crop. */
    public boolean isSameInEveryCrop() {
        return edge.isNone();
    }
}
