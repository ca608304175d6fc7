package nexa.core.shape;

import nexa.core.geometry.Fingerprint;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;

/**
 * A darkening or lightening towards the edge that is wanted. It is measured on the crop, so that a set of crops agrees.
 *
 * @param stops at the corners, −3 … 3, below 0 darker
 * @param middle at which share of the way to the corners half of that is reached, 0.55 … 0.95
 */
public record Vignette(double stops, double middle) {
    public static final double MOST_STOPS = 3;
    public static final double LEAST_MIDDLE = 0.55;
    public static final double MOST_MIDDLE = 0.95;

    public static final Vignette NONE = new Vignette(0, 0.7);

    /** @throws IllegalArgumentException for values out of range and NaN */
    public Vignette {
        Require.within("stops", stops, -MOST_STOPS, MOST_STOPS);
        Require.within("middle", middle, LEAST_MIDDLE, MOST_MIDDLE);
    }

    /** Whether it changes no light. */
    public boolean isNone() {
        return stops == 0;
    }

    /**
     * What the light there, told linearly, is multiplied by.
     *
     * @param place across and down the crop, 0 … 1
     */
    public double gain(Point place) {
        double across = 2 * place.x() - 1;
        double down = 2 * place.y() - 1;
        double radius = Math.sqrt((across * across + down * down) / 2);
        return Math.pow(2, stops * Math.pow(radius, Math.log(0.5) / Math.log(middle)));
    }

    public Vignette withStops(double newStops) {
        return new Vignette(newStops, middle);
    }

    public Vignette withMiddle(double newMiddle) {
        return new Vignette(stops, newMiddle);
    }

    /** See {@link Fingerprint}. */
    public String fingerprint() {
        return Fingerprint.of("Vignette")
                .with("stops", stops)
                .with("middle", middle)
                .letters();
    }
}
