package nexa.core.message;

import java.util.List;

/**
 * Something to be told to people.
 *
 * @param key by which its words are found
 * @param values that go into the words, in their order: texts, numbers, or other messages
 */
public record Message(String key, List<Object> values) {
    public Message {
        values = List.copyOf(values);
    }

    /** A message; whatever is no number and no message goes in as it is written. */
    public static Message of(String key, Object... values) {
        return new Message(
                key,
                List.of(values).stream()
                        .map(value -> value instanceof Number || value instanceof Message ? value : value.toString())
                        .toList());
    }

    /** For developers: the key and the values. */
    @Override
    public String toString() {
        return values.isEmpty() ? key : key + " " + values;
    }
}
