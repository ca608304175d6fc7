package nexa.store.user;

import java.util.List;
import java.util.Optional;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.find.ThingKind;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.level.LevelLine;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import nexa.store.document.PreparationCodec;
import nexa.store.document.SubjectCodec;
import nexa.store.json.Codec;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.ObjectCodec;

/** What was found in a photo. */
final class FoundCodec {
    private static final Codec<LevelLine> LINE = Json.NUMBER
            .list(5)
            .as(
                    numbers -> new LevelLine(
                            new Segment(
                                    new Point(numbers.get(0), numbers.get(1)),
                                    new Point(numbers.get(2), numbers.get(3))),
                            numbers.get(4)),
                    line -> List.of(
                            line.segment().from().x(),
                            line.segment().from().y(),
                            line.segment().to().x(),
                            line.segment().to().y(),
                            line.convergence()));

    private static final Field<FoundLevel, Certainty> CERTAINTY =
            Field.required("certainty", Json.oneOf(Certainty.class), FoundLevel::certainty);
    private static final Field<FoundLevel, FoundLevel.Reason> LEVEL_BY =
            Field.required("reason", Json.oneOf(FoundLevel.Reason.class), FoundLevel::reason);
    private static final Field<FoundLevel, Double> LEAN = Field.required("lean", Json.NUMBER, FoundLevel::lean);
    private static final Field<FoundLevel, Double> UNCERTAINTY =
            Field.required("uncertainty", Json.NUMBER, FoundLevel::uncertainty);
    private static final Field<FoundLevel, List<LevelLine>> LINES =
            Field.required("lines", LINE.list(), FoundLevel::lines);
    static final ObjectCodec<FoundLevel> LEVEL = new ObjectCodec<>(
            at -> new FoundLevel(CERTAINTY.in(at), LEVEL_BY.in(at), LEAN.in(at), UNCERTAINTY.in(at), LINES.in(at)),
            CERTAINTY,
            LEVEL_BY,
            LEAN,
            UNCERTAINTY,
            LINES);

    private static final Field<FoundTrim, FoundTrim.Reason> TRIM_BY =
            Field.required("reason", Json.oneOf(FoundTrim.Reason.class), FoundTrim::reason);
    private static final Field<FoundTrim, Double> TRIM_CONFIDENCE =
            Field.required("confidence", Json.NUMBER, FoundTrim::confidence);
    private static final Field<FoundTrim, Trim> SIDES = PreparationCodec.trim(FoundTrim::trim);
    static final ObjectCodec<FoundTrim> TRIM = new ObjectCodec<>(
            at -> new FoundTrim(TRIM_BY.in(at), SIDES.in(at), TRIM_CONFIDENCE.in(at)), TRIM_BY, TRIM_CONFIDENCE, SIDES);

    private static final Field<FoundSubject, FoundSubject.Reason> SUBJECT_BY =
            Field.required("reason", Json.oneOf(FoundSubject.Reason.class), FoundSubject::reason);
    private static final Field<FoundSubject, Integer> COUNT =
            Field.unless("count", 1, Json.WHOLE, found -> found.named().count());
    private static final Field<FoundSubject, Optional<ThingKind>> THING = Field.optional(
            "thing", Json.oneOf(ThingKind.class), found -> found.named().thing());
    private static final Field<FoundSubject, Double> SUBJECT_CONFIDENCE =
            Field.required("confidence", Json.NUMBER, FoundSubject::confidence);
    private static final Field<FoundSubject, Optional<Subject>> SPOT =
            Field.optional("subject", SubjectCodec.SUBJECT, FoundSubject::subject);
    static final ObjectCodec<FoundSubject> SUBJECT = new ObjectCodec<>(
            at -> new FoundSubject(
                    new FoundSubject.Named(SUBJECT_BY.in(at), COUNT.in(at), THING.in(at)),
                    SPOT.in(at),
                    SUBJECT_CONFIDENCE.in(at)),
            SUBJECT_BY,
            COUNT,
            THING,
            SUBJECT_CONFIDENCE,
            SPOT);

    private FoundCodec() {}
}
