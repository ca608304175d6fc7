package nexa.desktop.tool.perspective;

import java.util.ArrayList;
import java.util.List;
import nexa.core.shape.SceneLines;

/** What a perspective can be made of from lines: those of one kind parallel, or those of both kinds square. */
public enum LinesUse {
    UPRIGHTS("lines.makeUprights"),
    LEVELS("lines.makeLevels"),
    FACE_ON("lines.faceOn");

    private final String key;

    LinesUse(String key) {
        this.key = key;
    }

    /** Of its words in the bundle. */
    public String key() {
        return key;
    }

    /** What a button for it is known by, after what the bar puts before. */
    public String id(String before) {
        return before + key.substring(key.indexOf('.') + 1);
    }

    /** The lines it goes by. */
    SceneLines of(SceneLines lines) {
        return switch (this) {
            case UPRIGHTS -> new SceneLines(lines.uprights(), List.of());
            case LEVELS -> new SceneLines(List.of(), lines.levels());
            case FACE_ON -> lines;
        };
    }

    /** Those that lines are enough for. */
    public static List<LinesUse> offered(SceneLines lines) {
        List<LinesUse> offered = new ArrayList<>();
        if (lines.uprights().size() > 1) {
            offered.add(UPRIGHTS);
        }
        if (lines.levels().size() > 1) {
            offered.add(LEVELS);
        }
        if (offered.size() == 2) {
            offered.add(FACE_ON);
        }
        return offered;
    }

    /** What lines that were used so were used for. */
    static LinesUse by(SceneLines lines) {
        return lines.isBoth() ? FACE_ON : lines.uprights().isEmpty() ? LEVELS : UPRIGHTS;
    }
}
