package nexa.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** How values of a kind are written as JSON, and read from it strictly. */
public interface Codec<T> {
    T read(JsonPlace place) throws ValidationError;

    /**
     * Writes a value.
     *
     * @param earlier what was written before in its place, of which what is not known stays; a missing node for nothing
     * @return a missing node for what says nothing
     */
    JsonNode write(T value, JsonNode earlier);

    /** What of a value as it was written is not known; nothing of one that is no object. */
    default ObjectNode unknown(JsonNode earlier) {
        return JsonNodeFactory.instance.objectNode();
    }

    static <T> Codec<T> of(JsonPlace.Reading<T> reading, Function<T, JsonNode> writing) {
        return new Codec<>() {
            @Override
            public T read(JsonPlace place) throws ValidationError {
                return reading.at(place);
            }

            @Override
            public JsonNode write(T value, JsonNode earlier) {
                return writing.apply(value);
            }
        };
    }

    /**
     * How values are written that can be made of these.
     *
     * @param making rejects what makes none as {@link nexa.core.message.Rejected}
     */
    default <U> Codec<U> as(Function<T, U> making, Function<U, T> of) {
        Codec<T> made = this;
        return new Codec<>() {
            @Override
            public U read(JsonPlace place) throws ValidationError {
                T value = made.read(place);
                return place.make(() -> making.apply(value));
            }

            @Override
            public JsonNode write(U value, JsonNode earlier) {
                return made.write(of.apply(value), earlier);
            }
        };
    }

    /** How a list of these is written. */
    default Codec<List<T>> list() {
        return of(
                place -> {
                    List<T> values = new ArrayList<>();
                    for (JsonPlace one : place.list()) {
                        values.add(read(one));
                    }
                    return values;
                },
                values -> {
                    ArrayNode list = JsonNodeFactory.instance.arrayNode();
                    values.forEach(value -> list.add(write(value, MissingNode.getInstance())));
                    return list;
                });
    }

    /** How a list of just so many of these is written. */
    default Codec<List<T>> list(int count) {
        Codec<List<T>> any = list();
        return of(
                place -> {
                    place.list(count);
                    return any.read(place);
                },
                values -> any.write(values, MissingNode.getInstance()));
    }
}
