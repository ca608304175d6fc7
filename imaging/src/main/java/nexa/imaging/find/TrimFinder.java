package nexa.imaging.find;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import nexa.core.find.BorderClaim;
import nexa.core.find.BorderSide;
import nexa.core.find.FoundTrim;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Trim;
import nexa.core.shoot.Trim.Side;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/** Finds plain borders, bars and transparent margins, to the pixel. Each side is measured between the others. */
public final class TrimFinder {
    /** A shorter side cannot be measured. */
    private static final int LEAST = SideProfile.BLOCKS;

    private static final int LEAST_DEPTH = 12;

    /** How far inwards it looks, as shares of the picture: first where borders mostly end, which is much faster. */
    private static final double NEAR = 0.1;

    private static final double FAR = 0.42;

    private static final double MOST_NEAR = 0.06;

    private static final int ROUNDS = 2;

    /** So many pixels are looked at behind the edge that a frame should have. */
    private static final int FURTHER = 40;

    /** What is seen through less, of 255, counts as picture. */
    private static final int TRANSPARENT = 8;

    private final Mat bgra;
    private final BooleanSupplier isUnwanted;
    private final Map<Side, Measured> measured = new EnumMap<>(Side.class);
    private final Map<Side, Integer> cuts = new EnumMap<>(Side.class);

    /** A side as it was measured between two others. */
    private record Measured(int from, int to, Optional<BorderSide> side) {}

    private TrimFinder(Mat bgra, BooleanSupplier isUnwanted) {
        this.bgra = bgra;
        this.isUnwanted = isUnwanted;
    }

    /**
     * Finds them.
     *
     * @param bgra as seen, 8 bits, four channels
     * @param isUnwanted asked between all stages: once it is, none begins any more
     * @return empty if it is unwanted
     */
    public static Optional<FoundTrim> find(Mat bgra, BooleanSupplier isUnwanted) {
        return new TrimFinder(bgra, isUnwanted).found();
    }

    private Optional<FoundTrim> found() {
        Optional<FoundTrim> margin = transparent();
        if (margin.isPresent()) {
            return margin;
        }
        for (Side side : Side.values()) {
            cuts.put(side, 0);
        }
        for (int round = 0; round < ROUNDS; round++) {
            for (Side side : new Side[] {Side.TOP, Side.BOTTOM, Side.LEFT, Side.RIGHT}) {
                if (isUnwanted.getAsBoolean()) {
                    return Optional.empty();
                }
                measure(side);
            }
        }
        Map<Side, BorderSide> sides = new EnumMap<>(Side.class);
        measured.forEach((side, found) -> found.side().ifPresent(border -> sides.put(side, border)));
        frameDepth(sides)
                .ifPresent(depth -> measured.forEach((side, found) -> {
                    if (found.side().filter(BorderSide::isBorder).isEmpty()) {
                        measuredAt(depth, side, found).ifPresent(border -> sides.put(side, border));
                    }
                }));
        return Optional.of(found(BorderClaim.of(sides)));
    }

    /** How wide a frame is if two of its sides are, and are equally wide. */
    private static Optional<Double> frameDepth(Map<Side, BorderSide> sides) {
        List<Double> depths = sides.values().stream()
                .filter(BorderSide::isBorder)
                .map(BorderSide::depth)
                .sorted()
                .toList();
        for (int i = 0; i + 1 < depths.size(); i++) {
            if (depths.get(i + 1) - depths.get(i) <= 1) {
                return Optional.of(depths.get(i));
            }
        }
        return Optional.empty();
    }

    private Optional<BorderSide> measuredAt(double depth, Side side, Measured found) {
        int most = Math.min((int) depth + FURTHER, length(side) / 2);
        boolean canBe = found.to() - found.from() >= LEAST && most > depth;
        return canBe ? look(side, found.from(), found.to(), most).sideAt(depth) : Optional.empty();
    }

    private FoundTrim found(Map<Side, BorderSide> claimed) {
        Trim trim = Trim.NONE;
        for (Map.Entry<Side, BorderSide> side : claimed.entrySet()) {
            trim = trim.with(side.getKey(), (double) side.getValue().cut() / length(side.getKey()));
        }
        if (trim.isNone()) {
            return FoundTrim.NONE;
        }
        FoundTrim.Reason reason = claimed.size() == 1 ? FoundTrim.Reason.ONE_SIDE : FoundTrim.Reason.PLAIN_SIDES;
        return new FoundTrim(reason, trim, BorderClaim.confidence(claimed.keySet()));
    }

