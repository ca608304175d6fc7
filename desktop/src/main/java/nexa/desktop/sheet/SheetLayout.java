package nexa.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import nexa.core.find.FoundSubject;
import nexa.core.format.Format;
import nexa.core.shoot.Lane;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootNow;
import nexa.desktop.session.WorkedOut;

/**
 * How the photos of a shoot lie on the sheet.
 *
 * @param seen what photos are about, as far as that was looked for, by file
 * @param across how many wide prints lie side by side
 * @param width of the sheet
 * @param folder of the photos, for what is said where there are none
 */
record SheetLayout(SheetFilter filter, Map<String, FoundSubject> seen, int across, double width, String folder) {
    private static final double SIDES = 40;
    private static final double NARROWEST = 60;

    /** The rows in their lanes; those not read yet come last. */
    List<SheetRow> rows(WorkedOut workedOut) {
        ShootNow now = workedOut.now();
        double print = Math.max(NARROWEST, (width - SIDES) / across - SheetRow.GAP);
        Map<Boolean, List<Photo>> known = now.photos().stream()
                .filter(photo -> filter.lets(workedOut, seen, photo))
                .collect(Collectors.partitioningBy(photo -> photo.pixels().isPresent()));
        List<SheetRow> rows = new ArrayList<>();
        for (Lane lane : Lane.values()) {
            List<Photo> inLane = known.get(true).stream()
                    .filter(photo -> photo.lane() == lane)
                    .toList();
            addLane(rows, Words.of("lane", lane), inLane, SheetRow.photoSize(lane, print), now.format());
        }
        addLane(rows, Words.get("lane.unread"), known.get(false), SheetRow.photoSize(Lane.WIDE, print), now.format());
        long toLook = filter.goesBySubjects() ? toLook(now) : 0;
        if (toLook > 0) {
            rows.add(new SheetRow.Note(Words.get("sheet.looking", toLook)));
        } else if (rows.isEmpty()) {
            rows.add(new SheetRow.Note(
                    now.photos().isEmpty() ? Words.get("sheet.empty", folder) : Words.get("sheet.none")));
        }
        return rows;
    }

    /** How many photos were not looked at yet. */
    private long toLook(ShootNow now) {
        return now.photos().stream()
                .filter(photo -> now.isReady(photo) && !seen.containsKey(photo.file()))
                .count();
    }

    private void addLane(List<SheetRow> to, String name, List<Photo> photos, SheetRow.PhotoSize size, Format format) {
        if (photos.isEmpty()) {
            return;
        }
        long done = photos.stream()
                .filter(photo -> photo.entry(format.id()).isDone())
                .count();
        List<String> files = photos.stream().map(Photo::file).toList();
        String lead = format.leads().values().stream()
                .filter(files::contains)
                .findFirst()
                .map(file -> Words.get("lane.lead", PhotoNames.base(file)))
                .orElse("");
        to.add(new SheetRow.Heading(name, Words.get("lane.counts", photos.size(), done) + lead, files));
        int inRow = (int) Math.max(1, (width - SIDES + SheetRow.GAP) / (size.width() + SheetRow.GAP));
        for (int i = 0; i < files.size(); i += inRow) {
            to.add(new SheetRow.Photos(files.subList(i, Math.min(files.size(), i + inRow)), size));
        }
    }
}
