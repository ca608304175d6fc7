package nexa.imaging.decode;

import com.drew.lang.ByteArrayReader;
import com.drew.lang.RandomAccessReader;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.LongStream;

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

    /** What stands in every TIFF behind the byte order. */
    private static final Set<Integer> TIFF = Set.of(42);

    private static final int HEADER = 8;
    static final int ENTRY = 12;
    private static final int TEXT = 2;
    private static final int SHORT = 3;
    private static final int LONG = 4;
    private static final int FRACTION = 5;
    /** How many bytes a value of each type takes, by the type's number. */
    private static final int[] BYTES = {0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8};
    /** Which of them stand in one piece, so that they are turned round for another byte order. */
    private static final int[] PIECES = {0, 1, 1, 2, 4, 4, 1, 1, 2, 4, 4, 4, 8};

    /** A value as it stands in the file. */
    private record Entry(int type, int count, byte[] value) {}

    private final ByteOrder order;
    private final SortedMap<Integer, Entry> entries;
    private final SortedMap<Integer, TiffDirectory> below;

    private TiffDirectory(ByteOrder order, SortedMap<Integer, Entry> entries, SortedMap<Integer, TiffDirectory> below) {
        this.order = order;
        this.entries = entries;
        this.below = below;
    }

    /** A directory that says nothing. */
    public static TiffDirectory empty(ByteOrder order) {
        return new TiffDirectory(order, new TreeMap<>(), new TreeMap<>());
    }

    /** The first directory of a block or a file; empty if it is none. */
    public static Optional<TiffDirectory> read(byte[] tiff) {
        return read(new ByteArrayReader(tiff));
    }

    /** As {@link #read(byte[])}. */
    static Optional<TiffDirectory> read(RandomAccessReader tiff) {
        try {
            return Optional.of(read(tiff, setOrder(tiff, TIFF), firstAt(tiff), DEEPEST));
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
            return second == 0 ? Optional.empty() : Optional.of(read(reader, order, second, 1));
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
    static TiffDirectory read(RandomAccessReader tiff, ByteOrder order, int at, int depth) throws IOException {
        TiffDirectory directory = empty(order);
        int count = Math.min(MOST_ENTRIES, tiff.getUInt16(at));
        for (int i = 0; i < count; i++) {
            int entry = at + 2 + i * ENTRY;
            try {
                int tag = tiff.getUInt16(entry);
                if (BELOW.contains(tag) && depth > 1) {
                    directory.below.put(tag, read(tiff, order, tiff.getInt32(entry + 8), depth - 1));
                } else if (!BELOW.contains(tag)) {
                    value(tiff, entry).ifPresent(value -> directory.entries.put(tag, value));
                }
            } catch (IOException e) {
                // One broken entry is no reason to lose the others.
                directory.entries.remove(-1);
            }
        }
        return directory;
    }

    private static Optional<Entry> value(RandomAccessReader tiff, int at) throws IOException {
        int type = tiff.getUInt16(at + 2);
        long count = tiff.getUInt32(at + 4);
        if (type == 0 || type >= BYTES.length || count * BYTES[type] > LARGEST_VALUE) {
            return Optional.empty();
        }
        int length = (int) count * BYTES[type];
        int from = length <= 4 ? at + 8 : tiff.getInt32(at + 8);
        return Optional.of(new Entry(type, (int) count, tiff.getBytes(from, length)));
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

    /** Whole numbers of one of the plain types, or fractions rounded to them; none if there are none. */
    long[] numbers(int tag) {
        Entry entry = entries.get(tag);
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
        TiffDirectory kept = empty(order);
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

    /** This directory without an entry of the EXIF directory below it. */
    public TiffDirectory withoutInExif(int tag) {
        return below(EXIF)
                .map(exif -> withBelow(EXIF, exif.only(other -> other != tag)))
                .orElse(this);
    }

    /** This directory with a text. */
    public TiffDirectory withText(int tag, String text) {
        byte[] bytes = (text + "\0").getBytes(StandardCharsets.UTF_8);
        TiffDirectory changed = only(any -> true);
        changed.entries.put(tag, new Entry(TEXT, bytes.length, bytes));
        return changed;
    }

    /** Which of these entries has the largest value; empty if all fit into the entries themselves. */
    public Optional<Integer> largest(Predicate<Integer> tags) {
        return entries.entrySet().stream()
                .filter(entry -> tags.test(entry.getKey()) && entry.getValue().value().length > 4)
                .max(Map.Entry.comparingByValue(
                        (one, other) -> Integer.compare(one.value().length, other.value().length)))
                .map(Map.Entry::getKey);
    }

    /** A block of its own that says just this. */
    public byte[] block() {
        ByteBuffer header = ByteBuffer.allocate(HEADER).order(order);
        header.put((byte) (order == ByteOrder.BIG_ENDIAN ? 'M' : 'I'));
        header.put((byte) (order == ByteOrder.BIG_ENDIAN ? 'M' : 'I'));
        header.putShort((short) 42);
        return appendedTo(header.array(), order, new TreeMap<>());
    }

    /**
     * A file with a new first directory at its end, in which this one's entries join those that are there.
     *
     * @param file beginning with its header
     * @param fileOrder the byte order of the file
     * @param raw entries as they stand in the file; this directory's own take their place
     */
    public byte[] appendedTo(byte[] file, ByteOrder fileOrder, SortedMap<Integer, byte[]> raw) {
        GrowingBytes out = new GrowingBytes(file);
        int at = append(out, fileOrder, raw);
        byte[] longer = out.bytes();
        ByteBuffer.wrap(longer).order(fileOrder).putInt(4, at);
        return longer;
    }

    private int append(GrowingBytes out, ByteOrder to, SortedMap<Integer, byte[]> raw) {
        SortedMap<Integer, byte[]> all = new TreeMap<>(raw);
        entries.forEach((tag, entry) -> all.put(tag, new byte[0]));
        below.forEach((tag, directory) -> all.put(tag, new byte[0]));
        ByteBuffer directory = ByteBuffer.allocate(2 + all.size() * ENTRY + 4).order(to);
        directory.putShort((short) all.size());
        for (Map.Entry<Integer, byte[]> entry : all.entrySet()) {
            int tag = entry.getKey();
            if (below.containsKey(tag)) {
                int at = below.get(tag).append(out, to, new TreeMap<>());
                directory.putShort((short) tag).putShort((short) LONG).putInt(1).putInt(at);
            } else if (entries.containsKey(tag)) {
                put(directory, tag, entries.get(tag), out);
            } else {
                directory.put(entry.getValue());
            }
        }
        return out.add(directory.array());
    }

    private void put(ByteBuffer directory, int tag, Entry entry, GrowingBytes out) {
        byte[] value = turned(entry, directory.order());
        directory.putShort((short) tag).putShort((short) entry.type()).putInt(entry.count());
        if (value.length <= 4) {
            directory.put(Arrays.copyOf(value, 4));
        } else {
            directory.putInt(out.add(value));
        }
    }

    private byte[] turned(Entry entry, ByteOrder to) {
        int piece = PIECES[entry.type()];
        if (to == order || piece == 1) {
            return entry.value();
        }
        byte[] turned = entry.value().clone();
        for (int i = 0; i < turned.length; i++) {
            turned[i] = entry.value()[i / piece * piece + piece - 1 - i % piece];
        }
        return turned;
    }
}
