package nexa.core.guide;

import java.util.List;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;

/** Composition lines for a crop. */
public interface Guide {
    /** The lines in a crop of this size, whose origin is the crop's top-left corner. */
    List<Segment> lines(Size crop);
}
