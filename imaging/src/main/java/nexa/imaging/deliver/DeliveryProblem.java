package nexa.imaging.deliver;

import java.io.IOException;

/** A delivery that cannot begin. The message names the file or folder and what can be done. */
public final class DeliveryProblem extends IOException {
    private static final long serialVersionUID = 1L;

    DeliveryProblem(String message, Throwable cause) {
        super(message, cause);
    }
}
