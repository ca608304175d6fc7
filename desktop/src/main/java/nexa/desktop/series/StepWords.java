package nexa.desktop.series;

import nexa.core.format.Format;
import nexa.core.message.EnumName;
import nexa.core.series.StepFromLead;
import nexa.desktop.parts.Words;

/** Says in plain words how a crop differs from its lead's. */
public final class StepWords {
    private StepWords() {}

    /** The furthest difference: "subject 9 % lower", "14 % tighter"; "in step" within the tolerances. */
    public static String of(StepFromLead step) {
        if (step.isAccepted() && step.distance() > 1) {
            return Words.get("step.accepted");
        }
        if (step.isOut()) {
            return furthest(step);
        }
        return Words.get(step.place() == StepFromLead.Place.SEEN ? "step.in.seen" : "step.in");
    }

    private static String furthest(StepFromLead step) {
        Format.Tolerance tolerance = step.tolerance();
        double tight = Math.abs(step.tightness()) / tolerance.tightness();
        double across = Math.abs(step.off().x()) / tolerance.position();
        double down = Math.abs(step.off().y()) / tolerance.position();
        if (tight >= across && tight >= down) {
            return share(step.tightness() > 0 ? "step.tighter" : "step.looser", step.tightness());
        }
        String what = "step." + EnumName.of(step.place()) + ".";
        return across >= down
                ? share(
                        what + (step.off().x() > 0 ? "right" : "left"),
                        step.off().x())
                : share(
                        what + (step.off().y() > 0 ? "lower" : "higher"),
                        step.off().y());
    }

    private static String share(String key, double share) {
        return Words.get(key, Words.number(100 * Math.abs(share), 0));
    }
}
