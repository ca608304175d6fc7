package nexa.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** How a value is written as an object: by its fields. Those that are not known stay as they were. */
public final class ObjectCodec<T> implements Codec<T> {
    private final JsonPlace.Reading<T> making;
    private final List<Field<T, ?>> fields;
    private final Set<String> names;

    /** @param making makes the value of its fields, in an object; rejects what does not fit together */
    @SafeVarargs
    public ObjectCodec(JsonPlace.Reading<T> making, Field<T, ?>... fields) {
        this(making, List.of(fields));
    }

    public ObjectCodec(JsonPlace.Reading<T> making, List<Field<T, ?>> fields) {
        this.making = making;
        this.fields = List.copyOf(fields);
        this.names = this.fields.stream().map(Field::name).collect(Collectors.toUnmodifiableSet());
    }

    /** The same fields, of an object of which this value is a part. */
    public <S> List<Field<S, ?>> fieldsOf(Function<S, T> part) {
        List<Field<S, ?>> all = new ArrayList<>();
        fields.forEach(field -> all.add(field.of(part)));
        return all;
    }

    /** The same without some fields, which mean nothing where it is used and are kept as they are. */
    public ObjectCodec<T> without(String... names) {
        Set<String> left = Set.of(names);
        return new ObjectCodec<>(
                making,
                fields.stream().filter(field -> !left.contains(field.name())).toList());
    }

    @Override
    public T read(JsonPlace place) throws ValidationError {
        place.object();
        return place.make(() -> making.at(place));
    }

    @Override
    public ObjectNode write(T value, JsonNode earlier) {
        ObjectNode object = JsonNodeFactory.instance.objectNode();
        fields.forEach(field -> field.write(value, object, earlier));
        object.setAll(unknown(earlier));
        fields.forEach(field -> field.keepBare(object, earlier));
        return object;
    }

    @Override
    public ObjectNode unknown(JsonNode earlier) {
        ObjectNode unknown = JsonNodeFactory.instance.objectNode();
        earlier.properties().forEach(field -> {
            if (!names.contains(field.getKey())) {
                unknown.set(field.getKey(), field.getValue());
            }
        });
        return unknown;
    }
}
