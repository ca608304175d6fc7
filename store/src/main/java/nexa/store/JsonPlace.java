package nexa.store;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import nexa.core.message.EnumName;
import nexa.core.message.Message;
import nexa.core.message.Rejected;
import nexa.core.message.Telling;

/** A value in the shoot document together with where it stands, read strictly. */
final class JsonPlace {
    private static final double MOST_COUNTED = 0x1p53;

    private final JsonNode node;
    private final String path;

    private JsonPlace(JsonNode node, String path) {
        this.node = node;
        this.path = path;
    }

    static JsonPlace root(JsonNode node) {
        return new JsonPlace(node, "");
    }

    /** What is wrong at a place of the document. */
    static final class Misfit extends Exception implements Telling {
        private static final long serialVersionUID = 1L;

        private final transient Message told;

        Misfit(String path, Message what) {
            this(Message.of("misfit.at", path.isEmpty() ? Message.of("misfit.document") : path, what));
        }

        private Misfit(Message told) {
            super(told.toString());
            this.told = told;
        }

        @Override
        public Message told() {
            return told;
        }
    }

    /** Something that makes a value and rejects what does not fit. */
    interface Making<T> {
        T make() throws Misfit;
    }

    /** Turns a value's own complaint into one that names this place. */
    <T> T make(Making<T> making) throws Misfit {
        try {
            return making.make();
        } catch (Rejected e) {
            throw misfit("misfit.rejected", e.told());
        }
    }

    /** What is wrong here, by the key of its words and the values that go into them. */
    Misfit misfit(String key, Object... values) {
        return new Misfit(path, Message.of(key, values));
    }

    boolean has(String name) {
        return node.has(name);
    }

    /** The place of a value below this one, for what is wrong with several together. */
    Misfit misfitAt(String below, String key, Object... values) {
        return new Misfit(path.isEmpty() ? below : path + "." + below, Message.of(key, values));
    }

    JsonPlace required(String name) throws Misfit {
        return optional(name).orElseThrow(() -> misfit("misfit.lacks", name));
    }

    Optional<JsonPlace> optional(String name) throws Misfit {
        object();
        return node.has(name)
                ? Optional.of(new JsonPlace(node.get(name), path.isEmpty() ? name : path + "." + name))
                : Optional.empty();
    }

    /** Something that is read at a place. */
    interface Reading<T> {
        T of(JsonPlace place) throws Misfit;
    }

    /** What is read at a place below this one, or what is usual where there is none. */
    <T> T optional(String name, T usual, Reading<? extends T> reading) throws Misfit {
        Optional<JsonPlace> place = optional(name);
        return place.isPresent() ? reading.of(place.get()) : usual;
    }

    /** What is read at a place below this one; empty where there is none. */
    <T> Optional<T> ifThere(String name, Reading<T> reading) throws Misfit {
        return optional(name, Optional.empty(), place -> Optional.of(reading.of(place)));
    }

    JsonPlace object() throws Misfit {
        if (!node.isObject()) {
            throw misfit("misfit.object", shown());
        }
        return this;
    }

    boolean isNull() {
        return node.isNull();
    }

    List<JsonPlace> list() throws Misfit {
        if (!node.isArray()) {
            throw misfit("misfit.list", shown());
        }
        List<JsonPlace> places = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            places.add(new JsonPlace(node.get(i), path + "[" + i + "]"));
        }
        return places;
    }

    List<JsonPlace> list(int length) throws Misfit {
        List<JsonPlace> places = list();
        if (places.size() != length) {
            throw misfit("misfit.count", length, places.size());
        }
        return places;
    }

    List<String> names() throws Misfit {
        object();
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        return names;
    }

    String text() throws Misfit {
        if (!node.isTextual()) {
            throw misfit("misfit.text", shown());
        }
        return node.textValue();
    }

    double number() throws Misfit {
        double value = node.doubleValue();
        if (!node.isNumber() || !Double.isFinite(value)) {
            throw misfit("misfit.number", shown());
        }
        return value;
    }

    int whole() throws Misfit {
        double value = number();
        if (value != Math.rint(value) || Math.abs(value) > Integer.MAX_VALUE) {
            throw misfit("misfit.whole", shown());
        }
        return (int) value;
    }

    /** A count that may be larger than {@link #whole} takes: at least 0, and what a double tells exactly. */
    long count() throws Misfit {
        double value = number();
        if (value != Math.rint(value) || value < 0 || value > MOST_COUNTED) {
            throw misfit("misfit.counted", shown());
        }
        return (long) value;
    }

    boolean flag() throws Misfit {
        if (!node.isBoolean()) {
            throw misfit("misfit.flag", shown());
        }
        return node.booleanValue();
    }

    boolean isFlag() {
        return node.isBoolean();
    }

    /** Whether this is a text, and just this one. */
    boolean says(String word) {
        return node.isTextual() && node.textValue().equals(word);
    }

    /** One of an enum's values, written in small letters. */
    <E extends Enum<E>> E oneOf(Class<E> type) throws Misfit {
        String text = text();
        StringBuilder known = new StringBuilder();
        for (E value : type.getEnumConstants()) {
            String name = EnumName.of(value);
            if (name.equals(text)) {
                return value;
            }
            known.append(known.length() == 0 ? "" : ", ").append(name);
        }
        throw misfit("misfit.oneOf", known, shown());
    }

    /** A value of this place made by a function that rejects what does not fit. */
    <T> T as(Function<String, T> reading) throws Misfit {
        String text = text();
        return make(() -> reading.apply(text));
    }

    private String shown() {
        String json = node.toString();
        return json.length() > 60 ? json.substring(0, 57) + "…" : json;
    }
}
