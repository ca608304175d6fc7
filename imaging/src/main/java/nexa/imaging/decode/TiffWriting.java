package nexa.imaging.decode;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** Writes what a {@link TiffDirectory} says: as a block of its own, or into a TIFF. */
public final class TiffWriting {
    private static final int HEADER = 8;
    /** A TIFF that says nothing: its header, and a first directory without entries. */
    private static final int EMPTY = HEADER + 6;
    /** The most bytes of a block that a JPEG has room for. */
    private static final int ROOM = 0xFFFF;
    /** How many bytes of a value of each type stand in one piece, so that they are turned round for another byte order. */
    private static final int[] PIECES = {0, 1, 1, 2, 4, 4, 1, 1, 2, 4, 4, 4, 8};

    private TiffWriting() {}

    /**
     * A block of its own that says just what a directory says. A maker's notes tell places from the beginning of their block,
     * so they stay where they were, if there is room for them in a JPEG there.
     */
    public static byte[] block(TiffDirectory said) {
        Optional<TiffEntry> notes = said.below(TiffDirectory.EXIF)
                .flatMap(exif -> Optional.ofNullable(exif.entries().get(TiffDirectory.MAKER_NOTE)))
                .filter(TiffWriting::mayStay);
        ByteOrder order = said.order();
        byte letter = (byte) (order == ByteOrder.BIG_ENDIAN ? 'M' : 'I');
        ByteBuffer start = ByteBuffer.allocate(
                        notes.map(entry -> entry.span().to()).orElse(EMPTY))
                .order(order);
        start.put(letter).put(letter).putShort((short) 42).putInt(HEADER);
        notes.ifPresent(entry -> start.put(entry.at(), entry.value()));
        return joined(said, start.array());
    }

    /**
     * A TIFF with a new first directory at its end, in which a directory's entries join those that are there.
     *
     * @param tiff beginning with its header, its first directory whole
     */
    public static byte[] joined(TiffDirectory said, byte[] tiff) {
        ByteBuffer file = ByteBuffer.wrap(tiff).order(tiff[0] == 'M' ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN);
        SortedMap<Integer, byte[]> there = new TreeMap<>();
        int first = file.getInt(4);
        for (int i = 0; i < (file.getShort(first) & 0xFFFF); i++) {
            byte[] entry = new byte[TiffDirectory.ENTRY];
            file.get(first + 2 + i * TiffDirectory.ENTRY, entry);
            there.put(file.getShort(first + 2 + i * TiffDirectory.ENTRY) & 0xFFFF, entry);
        }
        GrowingBytes out = new GrowingBytes(tiff);
        int at = append(said, out, file.order(), there);
        byte[] longer = out.bytes();
        ByteBuffer.wrap(longer).order(file.order()).putInt(4, at);
        return longer;
    }

    private static int append(TiffDirectory said, GrowingBytes out, ByteOrder to, SortedMap<Integer, byte[]> raw) {
        SortedMap<Integer, byte[]> all = new TreeMap<>(raw);
        said.entries().forEach((tag, entry) -> all.put(tag, new byte[0]));
        said.below().forEach((tag, directory) -> all.put(tag, new byte[0]));
        ByteBuffer directory =
                ByteBuffer.allocate(2 + all.size() * TiffDirectory.ENTRY + 4).order(to);
        directory.putShort((short) all.size());
        for (Map.Entry<Integer, byte[]> entry : all.entrySet()) {
            int tag = entry.getKey();
            if (said.below().containsKey(tag)) {
                int at = append(said.below().get(tag), out, to, new TreeMap<>());
                directory
                        .putShort((short) tag)
                        .putShort((short) TiffDirectory.LONG)
                        .putInt(1)
                        .putInt(at);
            } else if (said.entries().containsKey(tag)) {
                put(directory, tag, said.entries().get(tag), said.order(), out);
            } else {
                directory.put(entry.getValue());
            }
        }
        return out.add(directory.array());
    }

    private static void put(ByteBuffer directory, int tag, TiffEntry entry, ByteOrder order, GrowingBytes out) {
        byte[] value = order == directory.order() ? entry.value() : turned(entry);
        directory.putShort((short) tag).putShort((short) entry.type()).putInt(entry.count());
        if (tag == TiffDirectory.MAKER_NOTE && mayStay(entry) && out.beganWith(value, entry.at())) {
            directory.putInt(entry.at());
        } else if (value.length <= 4) {
            directory.put(Arrays.copyOf(value, 4));
        } else {
            directory.putInt(out.add(value));
        }
    }

    /** Its pieces turned round, for another byte order. */
    private static byte[] turned(TiffEntry entry) {
        int piece = PIECES[entry.type()];
        byte[] turned = entry.value().clone();
        for (int i = 0; i < turned.length; i++) {
            turned[i] = entry.value()[i / piece * piece + piece - 1 - i % piece];
        }
        return turned;
    }

    private static boolean mayStay(TiffEntry notes) {
        return notes.at() >= EMPTY && notes.span().to() <= ROOM;
    }
}
