package nexa.store;

import java.util.List;

/** The fields of the shoot document that this version knows. Others are kept as they are. */
final class DocumentFields {
    static final int VERSION = 1;
    static final KnownFields SHOOT =
            KnownFields.of("nexa", "edit", "continues", "title", "order", "pairs", "formats", "photos");
    static final String EDIT = "edit";
    static final String CONTINUES = "continues";

    /** Said of a format that {@linkplain nexa.core.format.Going#WAITS waits}. */
    static final String WAITS = "waits";

    static final KnownFields FORMAT = KnownFields.of("id", "name", "ratio", "turn", "goes", "reaches")
            .with("size", KnownFields.of("width", "height", "longEdge", "unit", "ppi"))
            .with("leads", KnownFields.of("wide", "tall").orBare())
            .with("tolerance", KnownFields.of("tightness", "position"))
            .with(
                    "file",
                    KnownFields.of(
                            "type", "quality", "sampling", "depth", "colour", "enlarge", "pixels", "folder", "name"));

    /** Of a photo, whose crops are kept one by one. */
    static final KnownFields PHOTO = KnownFields.of("file", "raw", "pixels", "mark", "crops")
            .with("identity", KnownFields.of("bytes", "digest"))
            .with("subject", KnownFields.of("at", "radius"))
            .with(PreparationJson.FIELDS);

    static final KnownFields CROP = KnownFields.of(
                    "state", "centre", "size", "turn", "carry", "accepted", "done", "reaches")
            .with("tune", KnownFields.of("dx", "dy", "zoom").orBare())
            .with("beyond", BeyondJson.FIELDS);

    /** Of a crop that does not follow: of it, what says something of followers alone says nothing that is known. */
    static final KnownFields CROP_ON_ITS_OWN = CROP.without("tune", "carry", "accepted");

    /** What cannot be said of a crop without a state. */
    static final List<String> NOT_WITHOUT_STATE = List.of("centre", "size", "tune", "carry");

    /** How JPEG's ways of keeping colour are known everywhere. */
    static final String FULL_COLOUR = "4:4:4";

    static final String HALF_COLOUR = "4:2:0";

    private DocumentFields() {}
}
