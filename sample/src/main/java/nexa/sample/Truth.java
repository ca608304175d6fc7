package nexa.sample;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** What was drawn, for tests and benches: never read by the application. */
final class Truth {
    private Truth() {}

    /** A list of objects: file, size as seen, lean in degrees (levelling turns by −lean), subject and radius as fractions. */
    static String json(List<Shot> shots) {
        return shots.stream().map(Truth::json).collect(Collectors.joining(",\n", "[\n", "\n]\n"));
    }

    private static String json(Shot shot) {
        Photograph photo = shot.photo();
        String subject = shot.subjectPlace()
                .map(place -> String.format(
                        Locale.ROOT, ", \"subject\": [%.5f, %.5f], \"radius\": %.5f", place[0], place[1], place[2]))
                .orElse("");
        return String.format(
                Locale.ROOT,
                "  { \"file\": \"%s\", \"pixels\": [%d, %d], \"lean\": %s, \"horizon\": %s, \"barrel\": %s, \"readable\": %s%s }",
                shot.file(),
                photo.width(),
                photo.height(),
                photo.camera().lean(),
                shot.hasHorizon(),
                photo.camera().barrel(),
                shot.storage() != Storage.DAMAGED,
                subject);
    }
}
