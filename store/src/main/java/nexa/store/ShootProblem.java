package nexa.store;

import java.nio.file.Path;

/** A shoot that cannot be opened or saved. The message names the file, what is wrong and what can be done. */
public final class ShootProblem extends Exception {
    private static final long serialVersionUID = 1L;

    public ShootProblem(String message) {
        super(message);
    }

    public ShootProblem(String message, Throwable cause) {
        super(message, cause);
    }

    static ShootProblem inDocument(Path document, String what) {
        return new ShootProblem(
                document + " can't be used: " + what
                        + ". The file was left as it is. Put a good copy in its place, or move it away to start the shoot anew.");
    }
}
