package nexa.store.document;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import nexa.core.format.Asks;
import nexa.core.geometry.Point;
import nexa.store.json.Codec;
import nexa.store.json.Field;
import nexa.store.json.Json;
import nexa.store.json.JsonPlace;
import nexa.store.json.ObjectCodec;
import nexa.store.json.ValidationError;

/** What is asked of a format's crops. */
final class AsksCodec {
    private static final Codec<Asks.Share> SHARES = Json.NUMBER
            .list(2)
            .as(ends -> new Asks.Share(ends.get(0), ends.get(1)), share -> List.of(share.least(), share.most()));
    private static final Field<Asks, Optional<Asks.Share>> SHARE = Field.optional("share", SHARES, Asks::share);
    private static final Field<Asks, Optional<Point>> PLACE = Field.optional("place", Json.POINT, Asks::place);
    private static final Field<Asks, OptionalDouble> EYES = number("eyes", Asks::eyes);
    private static final Field<Asks, Double> WITHIN =
            Field.unless("within", Asks.USUAL_WITHIN, Json.NUMBER, Asks::within);
    private static final Field<Asks, OptionalDouble> ROOM = number("room", Asks::room);
    private static final Field<Asks, OptionalDouble> LEVEL = number("level", Asks::level);
    private static final Field<Asks, Boolean> ALL_PHOTO = Field.unless("allPhoto", false, Json.FLAG, Asks::allPhoto);
    private static final Field<Asks, OptionalDouble> LEAST_PPI = number("leastPpi", Asks::leastPpi);

    static final ObjectCodec<Asks> ASKS =
            new ObjectCodec<>(AsksCodec::read, SHARE, PLACE, EYES, WITHIN, ROOM, LEVEL, ALL_PHOTO, LEAST_PPI);

    private AsksCodec() {}

    private static Field<Asks, OptionalDouble> number(String name, Function<Asks, OptionalDouble> getter) {
        return Field.unless(name, OptionalDouble.empty(), Json.SOME_NUMBER, getter);
    }

    private static Asks read(JsonPlace at) throws ValidationError {
        return new Asks(
                SHARE.in(at),
                PLACE.in(at),
                EYES.in(at),
                WITHIN.in(at),
                ROOM.in(at),
                LEVEL.in(at),
                ALL_PHOTO.in(at),
                LEAST_PPI.in(at));
    }
}
