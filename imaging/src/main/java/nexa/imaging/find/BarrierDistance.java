package nexa.imaging.find;

/**
 * How much a value has to change at least on any way from a pixel to the picture's border: what differs from all that reaches
 * the border is far (minimum barrier distance by raster passes, Zhang and others 2015).
 */
final class BarrierDistance {
    private static final int PASSES = 3;

    private final float[] values;
    private final int width;
    private final int height;
    private final float[] distance;
    private final float[] highest;
    private final float[] lowest;

    private BarrierDistance(float[] values, int width, int height) {
        this.values = values;
        this.width = width;
        this.height = height;
        this.distance = new float[values.length];
        this.highest = values.clone();
        this.lowest = values.clone();
    }

    /** The distance of each pixel, row by row as the values are. */
    static float[] of(float[] values, int width, int height) {
        BarrierDistance barrier = new BarrierDistance(values, width, height);
        barrier.begin();
        for (int pass = 0; pass < PASSES; pass++) {
            barrier.pass(pass % 2 == 0);
        }
        return barrier.distance;
    }

    private void begin() {
        for (int y = 1; y < height - 1; y++) {
            for (int x = 1; x < width - 1; x++) {
                distance[y * width + x] = Float.MAX_VALUE;
            }
        }
    }

    private void pass(boolean isDown) {
        int way = isDown ? 1 : -1;
        for (int i = 1; i < height - 1; i++) {
            int row = width * (isDown ? i : height - 1 - i);
            for (int j = 1; j < width - 1; j++) {
                int pixel = row + (isDown ? j : width - 1 - j);
                from(pixel, pixel - way);
                from(pixel, pixel - way * width);
            }
        }
    }

    private void from(int pixel, int neighbour) {
        float high = Math.max(highest[neighbour], values[pixel]);
        float low = Math.min(lowest[neighbour], values[pixel]);
        if (high - low < distance[pixel]) {
            distance[pixel] = high - low;
            highest[pixel] = high;
            lowest[pixel] = low;
        }
    }
}
