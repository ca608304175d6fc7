package nexa.imaging.fill;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import nexa.core.shoot.EdgeTexture;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Trim;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * How busy the band of a picture inside one of its sides is: its texture, lines that meet the edge aslant, and what is cut by the
 * edge, which is unlike the rest of the band and changes inwards. Block by block along the edge.
 */
public final class BandTexture {
    /** What it is measured at. */
    static final int LONG_SIDE = 384;

    private static final int BLOCK = 16;
    private static final int LEAST_DEPTH = 8;
    private static final double CROSSING = 0.5;
    private static final double CUT = 0.75;
    private static final double[] LIGHT = {.299, .587, .114};

    /** Red, green, blue, and light, by channel, then from the edge inwards, then along it. */
    private final double[][][] values;

    private final int depth;
    private final int length;

    private BandTexture(WorkPicture picture, Trim.Side side, int depth) {
        this.depth = depth;
        this.length = side.isUpright() ? picture.height() : picture.width();
        this.values = new double[4][depth][length];
        for (int d = 0; d < depth; d++) {
            for (int i = 0; i < length; i++) {
                int across = side == Trim.Side.RIGHT ? picture.width() - 1 - d : d;
                int down = side == Trim.Side.BOTTOM ? picture.height() - 1 - d : d;
                for (int c = 0; c < 3; c++) {
                    values[c][d][i] = picture.nearest(side.isUpright() ? across : i, side.isUpright() ? i : down, c);
                    values[3][d][i] += LIGHT[c] * values[c][d][i];
                }
            }
        }
    }

    /**
     * The textures inside all sides of what counts of a photo.
     *
     * @param small as {@link EdgeFill#of} is given it
     */
    public static EdgeTexture of(Photo photo, Mat small) {
        WorkPicture picture = WorkPicture.of(small, photo.preparation().trim().remaining(EdgeFill.WHOLE), LONG_SIDE);
        List<Double> busyness = new ArrayList<>();
        for (Trim.Side side : Trim.Side.values()) {
            for (int depth = 1; depth <= EdgeTexture.DEPTHS; depth++) {
                busyness.add(of(picture, side, depth));
            }
        }
        return new EdgeTexture(photo.preparation().beforeShape(), busyness);
    }

    /**
     * How busy it is inside a side.
     *
     * @param steps how far is filled beyond the side, as {@link EdgeTexture} counts it, at least 1
     */
    static double of(WorkPicture picture, Trim.Side side, int steps) {
        double margin = Math.min(EdgeTexture.DEPTHS, steps) * EdgeTexture.STEP * picture.longSide();
        int across = side.isUpright() ? picture.width() : picture.height();
        int wanted = Math.min((int) Math.ceil(2 * margin), across / 3);
        BandTexture band = new BandTexture(picture, side, Math.min(across, Math.max(LEAST_DEPTH, wanted)));
        return band.busyness();
    }

    private double busyness() {
        int blocks = Math.max(1, length / BLOCK);
        double texture = 0;
        double crossing = 0;
        for (int block = 0; block < blocks; block++) {
            Gradients gradients = gradients(block);
            texture += log2(gradients.along() + gradients.inwards() + 1) / 2 / blocks;
            crossing += gradients.crossing() / blocks;
        }
        return texture + CROSSING * log2(1 + crossing) + CUT * log2(1 + cut(blocks));
    }

    private static double log2(double value) {
        return StrictMath.log(value) / StrictMath.log(2);
    }

    /** The structure tensor of a block: how much its light changes along the edge and inwards. */
    private record Gradients(double along, double inwards, double both) {
        /** How much one way prevails, weighed by how far that is from straight across the edge. */
        double crossing() {
            double coherence =
                    Math.sqrt((along - inwards) * (along - inwards) + 4 * both * both) / (along + inwards + 1);
            double twice = StrictMath.atan2(2 * both, inwards - along);
            return coherence * Math.sqrt(along) * (.3 + Math.abs(StrictMath.sin(twice)));
        }
    }

    private Gradients gradients(int block) {
        double[][] light = values[3];
        double alongs = 0;
        double inwards = 0;
        double both = 0;
        int count = 0;
        for (int d = 1; d < depth - 1; d++) {
            for (int i = Math.max(1, block * BLOCK); i < Math.min(length - 1, (block + 1) * BLOCK); i++) {
                double along = (light[d][i + 1] - light[d][i - 1]) / 2;
                double deep = (light[d + 1][i] - light[d - 1][i]) / 2;
                alongs += along * along;
                inwards += deep * deep;
                both += along * deep;
                count++;
            }
        }
        int counted = Math.max(1, count);
        return new Gradients(alongs / counted, inwards / counted, both / counted);
    }

    /**
     * How much is cut by the edge: of each block the lesser of how unlike what is usual along the edge it is and how much it
     * changes inwards. Something that goes on inwards is no object that ends, and what is alike along the edge is no object.
     */
    private double cut(int blocks) {
        double[][] outer = new double[3][blocks];
        double[][] inner = new double[3][blocks];
        double[] usual = new double[3];
        for (int c = 0; c < 3; c++) {
            for (int block = 0; block < blocks; block++) {
                outer[c][block] = mean(values[c], block, 0);
                inner[c][block] = mean(values[c], block, depth / 2);
            }
            double[] sorted = outer[c].clone();
            Arrays.sort(sorted);
            usual[c] = sorted[blocks / 2];
        }
        double cut = 0;
        for (int block = 0; block < blocks; block++) {
            double unlike = 0;
            double changes = 0;
            for (int c = 0; c < 3; c++) {
                unlike += Math.abs(outer[c][block] - usual[c]) / 3;
                changes += Math.abs(outer[c][block] - inner[c][block]) / 3;
            }
            cut += Math.min(unlike, changes) / blocks;
        }
        return cut;
    }

    /** The mean of half a block's depth. */
    private double mean(double[][] channel, int block, int from) {
        int half = Math.max(1, depth / 2);
        int end = Math.min(length, (block + 1) * BLOCK);
        double sum = 0;
        for (int d = from; d < Math.min(depth, from + half); d++) {
            for (int i = block * BLOCK; i < end; i++) {
                sum += channel[d][i];
            }
        }
        return sum / Math.max(1, (Math.min(depth, from + half) - from) * (end - block * BLOCK));
    }
}
