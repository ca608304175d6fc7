package nexa.imaging.decode;

import com.drew.lang.StreamReader;
import java.io.IOException;
import java.io.InputStream;

/** Reads parts of a file one after the other, none larger than a photo's metadata can be. */
final class BoundedReader extends StreamReader {
    private static final int LARGEST = 16 * 1024 * 1024;

    BoundedReader(InputStream in) {
        super(in);
    }

    @Override
    public byte[] getBytes(int count) throws IOException {
        if (count < 0 || count > LARGEST) {
            throw new IOException("a part of " + count + " bytes, where at most " + LARGEST + " make sense");
        }
        return super.getBytes(count);
    }
}
