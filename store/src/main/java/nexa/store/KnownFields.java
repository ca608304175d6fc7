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
        Set<String> moreNames = new HashSet<>(names);
        moreNames.add(name);
        Map<String, KnownFields> moreBelow = new HashMap<>(below);
        moreBelow.put(name, fields);
        return new KnownFields(Set.copyOf(moreNames), Map.copyOf(moreBelow), mayBeBare);
    }

    /** With all fields of another one. */
    KnownFields with(KnownFields others) {
        KnownFields all = new KnownFields(plus(names, others.names), below, mayBeBare);
        for (Map.Entry<String, KnownFields> one : others.below.entrySet()) {
            all = all.with(one.getKey(), one.getValue());
        }
        return all;
    }

    /** Without some, which mean nothing where it is used and are kept as they are. */
    KnownFields without(String... others) {
        Set<String> fewer = new HashSet<>(names);
        fewer.removeAll(Set.of(others));
        Map<String, KnownFields> fewerBelow = new HashMap<>(below);
        fewerBelow.keySet().retainAll(fewer);
        return new KnownFields(Set.copyOf(fewer), Map.copyOf(fewerBelow), mayBeBare);
    }

    private static Set<String> plus(Set<String> some, Set<String> others) {
        Set<String> all = new HashSet<>(some);
        all.addAll(others);
        return Set.copyOf(all);
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
            } else if (fields.mayBeBare && !fresh.has(name)) {
                ObjectNode bare = fields.keeping(JsonNodeFactory.instance.objectNode(), earlier.path(name));
                if (!bare.isEmpty()) {
                    fresh.set(name, bare);
                }
            }
        });
        return fresh;
    }
}
