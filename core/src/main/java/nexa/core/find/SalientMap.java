package nexa.core.find;

/**
 * How much each place of a picture stands out, and how sharp it is there: both 0 … 1, row by row, of a picture made small.
 * Everything that is asked of it is in fractions of the picture.
 */
public final class SalientMap {
    private final int width;
    private final int height;
    private final float[] salience;
    private final float[] focus;

    /**
     * A map; the arrays belong to it from then on.
     *
     * @throws IllegalArgumentException if an array has not a value for each place
     */
    public SalientMap(int width, int height, float[] salience, float[] focus) {
        if (width < 1 || height < 1 || salience.length != width * height || focus.length != width * height) {
            throw new IllegalArgumentException("no map of " + width + " × " + height);
        }
        this.width = width;
        this.height = height;
        this.salience = salience;
        this.focus = focus;
    }

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    public int shortSide() {
        return Math.min(width, height);
    }

    public float salience(int x, int y) {
        return salience[y * width + x];
    }

    public float focus(int x, int y) {
        return focus[y * width + x];
    }
}
