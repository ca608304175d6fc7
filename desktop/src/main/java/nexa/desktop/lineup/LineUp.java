package nexa.desktop.lineup;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.geometry.Orientation;
import nexa.core.series.CropTable;
import nexa.core.series.Crops;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.desktop.session.ShootNow;
import nexa.desktop.session.WorkedOut;

/** The crops lined up, furthest out of step first or in the shoot's order, with how near each is to its lead. */
final class LineUp {
    static final LineUp EMPTY = new LineUp(List.of());

    private final List<CropTable.Row> entries;
    private final List<String> files;
    private final List<CropTable.Row> out;
    private final Map<String, Integer> places = new HashMap<>();

    private LineUp(List<CropTable.Row> entries) {
        this.entries = List.copyOf(entries);
        this.files = entries.stream().map(CropTable.Row::file).toList();
        this.out = entries.stream().filter(CropTable.Row::isOut).toList();
        for (int i = 0; i < files.size(); i++) {
            places.put(files.get(i), i);
        }
    }

    /**
     * The crops of an orientation, but for photos marked out, in the format worked in.
     *
     * @param seen subjects that were found, to measure by where nothing is marked
     */
    static LineUp of(WorkedOut known, Orientation orientation, boolean furthestFirst, Map<String, Subject> seen) {
        ShootNow now = known.now();
        Crops crops = new Crops(now.shoot());
        List<CropTable.Row> rows = known.crops().rows().stream()
                .filter(row -> isLinedUp(row.crop().photo(), orientation))
                .map(row -> seen.isEmpty()
                        ? row
                        : CropTable.Row.of(crops, row.crop().photo(), now.format(), seen, now.levels()))
                .collect(Collectors.toCollection(ArrayList::new));
        if (furthestFirst) {
            rows.sort(Comparator.comparingDouble(LineUp::distance).reversed());
        }
        return new LineUp(rows);
    }

    private static boolean isLinedUp(Photo photo, Orientation orientation) {
        return photo.mark() != Mark.OUT && photo.orientation() == orientation;
    }

    private static double distance(CropTable.Row row) {
        return row.isOut() ? row.step().orElseThrow().distance() : 0;
    }

    /** The files in this order. */
    List<String> files() {
        return files;
    }

    /** In this order. */
    List<CropTable.Row> entries() {
        return entries;
    }

    Optional<CropTable.Row> find(String file) {
        return Optional.ofNullable(places.get(file)).map(entries::get);
    }

    /** Those out of step, in this order. */
    List<CropTable.Row> out() {
        return out;
    }
}
