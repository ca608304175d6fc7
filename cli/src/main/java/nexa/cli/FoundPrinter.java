package nexa.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import nexa.core.find.Certainty;
import nexa.core.find.Found;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.message.EnumName;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;

/** What was found in a photo, as lines for people or as one JSON object. */
final class FoundPrinter {
    private final String file;
    private final String whyNot;
    private final List<FindCommand.What> asked;
    private final Map<FindCommand.What, Found> found;

    /** @param whyNot why the photo was not looked at, where nothing is known of it */
    FoundPrinter(String file, String whyNot, List<FindCommand.What> asked, Map<FindCommand.What, Found> found) {
        this.file = file;
        this.whyNot = whyNot;
        this.asked = asked;
        this.found = found;
    }

    /** A line for each thing asked for: the file, what was found or a dash, how sure that is, and why. */
    List<String> lines() {
        List<String> lines = new ArrayList<>();
        for (FindCommand.What what : asked) {
            Optional<Found> one = Optional.ofNullable(found.get(what));
            lines.add(String.join(
                    "\t",
                    file,
                    one.filter(Found::isSomething).map(FoundPrinter::value).orElse("–"),
                    one.map(known -> EnumName.of(known.certainty(), " ")).orElse(""),
                    one.map(FoundPrinter::reason).orElse(whyNot)));
        }
        return lines;
    }

    private static String value(Found found) {
        if (found instanceof FoundLevel level) {
            return String.format(Locale.ROOT, "%.2f°", level.lean());
        }
        if (found instanceof FoundTrim border) {
            Trim trim = border.trim();
            return String.format(
                    Locale.ROOT,
                    "%.2f %% %.2f %% %.2f %% %.2f %%",
                    100 * trim.left(),
                    100 * trim.top(),
                    100 * trim.right(),
                    100 * trim.bottom());
        }
        return ((FoundSubject) found)
                .subject()
                .map(subject -> String.format(
                        Locale.ROOT,
                        "%.3f, %.3f; %.3f",
                        subject.at().x(),
                        subject.at().y(),
                        subject.radius().orElse(0)))
                .orElse("–");
    }

    private static String reason(Found found) {
        return EnumName.of(found.reason(), "-");
    }

    /** One object for all that was asked for; where that is several things, reasons and confidences by their names. */
    ObjectNode json() {
        ObjectNode node = JsonNodeFactory.instance.objectNode().put("file", file);
        boolean isOne = asked.size() == 1;
        ObjectNode reasons = isOne ? node : node.putObject("reason");
        boolean hasConfidence = asked.stream().anyMatch(what -> what != FindCommand.What.LEVEL);
        ObjectNode confidences = isOne || !hasConfidence ? node : node.putObject("confidence");
        for (FindCommand.What what : asked) {
            Optional<Found> one = Optional.ofNullable(found.get(what));
            String name = EnumName.of(what);
            reasons.put(isOne ? "reason" : name, one.map(FoundPrinter::reason).orElse(whyNot));
            if (what == FindCommand.What.LEVEL) {
                putLevel(one.map(FoundLevel.class::cast), node);
            } else {
                String key = isOne ? "confidence" : name;
                confidences.put(key, one.map(FoundPrinter::confidence).orElse(null));
                putPlace(name, one.filter(Found::isSomething), node);
            }
        }
        return node;
    }

    private static void putLevel(Optional<FoundLevel> level, ObjectNode node) {
        node.put("found", lean(level, Certainty.SURE));
        node.put("likely", lean(level, Certainty.LIKELY));
        node.put(
                "uncertainty",
                level.filter(Found::isSomething).map(FoundLevel::uncertainty).orElse(null));
    }

    private static Double lean(Optional<FoundLevel> level, Certainty certainty) {
        return level.filter(found -> found.certainty() == certainty)
                .map(FoundLevel::lean)
                .orElse(null);
    }

    private static double confidence(Found found) {
        return found instanceof FoundTrim border ? border.confidence() : ((FoundSubject) found).confidence();
    }

    private static ArrayNode put(ArrayNode node, Point place) {
        return node.add(place.x()).add(place.y());
    }

    private static void putPlace(String name, Optional<Found> found, ObjectNode node) {
        if (found.isEmpty()) {
            node.putNull(name);
        } else if (found.get() instanceof FoundTrim border) {
            Trim trim = border.trim();
            node.putArray(name)
                    .add(trim.left())
                    .add(trim.top())
                    .add(trim.right())
                    .add(trim.bottom());
        } else if (found.get() instanceof FoundSubject known) {
            Subject subject = known.subject().orElseThrow();
            ObjectNode spot = node.putObject(name);
            put(spot.putArray("at"), subject.at());
            spot.put("radius", subject.radius().orElseThrow());
            Bounds box = subject.box();
            put(put(spot.putArray("box"), box.least()), box.most());
            spot.put("kind", reason(known));
            subject.eyes().ifPresent(eyes -> {
                ArrayNode both = spot.putArray("eyes");
                put(both.addArray(), subject.at().plus(eyes.one()));
                put(both.addArray(), subject.at().plus(eyes.other()));
            });
        }
    }
}
