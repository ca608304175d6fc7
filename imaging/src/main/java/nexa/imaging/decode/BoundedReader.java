package nexa.imaging.decode;

import com.drew.lang.StreamReader;
import java.io.IOException;
import java.io.InputStream;

/**
 * Reads parts of a file one after the other. Of parts as large as metadata can be only so many bytes are given in all; those
 * beyond are passed over, and nothing is given for them, so that what lies behind can still be read.
 */
class BoundedReader extends StreamReader {
    private static final int MOST = 48 * 1024 * 1024;
    /** Smaller parts say how pixels lie, and are given always. */
    private static final int SMALL = 1024;
    /** Every part takes a few bytes to find; no photo has nearly so many of them. */
    private static final int MOST_SINGLE = 10_000_000;

    private int left = MOST;
    private int singleLeft;
    private boolean isCut;

    BoundedReader(InputStream in) {
        this(in, MOST_SINGLE);
    }

    /** @param mostSingle how many bytes may be read one by one before it is taken for no photo */
    BoundedReader(InputStream in, int mostSingle) {
        super(in);
        this.singleLeft = mostSingle;
    }

    /** Whether anything was passed over. */
    boolean isCut() {
        return isCut;
    }

    @Override
    public byte getByte() throws IOException {
        if (singleLeft-- <= 0) {
            throw new IOException("far more parts than a photo has");
        }
        return super.getByte();
    }

    @Override
    public byte[] getBytes(int count) throws IOException {
        if (count < 0) {
            throw new IOException("a part of " + count + " bytes");
        }
        if (count > SMALL && count > left) {
            isCut = true;
            skip(count);
            return new byte[0];
        }
        left -= count > SMALL ? count : 0;
        return super.getBytes(count);
    }
}
