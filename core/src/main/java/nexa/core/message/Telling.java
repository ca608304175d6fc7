package nexa.core.message;

/** Something thrown that is to be told to people. */
public interface Telling {
    /** What to tell; never {@code null}. */
    Message told();

    /** What to tell of anything thrown: its own message, or else what the system says. */
    static Message of(Throwable thrown) {
        return thrown instanceof Telling telling
                ? telling.told()
                : Message.of("system", String.valueOf(thrown.getMessage()));
    }
}
