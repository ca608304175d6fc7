package nexa.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.MissingNode;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * How a list of things is written of which each has a name of its own, by which it is known again.
 *
 * @param key the field of their name
 * @param twice the key of what is said where a name stands twice
 */
public record NamedList<T>(Codec<T> codec, String key, Function<T, String> name, String twice)
        implements Codec<List<T>> {
    @Override
    public List<T> read(JsonPlace place) throws ValidationError {
        Map<String, T> named = new LinkedHashMap<>();
        for (JsonPlace one : place.list()) {
            T value = codec.read(one);
            if (named.put(name.apply(value), value) != null) {
                throw one.misfitAt(key, twice, name.apply(value));
            }
        }
        return List.copyOf(named.values());
    }

    @Override
    public ArrayNode write(List<T> values, JsonNode earlier) {
        Map<String, JsonNode> before = byName(earlier, key);
        ArrayNode list = JsonNodeFactory.instance.arrayNode();
        values.forEach(value ->
                list.add(codec.write(value, before.getOrDefault(name.apply(value), MissingNode.getInstance()))));
        return list;
    }

    /** The objects of a list by their names. */
    public static Map<String, JsonNode> byName(JsonNode list, String key) {
        Map<String, JsonNode> named = new HashMap<>();
        list.forEach(node -> named.put(node.path(key).asText(), node));
        return named;
    }
}
