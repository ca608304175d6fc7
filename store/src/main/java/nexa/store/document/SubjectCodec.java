package nexa.store.document;

import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.shoot.Subject;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.ObjectCodec;

/** A subject. */
public final class SubjectCodec {
    private static final Field<Subject, Point> AT = Field.required("at", Json.POINT, Subject::at);
    private static final Field<Subject, OptionalDouble> RADIUS =
            Field.unless("radius", OptionalDouble.empty(), Json.SOME_NUMBER, Subject::radius);

    public static final ObjectCodec<Subject> SUBJECT =
            new ObjectCodec<>(at -> new Subject(AT.in(at), RADIUS.in(at)), AT, RADIUS);

    private SubjectCodec() {}
}
