package nexa.core.propose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;

/** How good a crop is, by what is seen in it, and what speaks for it. Coordinates are in cells of the {@link ScreenMap}. */
final class CropScore {
    private static final double[] THIRDS = {1 / 3.0, 2 / 3.0};
    private static final double[] SECTIONS = {0.381966, 0.618034};
    private static final double[] MIDDLE = {0.5};
    private static final double[] UPPER_THIRD = {1 / 3.0};
    private static final double[] UPPER_SECTION = {0.381966};

    /** Less of all that stands out is not enough. */
    private static final double LEAST_KEPT = 0.35;

    /** How deep along a side something counts as cut by it. */
    private static final double FRAME = 2;

    /** A thing nearer to a side than this share of the crop is not in it. */
    private static final double AT_SIDE = 0.05;

    /** So much of the crop is room around a thing. */
    private static final double ROOM = 0.06;

    /** A crop that is this much smaller than the largest is close. */
    private static final double CLOSE = 0.72;

    /** What a reason weighs is told by; the heavier one is said first. */
    private record Said(Reason reason, double weight) {}

    private final ScreenMap map;
    private final Optional<Scene.Thing> thing;
    private final List<Double> edges;
    private final Bounds crop;
    private final double size;
    private final double width;
    private final double height;
    private final List<Said> said = new ArrayList<>();
    private double score;

    private CropScore(ScreenMap map, Optional<Scene.Thing> thing, List<Double> edges, Bounds crop, double size) {
        this.map = map;
        this.thing = thing;
        this.edges = edges;
        this.crop = crop;
        this.size = size;
        this.width = crop.extent().x();
        this.height = crop.extent().y();
    }

    /**
     * Scores a crop.
     *
     * @param thing what it is about, in cells
     * @param edges where level edges lie downwards, in cells
     * @param size its width as a share of the largest's
     * @return empty if it is no crop to propose
     */
    static Optional<CropScore> of(
            ScreenMap map, Optional<Scene.Thing> thing, List<Double> edges, Bounds crop, double size) {
        CropScore score = new CropScore(map, thing, edges, crop, size);
        return score.add() ? Optional.of(score) : Optional.empty();
    }

    double score() {
        return score;
    }

    /** The two strongest. */
    List<Reason> reasons() {
        List<Reason> strongest = said.stream()
                .sorted(Comparator.comparingDouble(one -> -one.weight()))
                .map(Said::reason)
                .filter(reason -> reason != Reason.SUBJECT_MIDDLE)
                .limit(2)
                .toList();
        if (!strongest.isEmpty()) {
            return strongest;
        }
        boolean isMiddle = said.stream().anyMatch(one -> one.reason() == Reason.SUBJECT_MIDDLE);
        return List.of(isMiddle ? Reason.SUBJECT_MIDDLE : Reason.NOTHING_CUT);
    }

    private boolean add() {
        double total = map.total() + 1e-6;
        double kept = map.weight(crop) / total;
        if (kept < LEAST_KEPT && thing.isEmpty() || kept < LEAST_KEPT / 2) {
            return false;
        }
        double cutBySides = cutBySides();
        score += Math.pow(kept, 0.7) - 1.2 * cutBySides;
        if (thing.isPresent() && !addThing(thing.get())) {
            return false;
        }
        addEdges();
        Point middle = map.middle(crop).minus(crop.least());
        score -= 0.35 * (Math.abs(middle.x() / width - 0.5) * 1.2 + Math.abs(middle.y() / height - 0.5) * 0.6);
        score -= 0.5 * (1 - size) * (thing.isPresent() ? 0.25 : 0.9);
        if (size > 0.999) {
            say(Reason.MOST_OF_PHOTO, 0.2);
        } else if (size <= CLOSE && thing.isPresent()) {
            say(Reason.CLOSE, 0.15);
        }
        if (kept > 0.8 && cutBySides < 0.04) {
            say(Reason.NOTHING_CUT, 0.1);
        }
        return true;
    }

    private void say(Reason reason, double weight) {
        said.add(new Said(reason, weight));
    }

    /** How much stands out along those sides that are not the photo's own. */
    private double cutBySides() {
        double left = crop.least().x();
        double top = crop.least().y();
        double right = crop.most().x();
        double bottom = crop.most().y();
        double sum = 0;
        int count = 0;
        if (top > FRAME) {
            sum += map.weight(left, top, right, top + FRAME) / width / FRAME;
            count++;
        }
        if (bottom < map.height() - FRAME) {
            sum += map.weight(left, bottom - FRAME, right, bottom) / width / FRAME;
            count++;
        }
        if (left > FRAME) {
            sum += map.weight(left, top, left + FRAME, bottom) / height / FRAME;
            count++;
        }
        if (right < map.width() - FRAME) {
            sum += map.weight(right - FRAME, top, right, bottom) / height / FRAME;
            count++;
        }
        return count == 0 ? 0 : sum / count;
    }

