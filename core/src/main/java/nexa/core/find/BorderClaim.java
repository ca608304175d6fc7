package nexa.core.find;

import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import nexa.core.shoot.Trim.Side;

/** Which sides of a picture are believed to be a border: a sky or a backdrop is plain too, but not all around. */
public final class BorderClaim {
    /** A steeper edge, in degrees, is a picture that was laid crooked. */
    private static final double SLOPING = 0.12;

    /** Sides of such a picture slope alike, within so many degrees. */
    private static final double ALIKE = 0.15;

    private static final int LEAST_SLOPING = 3;

    /** So many sides that are hard to see are a border if they are alike. */
    private static final int LEAST_FAINT = 4;

    private final Map<Side, BorderSide> measured;
    private final Set<Side> borders = new TreeSet<>();

    private BorderClaim(Map<Side, BorderSide> measured) {
        this.measured = measured;
    }

    /**
     * The sides that stay.
     *
     * @param measured of each side that is plain at all
     */
    public static Map<Side, BorderSide> of(Map<Side, BorderSide> measured) {
        return new BorderClaim(measured).claimed();
    }

    /** How sure it is of some sides claimed, 0 … 1. */
    public static double confidence(Set<Side> claimed) {
        return switch (claimed.size()) {
            case 0 -> 0;
            case 1 -> 0.4;
            case 2 -> 0.8;
            default -> 0.95;
        };
    }

    private Map<Side, BorderSide> claimed() {
        measured.forEach((side, found) -> {
            if (found.isBorder()) {
                borders.add(side);
            }
        });
        if (borders.isEmpty()) {
            measured.forEach((side, found) -> {
                if (found.isFaintBorder() && likeIt(found) >= LEAST_FAINT) {
                    borders.add(side);
                }
            });
        }
        for (Side side : Set.copyOf(borders)) {
            measured.forEach((other, found) -> {
                if (found.isBorderBeside(measured.get(side)) || found.isBorderLike(measured.get(side))) {
                    borders.add(other);
                }
            });
        }
        Set<Side> straight = new TreeSet<>(borders);
        straight.removeIf(side -> isSlopingAlone(measured.get(side)));
        borders.retainAll(straight);
        Map<Side, BorderSide> claimed = new EnumMap<>(Side.class);
        for (Side side : borders) {
            if (isBelieved(side)) {
                claimed.put(side, measured.get(side));
            }
        }
        return claimed;
    }

    private long likeIt(BorderSide found) {
        return measured.values().stream()
                .filter(other -> other.isFaintBorder() && found.hasColourOf(other))
                .count();
    }

    private boolean isSlopingAlone(BorderSide found) {
        double slope = Math.abs(found.slope());
        long alike = borders.stream()
                .filter(side -> Math.abs(Math.abs(measured.get(side).slope()) - slope) < ALIKE)
                .count();
        return slope > SLOPING && alike < LEAST_SLOPING;
    }

    private boolean isBelieved(Side side) {
        BorderSide found = measured.get(side);
        Set<Side> alike = new TreeSet<>(borders);
        alike.removeIf(other -> other == side || !found.hasColourOf(measured.get(other)));
        return alike.contains(side.opposite()) || alike.size() >= 2 || found.isBorderAlone();
    }
}
