package nexa.sample;

import java.io.ByteArrayOutputStream;

/**
 * Packs the samples of a sensor without loss, as cameras do (ITU-T T.81, process 14, predictor 1): each pair of neighbours in a
 * row counts as one pixel of two components, so that a sample is foretold by one of its own colour.
 */
final class LosslessJpeg {
    /** How many bits the code of a difference has, by how many bits the difference has itself. */
    private static final int[] CODE_LENGTHS = {3, 2, 2, 2, 4, 5, 6, 7, 8};

    private static final int BITS = 8;

    private final int[] codes = new int[CODE_LENGTHS.length];
    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private int pending;
    private int pendingBits;

    private LosslessJpeg() {
        int code = 0;
        for (int length = 1; length <= 16; length++) {
            for (int i = 0; i < codes.length; i++) {
                if (CODE_LENGTHS[i] == length) {
                    codes[i] = code++;
                }
            }
            code <<= 1;
        }
    }

    /** @param samples of 8 bits, row by row; their width is even */
    static byte[] encode(byte[] samples, int width, int height) {
        return new LosslessJpeg().encoded(samples, width, height);
    }

    private byte[] encoded(byte[] samples, int width, int height) {
        put(0xFF, 0xD8);
        put(0xFF, 0xC4, 0, 19 + CODE_LENGTHS.length, 0);
        ByteArrayOutputStream inOrder = new ByteArrayOutputStream();
        for (int length = 1; length <= 16; length++) {
            int before = inOrder.size();
            for (int i = 0; i < CODE_LENGTHS.length; i++) {
                if (CODE_LENGTHS[i] == length) {
                    inOrder.write(i);
                }
            }
            put(inOrder.size() - before);
        }
        out.writeBytes(inOrder.toByteArray());
        put(0xFF, 0xC3, 0, 14, BITS, height >> 8, height, width / 2 >> 8, width / 2, 2, 1, 0x11, 0, 2, 0x11, 0);
        put(0xFF, 0xDA, 0, 10, 2, 1, 0, 2, 0, 1, 0, 0);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int at = y * width + x;
                int foretold = x > 1 ? samples[at - 2] & 0xFF : y > 0 ? samples[at - width] & 0xFF : 1 << BITS - 1;
                difference((samples[at] & 0xFF) - foretold);
            }
        }
        bits(0x7F, 7);
        put(0xFF, 0xD9);
        return out.toByteArray();
    }

    private void put(int... bytes) {
        for (int one : bytes) {
            out.write(one);
        }
    }

    private void difference(int value) {
        int length = 32 - Integer.numberOfLeadingZeros(Math.abs(value));
        bits(codes[length], CODE_LENGTHS[length]);
        bits(value < 0 ? value - 1 & (1 << length) - 1 : value, length);
    }

    private void bits(int value, int count) {
        pending = pending << count | value;
        pendingBits += count;
        while (pendingBits >= 8) {
            int one = pending >> pendingBits - 8 & 0xFF;
            out.write(one);
            if (one == 0xFF) {
                out.write(0);
            }
            pendingBits -= 8;
        }
        pending &= (1 << pendingBits) - 1;
    }
}