    private boolean addThing(Scene.Thing about) {
        double u = (about.anchor().x() - crop.least().x()) / width;
        double v = (about.anchor().y() - crop.least().y()) / height;
        if (u < AT_SIDE || u > 1 - AT_SIDE || v < AT_SIDE || v > 1 - AT_SIDE) {
            return false;
        }
        Point box = about.box().extent();
        double fills = Math.max(box.x() / width, box.y() / height);
        boolean isBig = box.x() / width > 0.5 || box.y() / height > 0.62;
        double across = addAcross(u, isBig);
        double down = about.eyes().isPresent() ? addEyes(v) : addDown(v, isBig);
        double sure = about.confidence();
        score += sure * (0.62 * across + 0.38 * down);
        score -= 1.4 * cut(about.box()) * (0.4 + 0.6 * sure);
        double margin = margin(about.box());
        score += 0.8 * sure * Math.max(-0.5, Math.min(1, margin / 0.09));
        if (margin >= ROOM) {
            say(Reason.ROOM_AROUND, 0.18);
        }
        double wished = Math.min(0.55, Math.max(0.35, fills));
        score -= 0.5 * Math.abs(fills - wished) * 1.6 * sure;
        return true;
    }

    private double addAcross(double u, boolean isBig) {
        double third = near(u, THIRDS, 0.07);
        double section = near(u, SECTIONS, 0.06);
        double middle = near(u, MIDDLE, 0.05);
        double off = Math.max(third, section * 0.98);
        double centred = middle * (isBig ? 1 : 0.72);
        if (centred >= off && middle > 0.6) {
            say(Reason.SUBJECT_MIDDLE, 0.62 * centred);
        } else if (off > 0.6 && (u < 0.45 || u > 0.55)) {
            say(Reason.subjectAcross(u < 0.5, third >= section), 0.62 * off);
        }
        return Math.max(off, centred);
    }

    private double addDown(double v, boolean isBig) {
        double third = near(v, THIRDS, 0.08) * 0.95;
        double section = near(v, SECTIONS, 0.07) * 0.95;
        double middle = near(v, MIDDLE, 0.08) * (isBig ? 1 : 0.8);
        double best = Math.max(third, Math.max(section, middle));
        if (third > 0.66 && third >= section) {
            say(v < 0.5 ? Reason.SUBJECT_UPPER_THIRD : Reason.SUBJECT_LOWER_THIRD, 0.3 * best);
        }
        return best;
    }

    /** Eyes look well on an upper guide only. */
    private double addEyes(double v) {
        double third = near(v, UPPER_THIRD, 0.08);
        double section = near(v, UPPER_SECTION, 0.07);
        double best = Math.max(Math.max(third, section), 0.6 * near(v, MIDDLE, 0.08));
        if (third > 0.66 && third >= section) {
            say(Reason.EYES_UPPER_THIRD, 0.5 * best);
        } else if (section > 0.66) {
            say(Reason.EYES_UPPER_SECTION, 0.5 * best);
        }
        return best;
    }

    /** How much of a box is outside; not where the photo ends there too. */
    private double cut(Bounds box) {
        double across = Math.max(0, crop.least().x() - box.least().x())
                + Math.max(0, box.most().x() - crop.most().x());
        double down = Math.max(0, crop.least().y() - box.least().y())
                + Math.max(0, box.most().y() - crop.most().y());
        double share = across / Math.max(4, box.extent().x())
                + down / Math.max(4, box.extent().y());
        return Math.min(1, 2 * share);
    }

    /** The least room between a box and the sides, as a share of the crop; a side that is the photo's gives room enough. */
    private double margin(Bounds box) {
        double enough = 0.2;
        double left = crop.least().x() > 0.5 ? (box.least().x() - crop.least().x()) / width : enough;
        double right = crop.most().x() < map.width() - 0.5
                ? (crop.most().x() - box.most().x()) / width
                : enough;
        double top = crop.least().y() > 0.5 ? (box.least().y() - crop.least().y()) / height : enough;
        double bottom = crop.most().y() < map.height() - 0.5
                ? (crop.most().y() - box.most().y()) / height
                : enough;
        return Math.min(Math.min(left, right), Math.min(top, bottom));
    }

    private void addEdges() {
        double best = 0;
        Optional<Reason> reason = Optional.empty();
        for (double edge : edges) {
            double v = (edge - crop.least().y()) / height;
            if (v > 0.03 && v < 0.97) {
                double third = near(v, THIRDS, 0.05);
                double section = near(v, SECTIONS, 0.05);
                double good = Math.max(third, section) - 0.5 * near(v, MIDDLE, 0.06);
                if (Math.abs(good) > Math.abs(best)) {
                    best = good;
                    reason = Optional.of(Reason.edge(v < 0.5, third >= section));
                }
            }
        }
        if (best > 0.6) {
            say(reason.orElseThrow(), 0.5 * best);
        }
        score += 0.7 * best;
    }

    /** 1 at one of some places, and less away from it. */
    private static double near(double place, double[] wished, double tolerance) {
        double most = 0;
        for (double one : wished) {
            double off = (place - one) / tolerance;
            most = Math.max(most, Math.exp(-off * off));
        }
        return most;
    }
}
