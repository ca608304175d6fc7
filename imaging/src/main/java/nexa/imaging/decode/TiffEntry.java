package nexa.imaging.decode;

/**
 * A value of a TIFF's directory as it stands in the file.
 *
 * @param type by its number, 1 … 12
 * @param count how many parts of that type it has
 * @param at where in the file it lies; {@link #NOWHERE} if inside the entry itself, or in no file
 */
record TiffEntry(int type, int count, byte[] value, int at) {
    static final int NOWHERE = -1;

    /** Bytes of a file, from one to before another. */
    record Span(int from, int to) {
        static final Span NONE = new Span(0, 0);

        boolean meets(Span other) {
            return from < other.to && other.from < to;
        }
    }

    Span span() {
        return at == NOWHERE ? Span.NONE : new Span(at, at + value.length);
    }
}
