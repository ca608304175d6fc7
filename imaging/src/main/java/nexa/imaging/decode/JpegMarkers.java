package nexa.imaging.decode;

import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Walks the markers of a JPEG from its start to the end of its picture (ITU-T T.81, annex B). What lies behind that end, such
 * as a film that phones append, does not matter.
 *
 * @param isWhole whether the picture's end was found
 * @param end where it is, the first byte behind it; if it was not found, or not looked for, the file's length
 * @param scans how many passes the picture is coded in, as far as they were counted
 */
record JpegMarkers(boolean isWhole, long end, int scans) {
    private static final int END = 0xD9;
    private static final int SCAN = 0xDA;
    private static final int TAIL = 4096;
    private static final int BUFFER = 1 << 16;

    /** Walks a whole file in memory. */
    static JpegMarkers of(byte[] jpeg) {
        try {
            Walk walk = new Walk(InputStream.nullInputStream(), jpeg, jpeg.length);
            return walk.toEnd()
                    ? new JpegMarkers(true, walk.at, walk.scans)
                    : new JpegMarkers(false, jpeg.length, walk.scans);
        } catch (IOException e) {
            throw new IllegalStateException("bytes in memory can always be read", e);
        }
    }

    /**
     * As {@link #of(byte[])}, reading only as much as is needed to know: a picture of a single scan whose file ends with its
     * end is whole, since no coded data look like an end.
     */
    static JpegMarkers of(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return of(in, file, Files.size(file));
        }
    }

    /**
     * As {@link #of(Path)}, of a JPEG inside a file.
     *
     * @param in begins where the JPEG does
     * @param end the first byte of the file behind it
     */
    static JpegMarkers of(InputStream in, Path file, long end) throws IOException {
        Walk walk = new Walk(in, new byte[BUFFER], 0);
        boolean hasScan = walk.toFirstScan();
        if (hasScan && walk.hasOneScan() && endsWithEnd(file, end)) {
            return new JpegMarkers(true, end, walk.scans);
        }
        return hasScan && walk.toEnd()
                ? new JpegMarkers(true, walk.at, walk.scans)
                : new JpegMarkers(false, end, walk.scans);
    }

    /** Walks a JPEG that begins where a stream is; what follows its end is not looked at. */
    static JpegMarkers of(InputStream in) throws IOException {
        Walk walk = new Walk(in, new byte[BUFFER], 0);
        boolean isWhole = walk.toEnd();
        return new JpegMarkers(isWhole, walk.at, walk.scans);
    }

    private static boolean endsWithEnd(Path file, long end) throws IOException {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            ByteBuffer tail = ByteBuffer.allocate((int) Math.min(TAIL, end));
            channel.position(end - tail.capacity());
            while (tail.hasRemaining() && channel.read(tail) >= 0) {
                // Reads on until it is full.
                continue;
            }
            int last = tail.position() - 1;
            while (last > 0 && tail.get(last) == 0) {
                last--;
            }
            return last > 0 && (tail.get(last) & 0xFF) == END && (tail.get(last - 1) & 0xFF) == 0xFF;
        }
    }

    /** One way from the start to the end. */
    private static final class Walk {
        private final InputStream in;
        private final byte[] buffer;
        private int filled;
        private int next;
        private long at;
        private int scans;
        private int components;
        private int inFirstScan;
        private boolean isProgressive;
        private boolean isInScan;

        /** @param filled how many bytes of the buffer are there already, before those of the stream */
        Walk(InputStream in, byte[] buffer, int filled) {
            this.in = in;
            this.buffer = buffer;
            this.filled = filled;
        }

        boolean hasOneScan() {
            return !isProgressive && components == inFirstScan;
        }

        /** Whether there is a scan. */
        boolean toFirstScan() throws IOException {
            return walk(true);
        }

        /** Whether there is an end. */
        boolean toEnd() throws IOException {
            return walk(false);
        }

        private boolean walk(boolean untilScan) throws IOException {
            try {
                if (at == 0) {
                    skip(2);
                }
                while (true) {
                    int marker = marker();
                    if (marker == END) {
                        return !untilScan;
                    }
                    if (!standsAlone(marker)) {
                        segment(marker);
                    }
                    if (marker == SCAN && untilScan) {
                        return true;
                    }
                }
            } catch (EOFException e) {
                return false;
            }
        }

        private static boolean standsAlone(int marker) {
            return marker >= 0xD0 && marker <= 0xD8 || marker <= 0x01;
        }

        private void segment(int marker) throws IOException {
            int length = next() << 8 | next();
            int read = 2;
            boolean isFrame = marker >= 0xC0 && marker <= 0xCF && marker != 0xC4 && marker != 0xC8 && marker != 0xCC;
            if (isFrame && length >= 8) {
                skip(5);
                components = next();
                read += 6;
                isProgressive |= (marker & 3) == 2;
            } else if (marker == SCAN && length >= 3) {
                int inScan = next();
                read++;
                inFirstScan = scans == 0 ? inScan : inFirstScan;
                scans++;
                isInScan = true;
            }
            skip(Math.max(0, length - read));
        }

        /** The next marker. In coded data a 0xFF that is followed by 0 is no marker, nor is padding before one. */
        private int marker() throws IOException {
            while (true) {
                int value = next();
                while (value == 0xFF) {
                    value = next();
                    boolean isCoded = value == 0 || isInScan && value >= 0xD0 && value <= 0xD7;
                    if (value != 0xFF && !isCoded) {
                        isInScan = false;
                        return value;
                    }
                }
            }
        }

        private int next() throws IOException {
            if (next == filled) {
                filled = in.read(buffer, 0, buffer.length);
                next = 0;
                if (filled <= 0) {
                    throw new EOFException();
                }
            }
            at++;
            return buffer[next++] & 0xFF;
        }

        private void skip(long count) throws IOException {
            long left = count;
            while (left > 0) {
                int here = (int) Math.min(left, filled - next);
                next += here;
                at += here;
                left -= here;
                if (left > 0) {
                    long skipped = in.skip(left);
                    at += skipped;
                    left -= skipped;
                    if (skipped == 0) {
                        next();
                        left--;
                    }
                }
            }
        }
    }
}
