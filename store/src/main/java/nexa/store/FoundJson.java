package nexa.store;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.find.Certainty;
import nexa.core.find.Found;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.level.LevelLine;
import nexa.core.message.EnumName;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;

/** What was found in a photo, as fields of a JSON object. */
final class FoundJson {
    private static final String LEVEL = "level";
    private static final String TRIM = "trim";
    private static final String SUBJECT = "subject";

    private FoundJson() {}

    /** By what name the kinds of what is found are told apart. */
    static String kind(Class<? extends Found> what) {
        if (what == FoundLevel.class) {
            return LEVEL;
        }
        return what == FoundTrim.class ? TRIM : SUBJECT;
    }

    static void write(Found found, ObjectNode json) {
        if (found instanceof FoundLevel level) {
            write(level, json);
        } else if (found instanceof FoundTrim trim) {
            json.put("reason", EnumName.of(trim.reason())).put("confidence", trim.confidence());
            PreparationJson.write(trim.trim(), json);
        } else if (found instanceof FoundSubject subject) {
            json.put("reason", EnumName.of(subject.reason())).put("confidence", subject.confidence());
            subject.subject().ifPresent(spot -> SubjectJson.write(spot, json.putObject(SUBJECT)));
        }
    }

    static Found read(String kind, JsonPlace json) throws JsonPlace.Misfit {
        return switch (kind) {
            case LEVEL -> level(json);
            case TRIM -> {
                FoundTrim.Reason reason = json.required("reason").oneOf(FoundTrim.Reason.class);
                double confidence = json.required("confidence").number();
                Trim trim = PreparationJson.readTrim(json);
                yield json.make(() -> new FoundTrim(reason, trim, confidence));
            }
            case SUBJECT -> {
                FoundSubject.Reason reason = json.required("reason").oneOf(FoundSubject.Reason.class);
                double confidence = json.required("confidence").number();
                Optional<Subject> subject = json.ifThere(SUBJECT, SubjectJson::read);
                yield json.make(() -> new FoundSubject(reason, subject, confidence));
            }
            default -> throw json.misfitAt("what", "misfit.oneOf", String.join(", ", LEVEL, TRIM, SUBJECT), kind);
        };
    }

    private static void write(FoundLevel level, ObjectNode json) {
        json.put("certainty", EnumName.of(level.certainty()))
                .put("reason", EnumName.of(level.reason()))
                .put("lean", level.lean())
                .put("uncertainty", level.uncertainty());
        ArrayNode lines = json.putArray("lines");
        for (LevelLine line : level.lines()) {
            Segment at = line.segment();
            lines.addArray()
                    .add(at.from().x())
                    .add(at.from().y())
                    .add(at.to().x())
                    .add(at.to().y())
                    .add(line.convergence());
        }
    }

    private static FoundLevel level(JsonPlace json) throws JsonPlace.Misfit {
        List<LevelLine> lines = new ArrayList<>();
        for (JsonPlace line : json.required("lines").list()) {
            List<JsonPlace> numbers = line.list(5);
            lines.add(new LevelLine(
                    new Segment(point(numbers.get(0), numbers.get(1)), point(numbers.get(2), numbers.get(3))),
                    numbers.get(4).number()));
        }
        return new FoundLevel(
                json.required("certainty").oneOf(Certainty.class),
                json.required("reason").oneOf(FoundLevel.Reason.class),
                json.required("lean").number(),
                json.required("uncertainty").number(),
                lines);
    }

    private static Point point(JsonPlace x, JsonPlace y) throws JsonPlace.Misfit {
        return new Point(x.number(), y.number());
    }
}
