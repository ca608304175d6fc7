package nexa.core.geometry;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.StringJoiner;
import java.util.function.Function;

/**
 * Writes a value in letters by which it is known again: the same for the same, others for anything else. These letters are
 * kept with delivered files for years, so they are written out by hand, each name in quotes: the code may rename what it
 * likes, the letters stay. They are those that records have written of themselves, as they were kept at first.
 */
public final class Fingerprint {
    private final StringJoiner parts;

    private Fingerprint(String name) {
        this.parts = new StringJoiner(", ", name + "[", "]");
    }

    /** Begins one of a value of some name. */
    public static Fingerprint of(String name) {
        return new Fingerprint(name);
    }

    public Fingerprint with(String part, double value) {
        return with(part, String.valueOf(value));
    }

    public Fingerprint with(String part, int value) {
        return with(part, String.valueOf(value));
    }

    public Fingerprint with(String part, boolean value) {
        return with(part, String.valueOf(value));
    }

    /** @param letters a text, or another value's fingerprint */
    public Fingerprint with(String part, String letters) {
        parts.add(part + "=" + letters);
        return this;
    }

    public Fingerprint with(String part, OptionalDouble value) {
        return with(part, optional(value));
    }

    /** @param letters a value's fingerprint */
    public <T> Fingerprint with(String part, Optional<T> value, Function<T, String> letters) {
        return with(part, optional(value, letters));
    }

    /** @param letters a value's fingerprint */
    public <T> Fingerprint with(String part, List<T> values, Function<T, String> letters) {
        return with(part, values.stream().map(letters).toList().toString());
    }

    /** Of a value that need not be there. */
    public static <T> String optional(Optional<T> value, Function<T, String> letters) {
        return value.map(there -> "Optional[" + letters.apply(there) + "]").orElse("Optional.empty");
    }

    /** Of a number that need not be there. */
    public static String optional(OptionalDouble value) {
        return value.isPresent() ? "OptionalDouble[" + value.getAsDouble() + "]" : "OptionalDouble.empty";
    }

    /** The letters. */
    public String letters() {
        return parts.toString();
    }
}
