package nexa.store.document;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.shoot.Extent;
import nexa.core.shoot.Eyes;
import nexa.core.shoot.Subject;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.JsonPlace;
import nexa.store.json.ObjectCodec;
import nexa.store.json.ValidationError;

/** A subject. */
public final class SubjectCodec {
    private static final Field<Subject, Point> AT = Field.required("at", Json.POINT, Subject::at);
    private static final Field<Subject, OptionalDouble> RADIUS =
            Field.unless("radius", OptionalDouble.empty(), Json.SOME_NUMBER, Subject::radius);
    private static final Field<Subject, Optional<Extent>> EXTENT = Field.optional(
            "extent",
            Json.NUMBER
                    .list(4)
                    .as(
                            sides -> new Extent(sides.get(0), sides.get(1), sides.get(2), sides.get(3)),
                            extent -> List.of(extent.left(), extent.top(), extent.right(), extent.bottom())),
            Subject::extent);
    private static final Field<Subject, Optional<List<Point>>> EYES = Field.optional(
            "eyes", Json.POINT.list(2), subject -> subject.eyes().map(eyes -> List.of(eyes.one(), eyes.other())));
    private static final Field<Subject, Optional<Point>> NOSE =
            Field.optional("nose", Json.POINT, subject -> subject.eyes().flatMap(Eyes::nose));

    public static final ObjectCodec<Subject> SUBJECT =
            new ObjectCodec<>(SubjectCodec::read, AT, RADIUS, EXTENT, EYES, NOSE);

    private SubjectCodec() {}

    private static Subject read(JsonPlace at) throws ValidationError {
        Optional<List<Point>> eyes = EYES.in(at);
        Optional<Point> nose = NOSE.in(at);
        return new Subject(
                AT.in(at), RADIUS.in(at), EXTENT.in(at), eyes.map(both -> new Eyes(both.get(0), both.get(1), nose)));
    }
}
