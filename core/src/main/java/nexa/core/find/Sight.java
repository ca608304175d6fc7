package nexa.core.find;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Size;

/** What can be seen in a picture. Each is looked for when it is asked for, and only then. */
public interface Sight {
    /** The picture's size in pixels. */
    Size picture();

    /** Persons, animals and things; none where no model for them is at hand. */
    List<SeenThing> things();

    /** Faces of any size; none where no model for them is at hand. */
    List<SeenFace> faces();

    /** Faces that fill much of the picture, by a model for those; none where it is not at hand. */
    List<SeenFace> nearFaces();

    /** What stands out most from what is around it, if anything does. */
    Optional<SalientRegion> salient();
}
