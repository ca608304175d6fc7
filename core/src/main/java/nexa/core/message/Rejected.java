package nexa.core.message;

/** A value that people gave, in a document or by typing, and that does not fit. */
public final class Rejected extends IllegalArgumentException implements Telling {
    private static final long serialVersionUID = 1L;

    private final transient Message told;

    public Rejected(String key, Object... values) {
        this(Message.of(key, values));
    }

    private Rejected(Message told) {
        super(told.toString());
        this.told = told;
    }

    @Override
    public Message told() {
        return told;
    }
}
