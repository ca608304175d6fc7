package nexa.store;

import java.util.Set;

/** The fields of the shoot document that this version knows. Others are kept as they are. */
final class DocumentFields {
    static final int VERSION = 1;
    static final Set<String> SHOOT = Set.of("nexa", "title", "order", "formats", "photos");
    static final Set<String> FORMAT =
            Set.of("id", "name", "ratio", "turn", "size", "leads", "tolerance", "goes", "file");
    static final Set<String> SIZE = Set.of("width", "height", "longEdge", "unit", "ppi");
    static final Set<String> LEADS = Set.of("wide", "tall");
    static final Set<String> TOLERANCE = Set.of("tightness", "position");
    static final Set<String> FILE = Set.of("type", "quality", "colour", "folder", "name");
    static final Set<String> PHOTO = Set.of("file", "pixels", "turn", "mirror", "mark", "angle", "subject", "crops");
    static final Set<String> SUBJECT = Set.of("at", "radius");
    static final Set<String> CROP = Set.of("state", "centre", "size", "turn", "tune", "carry", "accepted", "done");
    static final Set<String> TUNE = Set.of("dx", "dy", "zoom");

    private DocumentFields() {}
}
