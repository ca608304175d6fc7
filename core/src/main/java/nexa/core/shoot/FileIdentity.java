package nexa.core.shoot;

import nexa.core.geometry.Require;
import nexa.core.message.Rejected;

/**
 * By what a photo's file is known again when it has another name.
 *
 * @param length in bytes, at least 0
 * @param digest of how the file begins and ends, in hexadecimal
 */
public record FileIdentity(long length, String digest) {
    /** @throws IllegalArgumentException for a length below 0 and an empty digest */
    public FileIdentity {
        Require.within("lengthOfTheFile", length, 0, Long.MAX_VALUE);
        if (digest.isBlank()) {
            throw new Rejected("reject.emptyDigest");
        }
    }
}
