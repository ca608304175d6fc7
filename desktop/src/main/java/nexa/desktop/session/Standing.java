package nexa.desktop.session;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import nexa.core.format.Format;
import nexa.core.series.Crops;
import nexa.core.series.StepFromLead;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;

/**
 * Where the work on a shoot stands.
 *
 * @param ready how many of the photos shown can be worked on
 * @param done how many of those are done, by format id
 * @param outOfStep how many followers are out of step in the format worked in
 */
public record Standing(int ready, Map<String, Integer> done, int outOfStep) {
    static final Standing NONE = new Standing(0, Map.of(), 0);

    public Standing {
        done = Map.copyOf(done);
    }

    /** How many are done in a format. */
    public int done(String format) {
        return done.getOrDefault(format, 0);
    }

    static Standing of(ShootNow now) {
        List<Photo> ready = now.photos().stream().filter(now::isReady).toList();
        Map<String, Integer> done = new HashMap<>();
        for (Format format : now.shoot().formats()) {
            int count = (int) ready.stream()
                    .filter(photo -> photo.entry(format.id()).isDone())
                    .count();
            done.put(format.id(), count);
        }
        Crops crops = new Crops(now.shoot());
        int out = (int) ready.stream()
                .filter(photo -> photo.entry(now.format().id()).placement() instanceof Placement.Follow)
                .filter(photo -> StepFromLead.of(crops, photo, now.format())
                        .map(StepFromLead::isOut)
                        .orElse(false))
                .count();
        return new Standing(ready.size(), done, out);
    }
}
