package nexa.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.cli.FindCommand.What;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Eyes;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import org.junit.jupiter.api.Test;

/** What was found in a photo is a line each for people, and one object for programs. */
class FoundPrinterTest {
    private static final List<What> ALL = List.of(What.LEVEL, What.TRIM, What.SUBJECT);
    private static final FoundLevel LEVEL =
            new FoundLevel(Certainty.LIKELY, FoundLevel.Reason.HORIZON, -1.25, 0.05, List.of());
    private static final FoundTrim BORDER =
            new FoundTrim(FoundTrim.Reason.PLAIN_SIDES, new Trim(0, 0.1, 0, 0.125), 0.8);
    private static final FoundSubject NONE = FoundSubject.none(FoundSubject.Reason.SEVERAL_ALIKE, 0.2);

    @Test
    void aLineTellsEachThing() {
        FoundPrinter printer = new FoundPrinter(
                "a.jpg", "unreadable", ALL, Map.of(What.LEVEL, LEVEL, What.TRIM, BORDER, What.SUBJECT, NONE));
        assertThat(printer.lines())
                .containsExactly(
                        "a.jpg\t-1.25°\tlikely\thorizon",
                        "a.jpg\t0.00 % 10.00 % 0.00 % 12.50 %\tsure\tplain-sides",
                        "a.jpg\t–\tnot sure\tseveral-alike");
        FoundPrinter broken = new FoundPrinter("b.jpg", "unreadable", List.of(What.TRIM), Map.of());
        assertThat(broken.lines()).containsExactly("b.jpg\t–\t\tunreadable");
    }

    @Test
    void anObjectHoldsAllWithReasonsAndConfidencesByName() {
        JsonNode told = new FoundPrinter(
                        "a.jpg", "unreadable", ALL, Map.of(What.LEVEL, LEVEL, What.TRIM, BORDER, What.SUBJECT, NONE))
                .json();
        assertThat(told.get("found").isNull()).isTrue();
        assertThat(told.get("likely").asDouble()).isEqualTo(-1.25);
        assertThat(told.get("trim").get(3).asDouble()).isEqualTo(0.125);
        assertThat(told.get("subject").isNull()).isTrue();
        assertThat(told.get("reason").get("level").asText()).isEqualTo("horizon");
        assertThat(told.get("reason").get("subject").asText()).isEqualTo("several-alike");
        assertThat(told.get("confidence").get("trim").asDouble()).isEqualTo(0.8);
    }

    @Test
    void askedForOneThingReasonAndConfidenceAreItsOwn() {
        Subject spot = Subject.around(
                        new Point(0.25, 0.5),
                        new Bounds(new Point(0.125, 0.375), new Point(0.375, 0.625)),
                        new Size(600, 600))
                .withEyes(Optional.of(new Eyes(
                        new Point(-0.0625, -0.0625), new Point(0.0625, -0.0625), Optional.of(new Point(0, 0)))));
        FoundSubject face = new FoundSubject(FoundSubject.Named.persons(1), Optional.of(spot), 0.9);
        JsonNode told =
                new FoundPrinter("a.jpg", "unreadable", List.of(What.SUBJECT), Map.of(What.SUBJECT, face)).json();
        assertThat(told.get("subject").get("at").get(0).asDouble()).isEqualTo(0.25);
        assertThat(told.get("subject").get("radius").asDouble()).isEqualTo(0.125);
        assertThat(told.get("subject").get("box").toString()).isEqualTo("[0.125,0.375,0.375,0.625]");
        assertThat(told.get("subject").get("kind").asText()).isEqualTo("person");
        assertThat(told.get("subject").get("eyes").toString()).isEqualTo("[[0.1875,0.4375],[0.3125,0.4375]]");
        assertThat(told.get("reason").asText()).isEqualTo("person");
        assertThat(told.get("confidence").asDouble()).isEqualTo(0.9);
        JsonNode level = new FoundPrinter("a.jpg", "unreadable", List.of(What.LEVEL), Map.of(What.LEVEL, LEVEL)).json();
        assertThat(level.has("confidence")).as("levels have an uncertainty").isFalse();
        JsonNode broken = new FoundPrinter("b.jpg", "unreadable", List.of(What.TRIM), Map.of()).json();
        assertThat(broken.get("trim").isNull()).isTrue();
        assertThat(broken.get("reason").asText()).isEqualTo("unreadable");
    }
}
