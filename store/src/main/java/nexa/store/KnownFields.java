package nexa.store;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * The fields of an object that this version knows, and those of the objects in it. Others are kept when the object is written
 * again.
 *
 * @param names all of them, with those that are objects
 * @param below of those that are objects, by name
 * @param mayBeBare whether the object may hold nothing but what is not known, which says as much as no object
 */
record KnownFields(Set<String> names, Map<String, KnownFields> below, boolean mayBeBare) {

    static KnownFields of(String... names) {
        return new KnownFields(Set.of(names), Map.of(), false);
    }

    /** The same, which may hold nothing but what is not known. */
    KnownFields orBare() {
        return new KnownFields(names, below, true);
    }

    /** With an object, and the fields that are known of it. */
    KnownFields with(String name, KnownFields fields) {
        return with(new KnownFields(Set.of(name), Map.of(name, fields), false));
    }

    /** With all fields of another one. */
    KnownFields with(KnownFields others) {
        Set<String> allNames = new HashSet<>(names);
        allNames.addAll(others.names);
        Map<String, KnownFields> allBelow = new HashMap<>(below);
        allBelow.putAll(others.below);
        return new KnownFields(Set.copyOf(allNames), Map.copyOf(allBelow), mayBeBare);
    }

    /** Without some, which mean nothing where it is used and are kept as they are. */
    KnownFields without(String... others) {
        Set<String> fewer = new HashSet<>(names);
        fewer.removeAll(Set.of(others));
        Map<String, KnownFields> fewerBelow = new HashMap<>(below);
        fewerBelow.keySet().retainAll(fewer);
        return new KnownFields(Set.copyOf(fewer), Map.copyOf(fewerBelow), mayBeBare);
    }

    /** An object written afresh with what is not known of it as it was before, all through. */
    ObjectNode keeping(ObjectNode fresh, JsonNode earlier) {
        earlier.properties().forEach(field -> {
            if (!names.contains(field.getKey())) {
                fresh.set(field.getKey(), field.getValue());
            }
        });
        below.forEach((name, fields) -> {
            if (fresh.get(name) instanceof ObjectNode said) {
                fields.keeping(said, earlier.path(name));
            } else if (fields.mayBeBare
                    && !fresh.has(name)
                    && earlier.path(name).isObject()) {
                ObjectNode bare = fields.keeping(JsonNodeFactory.instance.objectNode(), earlier.path(name));
                if (!bare.isEmpty()) {
                    fresh.set(name, bare);
                }
            }
        });
        return fresh;
    }
}
