package nexa.desktop.lineup;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.format.Format;
import nexa.core.geometry.Orientation;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.series.Step;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.desktop.session.ShootNow;

/**
 * The crops lined up, with how near each is to its lead.
 *
 * @param entries furthest out of step first, or in the shoot's order
 */
record LineUp(List<Entry> entries) {
    /** One crop. Only followers can be out of step: an own crop follows nobody on purpose. */
    record Entry(PhotoCrop crop, Optional<Step> step) {
        String file() {
            return crop.photo().file();
        }

        boolean follows() {
            return crop.state() == PhotoCrop.State.FOLLOW || crop.state() == PhotoCrop.State.TUNED;
        }

        boolean isOut() {
            return follows() && step.map(Step::isOut).orElse(false);
        }

        private double distance() {
            return isOut() ? step.orElseThrow().distance() : 0;
        }
    }

    /** The crops of an orientation, but for photos marked out, in the format worked in. */
    static LineUp of(ShootNow now, Orientation orientation, boolean furthestFirst) {
        Crops crops = new Crops(now.shoot());
        List<Entry> entries = now.photos().stream()
                .filter(photo -> now.isReady(photo)
                        && photo.mark() != Mark.OUT
                        && photo.size().orientation() == orientation)
                .map(photo -> entry(crops, photo, now.format()))
                .collect(Collectors.toCollection(ArrayList::new));
        if (furthestFirst) {
            entries.sort(Comparator.comparingDouble(Entry::distance).reversed());
        }
        return new LineUp(List.copyOf(entries));
    }

    static Entry entry(Crops crops, Photo photo, Format format) {
        return new Entry(crops.of(photo, format), Step.of(crops, photo, format));
    }

    List<String> files() {
        return entries.stream().map(Entry::file).toList();
    }

    Optional<Entry> find(String file) {
        return entries.stream().filter(entry -> entry.file().equals(file)).findFirst();
    }

    List<Entry> out() {
        return entries.stream().filter(Entry::isOut).toList();
    }
}
