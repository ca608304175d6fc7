package nexa.store.document;

import java.io.IOException;
import java.nio.file.Path;
import nexa.core.message.Message;
import nexa.core.message.Telling;

/** A shoot that cannot be opened or saved. What it tells names the file, what is wrong and what can be done. */
public final class ShootProblem extends Exception implements Telling {
    private static final long serialVersionUID = 1L;

    private final transient Message told;

    public ShootProblem(Message told) {
        this(told, null);
    }

    public ShootProblem(Message told, Throwable cause) {
        super(told.toString(), cause);
        this.told = told;
    }

    public static ShootProblem inDocument(Path document, Message what) {
        return new ShootProblem(Message.of("shoot.documentUnusable", document, what));
    }

    public static ShootProblem unreadable(Path file, IOException e) {
        return new ShootProblem(Message.of("shoot.unreadable", file, Telling.of(e)), e);
    }

    @Override
    public Message told() {
        return told;
    }
}
