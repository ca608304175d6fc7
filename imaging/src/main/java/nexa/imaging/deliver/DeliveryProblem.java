package nexa.imaging.deliver;

import java.io.IOException;
import nexa.core.message.Message;
import nexa.core.message.Telling;

/** A delivery that cannot begin. What it tells names the file or folder and what can be done. */
public final class DeliveryProblem extends IOException implements Telling {
    private static final long serialVersionUID = 1L;

    private final transient Message told;

    DeliveryProblem(Message told, Throwable cause) {
        super(told.toString(), cause);
        this.told = told;
    }

    @Override
    public Message told() {
        return told;
    }
}
