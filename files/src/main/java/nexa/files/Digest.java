package nexa.files;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** Names contents by their SHA-256, in hexadecimal. */
public final class Digest {
    /** What stands for a document that is not there. */
    public static final String NOTHING = "";

    private Digest() {}

    public static String of(byte[] contents) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(contents));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
