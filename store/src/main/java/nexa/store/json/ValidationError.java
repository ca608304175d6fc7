package nexa.store.json;

import nexa.core.message.Message;
import nexa.core.message.Telling;

/** What is wrong at a place of a document. */
public final class ValidationError extends Exception implements Telling {
    private static final long serialVersionUID = 1L;

    private final transient Message told;

    ValidationError(String path, Message what) {
        this(Message.of("misfit.at", path.isEmpty() ? Message.of("misfit.document") : path, what));
    }

    private ValidationError(Message told) {
        super(told.toString());
        this.told = told;
    }

    @Override
    public Message told() {
        return told;
    }
}
