package nexa.store.document;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.shoot.Subject;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.ObjectCodec;

/** A subject. */
public final class SubjectCodec {
    private static final Field<Subject, Point> AT = Field.required("at", Json.POINT, Subject::at);
    private static final Field<Subject, Optional<Double>> RADIUS =
            Field.optional("radius", Json.NUMBER, SubjectCodec::radius);

    public static final ObjectCodec<Subject> SUBJECT =
            new ObjectCodec<>(at -> new Subject(AT.in(at), radius(RADIUS.in(at))), AT, RADIUS);

    private SubjectCodec() {}

    static Optional<Double> radius(Subject subject) {
        return subject.radius().stream().boxed().findFirst();
    }

    static OptionalDouble radius(Optional<Double> radius) {
        return radius.stream().mapToDouble(Double::doubleValue).findFirst();
    }
}
