package nexa.imaging.raw;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.ShortBuffer;
import nexa.imaging.render.ClosedOnThrow;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/** Reads a portable pixmap of 16 bits (netpbm's PPM, P6) from a stream, row by row, so that no more than it is in memory. */
final class PortablePixmap {
    private static final int MOST_DIGITS = 9;
    private static final int DEEP = 65_535;

    private PortablePixmap() {}

    /**
     * Its pixels, BGR. The caller closes them.
     *
     * @throws IOException if it is none, ends early or has more pixels than allowed
     */
    static Mat read(InputStream in, double mostPixels) throws IOException {
        if (in.read() != 'P' || in.read() != '6') {
            throw new IOException("no pixmap");
        }
        int width = number(in);
        int height = number(in);
        if (number(in) != DEEP || width < 1 || height < 1 || (double) width * height > mostPixels) {
            throw new IOException("a pixmap of " + width + " × " + height + ", or not of 16 bits");
        }
        return ClosedOnThrow.filled(new Mat(height, width, opencv_core.CV_16UC3), pixels -> fill(pixels, in));
    }

    /** A number, with the one space behind it. */
    private static int number(InputStream in) throws IOException {
        int letter = in.read();
        while (Character.isWhitespace(letter)) {
            letter = in.read();
        }
        int number = 0;
        for (int i = 0; letter >= '0' && letter <= '9'; i++) {
            if (i == MOST_DIGITS) {
                throw new IOException("no number of a pixmap");
            }
            number = 10 * number + letter - '0';
            letter = in.read();
        }
        return number;
    }

    private static void fill(Mat pixels, InputStream in) throws IOException {
        int width = pixels.cols();
        byte[] bytes = new byte[6 * width];
        ShortBuffer read = ByteBuffer.wrap(bytes).order(ByteOrder.BIG_ENDIAN).asShortBuffer();
        short[] row = new short[3 * width];
        for (int y = 0; y < pixels.rows(); y++) {
            if (in.readNBytes(bytes, 0, bytes.length) < bytes.length) {
                throw new IOException("a pixmap cut off in row " + y);
            }
            for (int x = 0; x < row.length; x += 3) {
                row[x] = read.get(x + 2);
                row[x + 1] = read.get(x + 1);
                row[x + 2] = read.get(x);
            }
            pixels.ptr(y)
                    .capacity(bytes.length)
                    .asByteBuffer()
                    .order(ByteOrder.nativeOrder())
                    .asShortBuffer()
                    .put(row);
        }
    }
}
