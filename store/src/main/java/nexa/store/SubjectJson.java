package nexa.store;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.OptionalDouble;
import nexa.core.geometry.Point;
import nexa.core.shoot.Subject;

/** A subject as it is written in a JSON object. */
final class SubjectJson {
    private SubjectJson() {}

    static void write(Subject subject, ObjectNode spot) {
        spot.putArray("at").add(subject.at().x()).add(subject.at().y());
        subject.radius().ifPresent(radius -> spot.put("radius", radius));
    }

    static Subject read(JsonPlace place) throws JsonPlace.Misfit {
        List<JsonPlace> at = place.required("at").list(2);
        Point point = new Point(at.get(0).number(), at.get(1).number());
        OptionalDouble radius =
                place.optional("radius", OptionalDouble.empty(), found -> OptionalDouble.of(found.number()));
        return place.make(() -> new Subject(point, radius));
    }
}
