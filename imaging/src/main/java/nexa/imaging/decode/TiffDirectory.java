package nexa.imaging.decode;

import com.drew.lang.ByteArrayReader;
import com.drew.lang.RandomAccessReader;
import com.google.common.primitives.Bytes;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/**
 * What a TIFF says in a directory and in those below it, read within bounds: an EXIF block is a TIFF, and either may hold a
 * million directories, or one that leads to itself. Only a photo's own directories are followed, each once; entries that are
 * broken, or larger than any of use, count as not there. An immutable value.
 */
public final class TiffDirectory {
    public static final int EXIF = 0x8769;
    public static final int PLACE = 0x8825;
    public static final int MAKER_NOTE = 0x927C;
    public static final int INTEROPERABILITY = 0xA005;

    private static final Set<Integer> BELOW = Set.of(EXIF, PLACE, INTEROPERABILITY);
    static final int DEEPEST = 3;
    private static final int MOST_ENTRIES = 2_000;
    private static final int LARGEST_VALUE = 16 * 1024 * 1024;
    private static final int MOST_BYTES = 48 * 1024 * 1024;

    /** What stands in every TIFF behind the byte order. */
    private static final Set<Integer> TIFF = Set.of(42);

    static final int ENTRY = 12;
    private static final int TEXT = 2;
    private static final int SHORT = 3;
    static final int LONG = 4;
    private static final int FRACTION = 5;
    private static final int UNTYPED = 7;
    /** How many bytes a value of each type takes, by the type's number. */
    private static final int[] BYTES = {0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8};

    /** How many bytes of values may still be read of a file: a thousand values may all lie in the same bytes. */
    static final class Allowance {
        private int left = MOST_BYTES;
        private boolean isUsedUp;

        private boolean allows(int length) {
            isUsedUp |= length > left;
            return length <= left;
        }

        private void take(int length) {
            left -= length;
        }
    }

    private final ByteOrder order;
    private final TiffEntry.Span table;
    private boolean isCut;
    private final SortedMap<Integer, TiffEntry> entries = new TreeMap<>();
    private final SortedMap<Integer, TiffDirectory> below = new TreeMap<>();

    private TiffDirectory(ByteOrder order, TiffEntry.Span table) {
        this.order = order;
        this.table = table;
    }

    /** A directory that says nothing. */
    public static TiffDirectory empty(ByteOrder order) {
        return new TiffDirectory(order, TiffEntry.Span.NONE);
    }

    /** The byte order of its values. */
    public ByteOrder order() {
        return order;
    }

    /** The first directory of a block or a file; empty if it is none. */
    public static Optional<TiffDirectory> read(byte[] tiff) {
        return read(new ByteArrayReader(tiff));
    }

