package nexa.core.guide;

import java.util.List;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;

/** Composition lines for a crop. Start at {@link GuideKind} for all there are. */
@FunctionalInterface
public interface Guide {
    /** The lines in a crop of this size, whose origin is the crop's top-left corner. A curve comes as short lines. */
    List<Segment> lines(Size crop);
}
