package nexa.desktop.session;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import nexa.core.format.Format;
import nexa.core.series.CropTable;

/**
 * Where the work on a shoot stands.
 *
 * @param ready how many of the photos shown can be worked on
 * @param done how many of those are done, by format id
 * @param outOfStep how many followers are out of step in the format worked in
 */
public record Tally(int ready, Map<String, Integer> done, int outOfStep) {
    static final Tally NONE = new Tally(0, Map.of(), 0);

    public Tally {
        done = Map.copyOf(done);
    }

    /** How many are done in a format. */
    public int done(String format) {
        return done.getOrDefault(format, 0);
    }

    static Tally of(List<Format> formats, CropTable crops) {
        Map<String, Integer> done = new HashMap<>();
        for (Format format : formats) {
            long count = crops.rows().stream()
                    .filter(row -> row.crop().photo().entry(format.id()).isDone())
                    .count();
            done.put(format.id(), (int) count);
        }
        long out = crops.rows().stream().filter(CropTable.Row::isOut).count();
        return new Tally(crops.rows().size(), done, (int) out);
    }
}