    /** As {@link #read(byte[])}. */
    static Optional<TiffDirectory> read(RandomAccessReader tiff) {
        try {
            return Optional.of(read(tiff, setOrder(tiff, TIFF), firstAt(tiff), DEEPEST, new Allowance()));
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    /** The second directory, which in a block is that of the thumbnail; empty if there is none. */
    static Optional<TiffDirectory> readSecond(byte[] tiff) {
        RandomAccessReader reader = new ByteArrayReader(tiff);
        try {
            ByteOrder order = setOrder(reader, TIFF);
            int first = firstAt(reader);
            int second = reader.getInt32(first + 2 + ENTRY * reader.getUInt16(first));
            return second == 0 ? Optional.empty() : Optional.of(read(reader, order, second, 1, new Allowance()));
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    /** @param magics the numbers of which one has to stand behind the byte order */
    static ByteOrder setOrder(RandomAccessReader tiff, Set<Integer> magics) throws IOException {
        boolean isBig = tiff.getByte(0) == 'M';
        tiff.setMotorolaByteOrder(isBig);
        if (!magics.contains(tiff.getUInt16(2))) {
            throw new IOException("no TIFF");
        }
        return isBig ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN;
    }

    static int firstAt(RandomAccessReader tiff) throws IOException {
        return tiff.getInt32(4);
    }

    /** The directory at a place, and what is below it so many directories deep. */
    static TiffDirectory read(RandomAccessReader tiff, ByteOrder order, int at, int depth, Allowance allowance)
            throws IOException {
        int count = Math.min(MOST_ENTRIES, tiff.getUInt16(at));
        TiffDirectory directory = new TiffDirectory(order, new TiffEntry.Span(at, at + 2 + count * ENTRY));
        for (int i = 0; i < count; i++) {
            int entry = at + 2 + i * ENTRY;
            try {
                int tag = tiff.getUInt16(entry);
                if (BELOW.contains(tag) && depth > 1) {
                    directory.below.put(tag, read(tiff, order, tiff.getInt32(entry + 8), depth - 1, allowance));
                } else if (!BELOW.contains(tag)) {
                    value(tiff, entry, allowance).ifPresent(value -> directory.entries.put(tag, value));
                }
            } catch (IOException e) {
                // One broken entry is no reason to lose the others.
                directory.entries.remove(-1);
            }
        }
        directory.isCut = allowance.isUsedUp;
        return directory;
    }

    private static Optional<TiffEntry> value(RandomAccessReader tiff, int at, Allowance allowance) throws IOException {
        int type = tiff.getUInt16(at + 2);
        long count = tiff.getUInt32(at + 4);
        if (type == 0 || type >= BYTES.length || count * BYTES[type] > LARGEST_VALUE) {
            return Optional.empty();
        }
        int length = (int) count * BYTES[type];
        if (!allowance.allows(length)) {
            return Optional.empty();
        }
        boolean isInside = length <= 4;
        int from = isInside ? at + 8 : tiff.getInt32(at + 8);
        byte[] bytes = tiff.getBytes(from, length);
        allowance.take(length);
        return Optional.of(new TiffEntry(type, (int) count, bytes, isInside ? TiffEntry.NOWHERE : from));
    }

    /**
     * This directory without values that lie in one another's bytes, or in those of a directory: where a file lies, what is
     * harmless may read what is not. A value that two entries share stays.
     */
    public TiffDirectory apart() {
        return apart(spans().filter(span -> span != TiffEntry.Span.NONE).toList());
    }

    private TiffDirectory apart(List<TiffEntry.Span> all) {
        TiffDirectory kept = new TiffDirectory(order, table);
        kept.isCut = isCut;
        entries.forEach((tag, entry) -> {
            TiffEntry.Span own = entry.span();
            if (all.stream().noneMatch(other -> other.from() != own.from() && other.meets(own))) {
                kept.entries.put(tag, entry);
            }
        });
        below.forEach((tag, directory) -> kept.below.put(tag, directory.apart(all)));
        return kept;
    }

    /** This directory as one that lies in no file, for one that is put together of several. */
    TiffDirectory taken() {
        TiffDirectory taken = empty(order);
        entries.forEach((tag, entry) ->
                taken.entries.put(tag, new TiffEntry(entry.type(), entry.count(), entry.value(), TiffEntry.NOWHERE)));
        below.forEach((tag, directory) -> taken.below.put(tag, directory.taken()));
        return taken;
    }

    /** The entries of its own, by their tags in order. */
    SortedMap<Integer, TiffEntry> entries() {
        return Collections.unmodifiableSortedMap(entries);
    }

    /** The directories below it, by the tags of the entries that lead to them, in order. */
    SortedMap<Integer, TiffDirectory> below() {
        return Collections.unmodifiableSortedMap(below);
    }

    /** Where everything lies, here and below. */
    private Stream<TiffEntry.Span> spans() {
        return Stream.of(
                        Stream.of(table),
                        entries.values().stream().map(TiffEntry::span),
                        below.values().stream().flatMap(TiffDirectory::spans))
                .flatMap(all -> all);
    }

    /** Whether entries of it, or of those below it, were passed over since there is far more in them than any photo says. */
    boolean isCut() {
        return isCut;
    }

    public boolean isEmpty() {
        return entries.isEmpty() && below.isEmpty();
    }

    /** The directory below this one that an entry leads to. */
    public Optional<TiffDirectory> below(int tag) {
        return Optional.ofNullable(below.get(tag));
    }

    /** The bytes of a value. */
    public Optional<byte[]> bytes(int tag) {
        return Optional.ofNullable(entries.get(tag)).map(entry -> entry.value().clone());
    }

    /** A whole number of one of the plain types. */
    public OptionalLong number(int tag) {
        return LongStream.of(numbers(tag)).findFirst();
    }

    /** Whether there is a value of a type, with so many parts at the most. */
    public boolean has(int tag, Set<Integer> types, int most) {
        TiffEntry entry = entries.get(tag);
        return entry != null && types.contains(entry.type()) && entry.count() > 0 && entry.count() <= most;
    }

    /** Whole numbers of one of the plain types, or fractions rounded to them; none if there are none. */
    long[] numbers(int tag) {
        TiffEntry entry = entries.get(tag);
        if (entry == null || !Set.of(SHORT, LONG, FRACTION).contains(entry.type())) {
            return new long[0];
        }
        ByteBuffer value = ByteBuffer.wrap(entry.value()).order(order);
        return LongStream.range(0, entry.count())
                .map(i -> number(value, entry.type()))
                .toArray();
    }

    private static long number(ByteBuffer value, int type) {
        if (type == SHORT) {
            return value.getShort() & 0xFFFF;
        }
        long above = value.getInt() & 0xFFFF_FFFFL;
        return type == LONG ? above : Math.round(above / Math.max(1.0, value.getInt() & 0xFFFF_FFFFL));
    }

    /** A text up to its end, empty if it is none. */
    public Optional<String> text(int tag) {
        return Optional.ofNullable(entries.get(tag))
                .filter(entry -> entry.type() == TEXT)
                .map(entry -> new String(entry.value(), StandardCharsets.UTF_8))
                .map(text -> text.indexOf('\0') < 0 ? text : text.substring(0, text.indexOf('\0')));
    }

    /** This directory with only these entries, and directories below, of its own. */
    public TiffDirectory only(Predicate<Integer> tags) {
        TiffDirectory kept = new TiffDirectory(order, table);
        kept.isCut = isCut;
        entries.forEach((tag, entry) -> {
            if (tags.test(tag)) {
                kept.entries.put(tag, entry);
            }
        });
        below.forEach((tag, directory) -> {
            if (tags.test(tag)) {
                kept.below.put(tag, directory);
            }
        });
        return kept;
    }

    /** This directory with another one in place of that below it. */
    public TiffDirectory withBelow(int tag, TiffDirectory directory) {
        TiffDirectory changed = only(any -> true);
        changed.below.put(tag, directory);
        return changed;
    }

    /** This directory with an entry of another one of its file, if that has it. */
    public TiffDirectory withOf(TiffDirectory other, int tag) {
        TiffDirectory changed = only(any -> true);
        Optional.ofNullable(other.entries.get(tag)).ifPresent(entry -> changed.entries.put(tag, entry));
        return changed;
    }

    /** This directory without an entry of the EXIF directory below it. */
    public TiffDirectory withoutInExif(int tag) {
        return below(EXIF)
                .map(exif -> withBelow(EXIF, exif.only(other -> other != tag)))
                .orElse(this);
    }

    /** This directory with a text. */
    public TiffDirectory withText(int tag, String text) {
        byte[] bytes = (text + "\0").getBytes(StandardCharsets.UTF_8);
        return with(tag, TEXT, bytes.length, bytes);
    }

    /** This directory with a text that is nothing behind its end. */
    public TiffDirectory withTextEnded(int tag) {
        byte[] value = entries.get(tag).value();
        int end = Bytes.indexOf(value, (byte) 0);
        int length = end < 0 ? value.length : end;
        return with(tag, TEXT, length + 1, Arrays.copyOf(Arrays.copyOf(value, length), length + 1));
    }

    /** This directory with a number from 0 to 65,535. */
    public TiffDirectory withShort(int tag, int value) {
        byte[] bytes =
                ByteBuffer.allocate(2).order(order).putShort((short) value).array();
        return with(tag, SHORT, 1, bytes);
    }

    /** This directory with a whole number. */
    public TiffDirectory withLong(int tag, int value) {
        return with(
                tag, LONG, 1, ByteBuffer.allocate(4).order(order).putInt(value).array());
    }

    /**
     * This directory with fractions.
     *
     * @param parts what is above and below of each
     */
    public TiffDirectory withFractions(int tag, int... parts) {
        ByteBuffer bytes = ByteBuffer.allocate(4 * parts.length).order(order);
        IntStream.of(parts).forEach(bytes::putInt);
        return with(tag, FRACTION, parts.length / 2, bytes.array());
    }

    /** This directory with bytes of no type. */
    public TiffDirectory withBytes(int tag, byte[] bytes) {
        return with(tag, UNTYPED, bytes.length, bytes);
    }

    private TiffDirectory with(int tag, int type, int count, byte[] value) {
        TiffDirectory changed = only(any -> true);
        changed.entries.put(tag, new TiffEntry(type, count, value, TiffEntry.NOWHERE));
        return changed;
    }
}
