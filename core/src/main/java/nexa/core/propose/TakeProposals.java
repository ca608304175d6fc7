package nexa.core.propose;

import java.util.Map;
import nexa.core.series.Adjust;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;

/** Takes proposals: each becomes its photo's crop, as if it had been made by hand. */
public final class TakeProposals {
    private TakeProposals() {}

    /** Whether something was said of a photo's crop already, so that a proposal is not what it waits for. */
    public static boolean isDone(Photo photo, String format) {
        return !photo.entry(format).equals(CropEntry.UNTOUCHED);
    }

    /**
     * The shoot with proposals as crops in a format; photos that are not in it any more, or not read, are passed over.
     *
     * @param proposals by file
     */
    public static Shoot of(Shoot shoot, String format, Map<String, Proposal> proposals) {
        Shoot taken = shoot;
        for (Map.Entry<String, Proposal> each : proposals.entrySet()) {
            boolean isThere =
                    shoot.find(each.getKey()).filter(Photo::isCroppable).isPresent();
            taken = isThere
                    ? new Adjust(taken, each.getKey(), format)
                            .to(each.getValue().crop())
                    : taken;
        }
        return taken;
    }
}
