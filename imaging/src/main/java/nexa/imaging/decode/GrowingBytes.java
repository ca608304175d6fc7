package nexa.imaging.decode;

import java.io.ByteArrayOutputStream;

/** Bytes that grow at the end, each part beginning at an even place. */
final class GrowingBytes {
    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();

    GrowingBytes(byte[] start) {
        bytes.writeBytes(start);
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
