package nexa.store;

import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The fields of the shoot document that this version knows. Others are kept as they are. */
final class DocumentFields {
    static final int VERSION = 1;
    static final Set<String> SHOOT =
            Set.of("nexa", "edit", "continues", "title", "order", "pairs", "formats", "photos");
    static final String EDIT = "edit";
    static final String CONTINUES = "continues";

    /** Said of a format that {@linkplain nexa.core.format.Going#WAITS waits}. */
    static final String WAITS = "waits";

    static final Set<String> FORMAT =
            Set.of("id", "name", "ratio", "turn", "size", "leads", "tolerance", "goes", "file", "reaches");
    static final Set<String> SIZE = Set.of("width", "height", "longEdge", "unit", "ppi");
    static final Set<String> LEADS = Set.of("wide", "tall");
    static final Set<String> TOLERANCE = Set.of("tightness", "position");
    static final Set<String> FILE =
            Set.of("type", "quality", "sampling", "depth", "colour", "enlarge", "pixels", "folder", "name");
    static final Set<String> PHOTO = Stream.concat(
                    Stream.of("file", "raw", "pixels", "identity", "mark", "subject", "crops"),
                    PreparationJson.FIELDS.stream())
            .collect(Collectors.toUnmodifiableSet());
    static final Set<String> IDENTITY = Set.of("bytes", "digest");
    static final Set<String> SUBJECT = Set.of("at", "radius");
    static final Set<String> CROP =
            Set.of("state", "centre", "size", "turn", "tune", "carry", "accepted", "done", "reaches", "beyond");
    static final Set<String> TUNE = Set.of("dx", "dy", "zoom");

    /** How JPEG's ways of keeping colour are known everywhere. */
    static final String FULL_COLOUR = "4:4:4";

    static final String HALF_COLOUR = "4:2:0";

    private DocumentFields() {}
}
