package nexa.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
import java.util.function.Function;

/**
 * A field of an object: its name, how it is written, and what it is where it is not there.
 *
 * @param <T> what the object is of
 * @param <V> what the field is of
 */
public final class Field<T, V> {
    private final String name;
    private final Codec<V> codec;
    private final Function<T, V> getter;
    /** Empty for a field that has to be there. */
    private final Optional<V> usual;

    private final boolean isLeftOut;
    private final boolean mayBeBare;

    private Field(
            String name,
            Codec<V> codec,
            Function<T, V> getter,
            Optional<V> usual,
            boolean isLeftOut,
            boolean mayBeBare) {
        this.name = name;
        this.codec = codec;
        this.getter = getter;
        this.usual = usual;
        this.isLeftOut = isLeftOut;
        this.mayBeBare = mayBeBare;
    }

    /** One that has to be there. */
    public static <T, V> Field<T, V> required(String name, Codec<V> codec, Function<T, V> getter) {
        return new Field<>(name, codec, getter, Optional.empty(), false, false);
    }

    /** One that is written always, and counts as usual where it is not there. */
    public static <T, V> Field<T, V> usually(String name, V usual, Codec<V> codec, Function<T, V> getter) {
        return new Field<>(name, codec, getter, Optional.of(usual), false, false);
    }

    /** One that is not there where it is as usual. */
    public static <T, V> Field<T, V> unless(String name, V usual, Codec<V> codec, Function<T, V> getter) {
        return new Field<>(name, codec, getter, Optional.of(usual), true, false);
    }

    /** One that may not be there. */
    public static <T, V> Field<T, Optional<V>> optional(String name, Codec<V> codec, Function<T, Optional<V>> getter) {
        Codec<Optional<V>> ifThere = new Codec<>() {
            @Override
            public Optional<V> read(JsonPlace place) throws ValidationError {
                return Optional.of(codec.read(place));
            }

            @Override
            public JsonNode write(Optional<V> value, JsonNode earlier) {
                return codec.write(value.orElseThrow(), earlier);
            }
        };
        return unless(name, Optional.empty(), ifThere, getter);
    }

    /** The same, an object that may hold nothing but what is not known, which says as much as no object. */
    public Field<T, V> orBare() {
        return new Field<>(name, codec, getter, usual, isLeftOut, true);
    }

    /** The same of an object of which this one's is a part, whose fields stand among that object's. */
    public <S> Field<S, V> of(Function<S, T> part) {
        return new Field<>(name, codec, part.andThen(getter), usual, isLeftOut, mayBeBare);
    }

    public String name() {
        return name;
    }

    /** What it is in an object. */
    public V in(JsonPlace object) throws ValidationError {
        return usual.isPresent() ? object.optional(name, usual.get(), codec::read) : codec.read(object.required(name));
    }

    void write(T value, ObjectNode object, JsonNode earlier) {
        V said = getter.apply(value);
        if (!isLeftOut || !usual.equals(Optional.of(said))) {
            JsonNode written = codec.write(said, earlier.path(name));
            if (!written.isMissingNode()) {
                object.set(name, written);
            }
        }
    }

    /** Keeps of an object that is not there any more what is not known of it. */
    void keepBare(ObjectNode object, JsonNode earlier) {
        if (mayBeBare && !object.has(name) && earlier.path(name).isObject()) {
            ObjectNode bare = codec.unknown(earlier.path(name));
            if (!bare.isEmpty()) {
                object.set(name, bare);
            }
        }
    }
}
