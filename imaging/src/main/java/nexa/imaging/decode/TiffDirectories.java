package nexa.imaging.decode;

import com.drew.lang.RandomAccessReader;
import java.io.IOException;
import java.nio.ByteOrder;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** All directories of a TIFF: those that follow one another, and those that lie inside them. */
final class TiffDirectories {
    /** By the rule, and in the own ways of some makers of cameras, whose raw files are TIFFs otherwise. */
    private static final Set<Integer> MAGICS = Set.of(42, 0x4F52, 0x5352, 0x0055);

    private static final int INSIDE = 330;
    private static final int MOST = 32;

    private TiffDirectories() {}

    /** As many as can be read, the first one first; none if it is no TIFF. */
    static List<TiffDirectory> of(RandomAccessReader tiff) {
        List<TiffDirectory> found = new ArrayList<>();
        try {
            ByteOrder order = TiffDirectory.setOrder(tiff, MAGICS);
            TiffDirectory.Allowance allowance = new TiffDirectory.Allowance();
            Deque<Integer> places = new ArrayDeque<>(List.of(TiffDirectory.firstAt(tiff)));
            Set<Integer> seen = new HashSet<>();
            while (!places.isEmpty() && found.size() < MOST) {
                int at = places.removeFirst();
                if (at > 0 && seen.add(at)) {
                    found.add(TiffDirectory.read(tiff, order, at, TiffDirectory.DEEPEST, allowance));
                    places.addAll(after(tiff, at, found.get(found.size() - 1)));
                }
            }
        } catch (IOException e) {
            // Where a broken one would have led is not known; what was found before is used.
            return found;
        }
        return found;
    }

    private static List<Integer> after(RandomAccessReader tiff, int at, TiffDirectory directory) throws IOException {
        List<Integer> places = new ArrayList<>();
        for (long inside : directory.numbers(INSIDE)) {
            places.add((int) inside);
        }
        places.add(tiff.getInt32(at + 2 + TiffDirectory.ENTRY * tiff.getUInt16(at)));
        return places;
    }
}
