package nexa.desktop.sheet;

import java.util.List;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** The rows of the sheet, and where photos lie in them. */
final class SheetRows {
    private final ObservableList<SheetRow> rows = FXCollections.observableArrayList();

    ObservableList<SheetRow> list() {
        return rows;
    }

    /** Leaves the rows that stay as they are alone, so that their photos need not be shown anew; false if all do. */
    boolean replace(List<SheetRow> fresh) {
        int same = 0;
        while (same < rows.size() && same < fresh.size() && rows.get(same).equals(fresh.get(same))) {
            same++;
        }
        if (same == rows.size() && same == fresh.size()) {
            return false;
        }
        if (same < rows.size()) {
            rows.subList(same, rows.size()).clear();
        }
        rows.addAll(fresh.subList(same, fresh.size()));
        return true;
    }

    private List<SheetRow.Photos> lines() {
        return rows.stream()
                .filter(SheetRow.Photos.class::isInstance)
                .map(SheetRow.Photos.class::cast)
                .toList();
    }

    /** The files as they lie on the sheet. */
    List<String> files() {
        return lines().stream().flatMap(line -> line.files().stream()).toList();
    }

    /** The first file at a row or below it. */
    Optional<String> firstFrom(int row) {
        return rows.stream()
                .skip(Math.max(0, row))
                .filter(SheetRow.Photos.class::isInstance)
                .findFirst()
                .map(found -> ((SheetRow.Photos) found).files().get(0));
    }

    /** The row of a file; −1 if it is not on the sheet. */
    int rowOf(String file) {
        for (int i = 0; i < rows.size(); i++) {
            if (rows.get(i) instanceof SheetRow.Photos line && line.files().contains(file)) {
                return i;
            }
        }
        return -1;
    }

    /** The file some places on as they lie: left and right through the run, up and down by rows. Empty if there is none. */
    Optional<String> moved(Optional<String> from, int right, int down) {
        List<SheetRow.Photos> lines = lines();
        int row = from.map(this::rowOf).orElse(-1);
        if (lines.isEmpty() || row < 0) {
            return lines.stream().findFirst().map(line -> line.files().get(0));
        }
        SheetRow.Photos here = (SheetRow.Photos) rows.get(row);
        if (down != 0) {
            int column = here.files().indexOf(from.orElseThrow());
            List<String> next = within(lines, lines.indexOf(here) + down).files();
            return Optional.of(next.get(Math.min(column, next.size() - 1)));
        }
        List<String> all = files();
        return Optional.of(within(all, all.indexOf(from.orElseThrow()) + right));
    }

    private static <T> T within(List<T> all, int index) {
        return all.get(Math.max(0, Math.min(all.size() - 1, index)));
    }
}
