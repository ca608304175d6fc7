package nexa.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import nexa.core.message.EnumName;
import nexa.core.message.Message;
import nexa.core.message.Rejected;

/** A value in the shoot document together with where it stands, read strictly. */
public final class JsonPlace {
    private static final double MOST_COUNTED = 0x1p53;

    private final JsonNode node;
    private final String path;

    private JsonPlace(JsonNode node, String path) {
        this.node = node;
        this.path = path;
    }

    public static JsonPlace root(JsonNode node) {
        return new JsonPlace(node, "");
    }

    /** Something that makes a value and rejects what does not fit. */
    public interface Making<T> {
        T make() throws ValidationError;
    }

    /** Turns a value's own complaint into one that names this place. */
    public <T> T make(Making<T> making) throws ValidationError {
        try {
            return making.make();
        } catch (Rejected e) {
            throw misfit("misfit.rejected", e.told());
        }
    }

    /** What is wrong here, by the key of its words and the values that go into them. */
    public ValidationError misfit(String key, Object... values) {
        return new ValidationError(path, Message.of(key, values));
    }

    public boolean has(String name) {
        return node.has(name);
    }

    /** The place of a value below this one, for what is wrong with several together. */
    public ValidationError misfitAt(String below, String key, Object... values) {
        return new ValidationError(path.isEmpty() ? below : path + "." + below, Message.of(key, values));
    }

    public JsonPlace required(String name) throws ValidationError {
        return optional(name).orElseThrow(() -> misfit("misfit.lacks", name));
    }

    public Optional<JsonPlace> optional(String name) throws ValidationError {
        object();
        return node.has(name)
                ? Optional.of(new JsonPlace(node.get(name), path.isEmpty() ? name : path + "." + name))
                : Optional.empty();
    }

    /** Something that is read at a place. */
    public interface Reading<T> {
        T at(JsonPlace place) throws ValidationError;
    }

    /** What is read at a place below this one, or what is usual where there is none. */
    public <T> T optional(String name, T usual, Reading<? extends T> reading) throws ValidationError {
        Optional<JsonPlace> place = optional(name);
        return place.isPresent() ? reading.at(place.get()) : usual;
    }

    public JsonPlace object() throws ValidationError {
        if (!node.isObject()) {
            throw misfit("misfit.object", shown());
        }
        return this;
    }

    public boolean isNull() {
        return node.isNull();
    }

    public List<JsonPlace> list() throws ValidationError {
        if (!node.isArray()) {
            throw misfit("misfit.list", shown());
        }
        List<JsonPlace> places = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            places.add(new JsonPlace(node.get(i), path + "[" + i + "]"));
        }
        return places;
    }

    public List<JsonPlace> list(int length) throws ValidationError {
        List<JsonPlace> places = list();
        if (places.size() != length) {
            throw misfit("misfit.count", length, places.size());
        }
        return places;
    }

    public List<String> names() throws ValidationError {
        object();
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        return names;
    }

    public String text() throws ValidationError {
        if (!node.isTextual()) {
            throw misfit("misfit.text", shown());
        }
        return node.textValue();
    }

    public double number() throws ValidationError {
        double value = node.doubleValue();
        if (!node.isNumber() || !Double.isFinite(value)) {
            throw misfit("misfit.number", shown());
        }
        return value;
    }

    public int whole() throws ValidationError {
        double value = number();
        if (value != Math.rint(value) || Math.abs(value) > Integer.MAX_VALUE) {
            throw misfit("misfit.whole", shown());
        }
        return (int) value;
    }

    /** A count that may be larger than {@link #whole} takes: at least 0, and what a double tells exactly. */
    public long count() throws ValidationError {
        double value = number();
        if (value != Math.rint(value) || value < 0 || value > MOST_COUNTED) {
            throw misfit("misfit.counted", shown());
        }
        return (long) value;
    }

    public boolean flag() throws ValidationError {
        if (!node.isBoolean()) {
            throw misfit("misfit.flag", shown());
        }
        return node.booleanValue();
    }

    public boolean isFlag() {
        return node.isBoolean();
    }

    /** Whether this is a text, and just this one. */
    public boolean says(String word) {
        return node.isTextual() && node.textValue().equals(word);
    }

    /** One of an enum's values, written in small letters. */
    public <E extends Enum<E>> E oneOf(Class<E> type) throws ValidationError {
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
    public <T> T as(Function<String, T> reading) throws ValidationError {
        String text = text();
        return make(() -> reading.apply(text));
    }

    private String shown() {
        String json = node.toString();
        return json.length() > 60 ? json.substring(0, 57) + "…" : json;
    }
}
