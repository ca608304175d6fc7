package nexa.imaging.deliver;

import nexa.imaging.decode.PhotoProblem;

/** One file of a delivery, which is made when its turn comes. */
interface DeliveryItem {
    /** Where it goes inside the destination, with / between folders. */
    String name();

    /** What it is made of, in a few letters: when this and the steps are the same, the file comes out the same. */
    String contentKey() throws PhotoProblem;

    /** Whether a step has a part in its bytes. */
    boolean uses(MakingStep step) throws PhotoProblem;

    /** Whose pixels it has; all is known of them once it is made. */
    PixelOrigin origin() throws PhotoProblem;

    /** Makes it. */
    Made made() throws PhotoProblem;
}
