package nexa.imaging.decode;

import java.io.ByteArrayOutputStream;
import java.util.Arrays;

/** Bytes that grow at the end, each part beginning at an even place. */
final class GrowingBytes {
    private final byte[] start;
    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();

    /** @param start not changed while they grow */
    GrowingBytes(byte[] start) {
        this.start = start;
        bytes.writeBytes(start);
    }

    /** Whether a part was among those they began with, at a place. */
    boolean beganWith(byte[] part, int at) {
        return at + part.length <= start.length && Arrays.equals(start, at, at + part.length, part, 0, part.length);
    }

    int add(byte[] part) {
        if (bytes.size() % 2 == 1) {
            bytes.write(0);
        }
        int at = bytes.size();
        bytes.writeBytes(part);
        return at;
    }

    byte[] bytes() {
        return bytes.toByteArray();
    }
}