    /** How long the picture is from a side inwards. */
    private int length(Side side) {
        return side.isUpright() ? bgra.cols() : bgra.rows();
    }

    private void measure(Side side) {
        Side before = side.isUpright() ? Side.TOP : Side.LEFT;
        int from = cuts.get(before);
        int to = (side.isUpright() ? bgra.rows() : bgra.cols()) - cuts.get(before.opposite());
        Measured known = measured.get(side);
        if (known != null && known.from() == from && known.to() == to) {
            return;
        }
        Optional<BorderSide> found = measured(side, from, to);
        measured.put(side, new Measured(from, to, found));
        cuts.put(side, found.filter(BorderSide::isBorder).map(BorderSide::cut).orElse(0));
    }

    private Optional<BorderSide> measured(Side side, int from, int to) {
        int near = (int) (length(side) * NEAR);
        int far = (int) (length(side) * FAR);
        boolean canBe = to - from >= LEAST
                && far >= LEAST_DEPTH
                && look(side, from, to, BorderMeasure.OUTER).isPlain();
        if (!canBe) {
            return Optional.empty();
        }
        if (near >= LEAST_DEPTH) {
            BorderMeasure measure = look(side, from, to, near);
            Optional<BorderSide> found = measure.side();
            // Where the picture begins so near in places, no border ends further inwards.
            if (found.filter(BorderSide::isBorder).isPresent() || measure.changed() > MOST_NEAR) {
                return found;
            }
        }
        return look(side, from, to, far).side();
    }

    private BorderMeasure look(Side side, int from, int to, int depth) {
        return new BorderMeasure(SideProfile.of(bgra, side, from, to, depth), length(side));
    }

    /** What lies around everything that can be seen, if there is such a margin. */
    private Optional<FoundTrim> transparent() {
        if (!isMargin(bgra.row(0))
                && !isMargin(bgra.row(bgra.rows() - 1))
                && !isMargin(bgra.col(0))
                && !isMargin(bgra.col(bgra.cols() - 1))) {
            return Optional.empty();
        }
        try (Mat alpha = new Mat();
                Mat rows = new Mat();
                Mat columns = new Mat()) {
            opencv_core.extractChannel(bgra, alpha, 3);
            opencv_core.reduce(alpha, rows, 1, opencv_core.REDUCE_MAX);
            opencv_core.reduce(alpha, columns, 0, opencv_core.REDUCE_MAX);
            int[] down = visible(rows, bgra.rows());
            int[] across = visible(columns, bgra.cols());
            boolean isAll = across[0] == 0 && across[1] == bgra.cols() && down[0] == 0 && down[1] == bgra.rows();
            double most = 1 - Trim.MOST;
            if (isAll || across[1] - across[0] < most * bgra.cols() || down[1] - down[0] < most * bgra.rows()) {
                return Optional.empty();
            }
            Bounds seen = new Bounds(new Point(across[0], down[0]), new Point(across[1], down[1]));
            Trim trim = Trim.leaving(seen, new Size(bgra.cols(), bgra.rows()));
            return Optional.of(new FoundTrim(FoundTrim.Reason.TRANSPARENT, trim, 1));
        }
    }

    /** Whether nothing of a row or column can be seen. */
    private static boolean isMargin(Mat line) {
        try (Mat alpha = new Mat();
                DoublePointer most = new DoublePointer(1)) {
            opencv_core.extractChannel(line, alpha, 3);
            opencv_core.minMaxLoc(alpha, null, most, null, null, null);
            return most.get() <= TRANSPARENT;
        } finally {
            line.close();
        }
    }

    /** The first that can be seen, and the one behind the last. */
    private static int[] visible(Mat most, int count) {
        byte[] values = new byte[count];
        most.data().get(values);
        int[] range = {count, 0};
        for (int i = 0; i < count; i++) {
            if ((values[i] & 0xFF) > TRANSPARENT) {
                range[0] = Math.min(range[0], i);
                range[1] = i + 1;
            }
        }
        return range;
    }
}
