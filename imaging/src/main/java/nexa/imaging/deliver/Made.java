package nexa.imaging.deliver;

import java.util.Optional;
import nexa.core.message.Message;

/**
 * A file made.
 *
 * @param left what had to stay behind; empty if nothing had to
 */
record Made(byte[] contents, Optional<Message> left) {
    /** A file in which everything is that was to be. */
    static Made whole(byte[] contents) {
        return new Made(contents, Optional.empty());
    }
}
