package nexa.core.message;

/** Something thrown that is to be told to people. */
public interface Telling {
    /** What to tell; never {@code null}. */
    Message told();

    /**
     * What to tell of anything thrown: its own message; else what the system says. What a fault in a program or in a library
     * says of its insides helps nobody who works with it.
     */
    static Message of(Throwable thrown) {
        if (thrown instanceof Telling telling) {
            return telling.told();
        }
        if (thrown instanceof OutOfMemoryError) {
            return Message.of("fault.memory");
        }
        boolean isFault = thrown instanceof RuntimeException || thrown instanceof Error;
        return isFault
                ? Message.of("fault.inside", thrown.getClass().getSimpleName())
                : Message.of("system", String.valueOf(thrown.getMessage()));
    }
}
