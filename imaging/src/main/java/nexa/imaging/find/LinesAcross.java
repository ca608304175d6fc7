package nexa.imaging.find;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Where lines across a picture may lie: the change of its colours downwards, against what is usual in each column, is summed
 * along every slope.
 */
final class LinesAcross {
    private static final int BLOCKS = 48;
    private static final double MOST_LEAN = 11;
    private static final double STEP = 0.4;
    private static final int LEANS = 56;
    private static final double CLIP = 4;
    private static final double[] CHANNEL_WEIGHT = {1, .7, .7};
    /** Sums of plain changes, then of those that have little texture above them in their column. */
    private static final int SUMS = 2 * SmallPicture.CHANNELS;

    private static final int FIRST = 10;
    private static final double FIRST_LEAST = 0.6;
    private static final int SKYLINES = 5;
    private static final double SKYLINES_LEAST = 0.4;
    private static final int APART = 5;
    private static final int BORDER = 4;

    /**
     * A line.
     *
     * @param lean in degrees
     * @param y of its middle, in the picture's pixels, the middle of the topmost being 0
     * @param strength of the change along it
     * @param isSkyline whether it was found because all is busy below it
     */
    record Line(double lean, double y, double strength, boolean isSkyline) {}

    private final SmallPicture picture;
    private final int pad;
    private final float[][] blocks;

    private LinesAcross(SmallPicture picture) {
        this.picture = picture;
        this.pad = (int) (picture.width / 2.0 * Math.tan(Math.toRadians(MOST_LEAN))) + 3;
        this.blocks = new float[BLOCKS][];
        for (int b = 0; b < BLOCKS; b++) {
            blocks[b] = block(b);
        }
    }

    static List<Line> of(SmallPicture picture) {
        if (picture.width < BLOCKS || picture.height < 4 * BORDER) {
            return List.of();
        }
        return new LinesAcross(picture).lines();
    }

    /** One block of columns: for every row the changes, normalised, with room above and below. */
    private float[] block(int b) {
        int from = b * picture.width / BLOCKS;
        int to = (b + 1) * picture.width / BLOCKS;
        float[] block = new float[(picture.height + 2 * pad) * SUMS];
        double[] above = textureAbove(from, to);
        for (int c = 0; c < SmallPicture.CHANNELS; c++) {
            double[] change = new double[picture.height];
            double[] size = new double[picture.height];
            for (int y = 0; y < picture.height; y++) {
                for (int x = from; x < to; x++) {
                    change[y] += picture.down[SmallPicture.CHANNELS * (y * picture.width + x) + c] / (to - from);
                }
                size[y] = Math.abs(change[y]);
            }
            double usual = 1.48 * Statistics.median(size) + 0.3;
            for (int y = 0; y < picture.height; y++) {
                double against = Math.max(-CLIP, Math.min(CLIP, change[y] / usual)) * CHANNEL_WEIGHT[c];
                double calm = 1 - above[y];
                block[(y + pad) * SUMS + c] = (float) against;
                block[(y + pad) * SUMS + SmallPicture.CHANNELS + c] = (float) (against * calm * calm * calm * calm);
            }
        }
        return block;
    }

    /** The share of the columns' texture that lies above each row, a little off. */
    private double[] textureAbove(int from, int to) {
        double[] sum = new double[picture.height + 1];
        for (int y = 0; y < picture.height; y++) {
            double row = 0;
            for (int x = from; x < to; x++) {
                row += picture.texture[y * picture.width + x];
            }
            sum[y + 1] = sum[y] + row;
        }
        double[] share = new double[picture.height];
        for (int y = 3; y < picture.height; y++) {
            share[y] = sum[y - 2] / (sum[picture.height] + 1e-6);
        }
        return share;
    }

    private List<Line> lines() {
        float[][] sums = new float[LEANS][];
        for (int i = 0; i < LEANS; i++) {
            sums[i] = along(i * STEP - MOST_LEAN);
        }
        List<Line> lines = new ArrayList<>();
        add(lines, sums, 0, FIRST, FIRST_LEAST);
        add(lines, sums, SmallPicture.CHANNELS, SKYLINES, SKYLINES_LEAST);
        return lines;
    }

    private float[] along(double lean) {
        float[] sum = new float[picture.height * SUMS];
        double slope = Math.tan(Math.toRadians(lean));
        for (int b = 0; b < BLOCKS; b++) {
            double x = ((b + 0.5) / BLOCKS - 0.5) * picture.width;
            int start = ((int) Math.rint(x * slope) + pad) * SUMS;
            float[] block = blocks[b];
            for (int i = 0; i < sum.length; i++) {
                sum[i] += block[start + i];
            }
        }
        for (int i = 0; i < sum.length; i++) {
            sum[i] /= BLOCKS;
        }
        return sum;
    }

    private void add(List<Line> lines, float[][] sums, int channel, int most, double least) {
        float[][] strength = new float[LEANS][picture.height];
        for (int i = 0; i < LEANS; i++) {
            for (int y = BORDER; y < picture.height - BORDER; y++) {
                strength[i][y] = (float) length(sums[i], y, channel);
            }
        }
        for (int n = 0; n < most; n++) {
            int lean = 0;
            int y = 0;
            for (int i = 0; i < LEANS; i++) {
                for (int j = 0; j < picture.height; j++) {
                    if (strength[i][j] > strength[lean][y]) {
                        lean = i;
                        y = j;
                    }
                }
            }
            if (strength[lean][y] < least) {
                return;
            }
            lines.add(new Line(
                    lean * STEP - MOST_LEAN, (y + 0.5) / picture.factor - 0.5, length(sums[lean], y, 0), channel > 0));
            for (float[] row : strength) {
                Arrays.fill(row, Math.max(0, y - APART), Math.min(picture.height, y + APART + 1), 0);
            }
        }
    }

    private static double length(float[] sums, int y, int channel) {
        double square = 0;
        for (int c = 0; c < SmallPicture.CHANNELS; c++) {
            double value = sums[y * SUMS + channel + c];
            square += value * value;
        }
        return Math.sqrt(square);
    }
}
