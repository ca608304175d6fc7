package nexa.desktop.lineup;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.series.StepFromLead;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.desktop.session.ShootNow;

/** The crops lined up, furthest out of step first or in the shoot's order, with how near each is to its lead. */
final class LineUp {
    static final LineUp EMPTY = new LineUp(List.of());

    private final List<Entry> entries;
    private final List<String> files;
    private final List<Entry> out;
    private final Map<String, Integer> places = new HashMap<>();

    private LineUp(List<Entry> entries) {
        this.entries = List.copyOf(entries);
        this.files = entries.stream().map(Entry::file).toList();
        this.out = entries.stream().filter(Entry::isOut).toList();
        for (int i = 0; i < files.size(); i++) {
            places.put(files.get(i), i);
        }
    }

    /** One crop. Only followers can be out of step: an own crop follows nobody on purpose. */
    record Entry(PhotoCrop crop, Optional<StepFromLead> step) {
        String file() {
            return crop.photo().file();
        }

        boolean follows() {
            return crop.state() == PhotoCrop.State.FOLLOW || crop.state() == PhotoCrop.State.TUNED;
        }

        boolean isOut() {
            return follows() && step.map(StepFromLead::isOut).orElse(false);
        }

        /** Whether it is the lead, or near enough to it. */
        boolean isIn() {
            return crop.state() == PhotoCrop.State.LEAD || follows() && step.isPresent() && !isOut();
        }

        private double distance() {
            return isOut() ? step.orElseThrow().distance() : 0;
        }
    }

    /**
     * The crops of an orientation, but for photos marked out, in the format worked in.
     *
     * @param seen subjects that were found, to measure by where nothing is marked
     */
    static LineUp of(ShootNow now, Orientation orientation, boolean furthestFirst, Map<String, Subject> seen) {
        Crops crops = new Crops(now.shoot());
        List<Entry> entries = now.photos().stream()
                .filter(photo -> now.isReady(photo) && photo.mark() != Mark.OUT && photo.orientation() == orientation)
                .map(photo -> entry(crops, photo, now.format(), seen))
                .collect(Collectors.toCollection(ArrayList::new));
        if (furthestFirst) {
            entries.sort(Comparator.comparingDouble(Entry::distance).reversed());
        }
        return new LineUp(entries);
    }

    static Entry entry(Crops crops, Photo photo, Format format, Map<String, Subject> seen) {
        return new Entry(crops.of(photo, format), StepFromLead.of(crops, photo, format, seen));
    }

    /** The files in this order. */
    List<String> files() {
        return files;
    }

    /** In this order. */
    List<Entry> entries() {
        return entries;
    }

    Optional<Entry> find(String file) {
        return Optional.ofNullable(places.get(file)).map(entries::get);
    }

    /** Those out of step, in this order. */
    List<Entry> out() {
        return out;
    }
}
