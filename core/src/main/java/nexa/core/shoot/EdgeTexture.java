package nexa.core.shoot;

import java.util.List;
import java.util.OptionalDouble;
import nexa.core.geometry.Size;
import nexa.core.shape.Margins;

/**
 * How busy a photo is inside each of its sides, by which is told how well a fill beyond them will pass: in about doublings of
 * texture, 0 where there is nothing to see. Read of a photo's pixels.
 *
 * @param seen what was done to the photo before its shape when it was read, which tells where its sides lie
 * @param busyness side by side, for bands of each of {@link #DEPTHS} depths
 */
public record EdgeTexture(Preparation seen, List<Double> busyness) {
    /** Margins are told apart by this share of the long side. */
    public static final double STEP = 1.0 / 16;

    /** The deepest band is for margins of so many steps, and for all wider ones. */
    public static final int DEPTHS = 4;

    /** @throws IllegalArgumentException unless there are as many values as sides and depths */
    public EdgeTexture {
        busyness = List.copyOf(busyness);
        if (busyness.size() != Trim.Side.values().length * DEPTHS) {
            throw new IllegalArgumentException(busyness.size() + " values for four sides");
        }
    }

    /** How many steps wide a margin is, 0 for none. */
    public static int steps(double margin, double longSide) {
        return (int) Math.ceil(margin / longSide / STEP);
    }

    /** How busy it is inside a side beyond which there is a margin of so many steps, at least 1. */
    public double inside(Trim.Side side, int steps) {
        return busyness.get(side.ordinal() * DEPTHS + Math.min(DEPTHS, steps) - 1);
    }

    /** How busy it is inside the busiest of the sides beyond which there is a margin; empty where there is none. */
    public OptionalDouble busiest(Margins margins, Size part) {
        OptionalDouble busiest = OptionalDouble.empty();
        for (Trim.Side side : Trim.Side.values()) {
            int steps = steps(side.of(margins), part.longSide());
            if (steps > 0) {
                busiest = OptionalDouble.of(Math.max(busiest.orElse(0), inside(side, steps)));
            }
        }
        return busiest;
    }
}
