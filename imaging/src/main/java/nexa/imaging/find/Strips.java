package nexa.imaging.find;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import nexa.core.geometry.LinearSystem;

/**
 * The strips of a picture along a line across it, each with the colours above and below: where in each are edges of the colour
 * step that goes all along the line.
 */
final class Strips {
    static final int COUNT = 96;
    /** Strips nearer to the picture's top or bottom, in pixels, say nothing. */
    private static final double BORDER = 8;
    /** Room beyond the reach, for the widest filter. */
    private static final int ROOM = 8;

    private static final double CLIP = 30;
    /** The variance of a colour that is always there, in levels squared. */
    private static final double NOISE = 9;

    final ColourPlanes picture;
    /** The line: y of its middle, and its slope. The middle of the topmost pixel is at 0. */
    final double y;

    final double slope;
    /** How far from the line is looked, in pixels. */
    final int reach;
    /** Pixels for one of a picture whose long side is 1600. */
    final double q;

    private final double[] middles = new double[COUNT];
    private final double[][] colours = new double[COUNT][];

    /** @param columns how many columns of each strip are looked at, at most */
    Strips(ColourPlanes picture, double y, double slope, int columns) {
        this.picture = picture;
        this.y = y;
        this.slope = slope;
        this.q = Math.max(picture.width, picture.height) / 1600.0;
        this.reach = (int) Math.round(14 * q) + 6;
        for (int i = 0; i < COUNT; i++) {
            read(i, columns);
        }
    }

    private void read(int strip, int columns) {
        int from = strip * picture.width / COUNT;
        int to = Math.max(from + 1, (strip + 1) * picture.width / COUNT);
        int step = Math.max(1, (to - from) / columns);
        double[] sums = new double[ColourPlanes.COLOURS * (2 * (reach + ROOM) + 1)];
        int count = 0;
        double middle = 0;
        for (int x = from; x < to; x += step) {
            picture.add(x, at(x) - reach - ROOM, sums);
            middle += x;
            count++;
        }
        for (int i = 0; i < sums.length; i++) {
            sums[i] /= count;
        }
        middles[strip] = middle / count;
        colours[strip] = sums;
    }

    /** The line's place in a column. */
    double at(double x) {
        return y + slope * (x - (picture.width - 1) / 2.0);
    }

    /** The place of a strip's middle, −1 at the picture's left side and 1 at its right. */
    double across(int strip) {
        return (middles[strip] - (picture.width - 1) / 2.0) / (picture.width / 2.0);
    }

    double middle(int strip) {
        return middles[strip];
    }

    boolean isInside(int strip) {
        double place = at(middles[strip]);
        return place > BORDER && place < picture.height - 1 - BORDER;
    }

    /**
     * An edge in a strip.
     *
     * @param offset from the line, in pixels downwards
     * @param weight ½ … 1, more for one that stands out
     */
    record Peak(int strip, double offset, double weight) {}

    /**
     * How much of a step in the colours that are usual along the line is at each place of each strip.
     *
     * @param used the strips that tell what is usual
     */
    double[][] steps(boolean[] used) {
        double[] direction = direction(used);
        double[][] steps = new double[COUNT][];
        for (int i = 0; i < COUNT; i++) {
            double[] projected = new double[colours[i].length / ColourPlanes.COLOURS];
            for (int k = 0; k < projected.length; k++) {
                for (int c = 0; c < ColourPlanes.COLOURS; c++) {
                    projected[k] += direction[c] * colours[i][ColourPlanes.COLOURS * k + c];
                }
            }
            steps[i] = projected;
        }
        return steps;
    }

    /**
     * How far the colours just above and just below the line are apart, in levels.
     *
     * @param used the strips that count
     */
    double contrast(boolean[] used) {
        double square = 0;
        for (double each : usualDifference(used)) {
            square += each * each;
        }
        return Math.sqrt(square);
    }

    /** By how much each colour below the line usually exceeds the one above. */
    private double[] usualDifference(boolean[] used) {
        double[] usual = new double[ColourPlanes.COLOURS];
        for (int c = 0; c < usual.length; c++) {
            double[] differences = new double[COUNT];
            int count = 0;
            for (int i = 0; i < COUNT; i++) {
                if (used[i]) {
                    differences[count++] = difference(i, c);
                }
            }
            usual[c] = Statistics.median(Arrays.copyOf(differences, count));
        }
        return usual;
    }

    private double difference(int strip, int colour) {
        return mean(strip, colour, 3) - mean(strip, colour, -2);
    }

    /** The direction in colour that tells above and below apart best (Fisher's linear discriminant), below being more. */
    private double[] direction(boolean[] used) {
        double[] usual = usualDifference(used);
        double[] direction = LinearSystem.solve(spread(used, usual), usual.clone());
        double square = 1e-9;
        double along = 0;
        for (int c = 0; c < usual.length; c++) {
            square += direction[c] * direction[c];
            along += direction[c] * usual[c];
        }
        for (int c = 0; c < usual.length; c++) {
            direction[c] *= (along < 0 ? -1 : 1) / Math.sqrt(square);
        }
        return direction;
    }

    /** How much the differences vary together, and a little more, so that it can always be solved by. */
    private double[][] spread(boolean[] used, double[] usual) {
        int n = usual.length;
        double[][] spread = new double[n][n];
        int count = 0;
        for (int i = 0; i < COUNT; i++) {
            if (used[i]) {
                count++;
                for (int a = 0; a < n; a++) {
                    for (int b = 0; b < n; b++) {
                        spread[a][b] += clipped(difference(i, a) - usual[a]) * clipped(difference(i, b) - usual[b]);
                    }
                }
            }
        }
        for (int a = 0; a < n; a++) {
            for (int b = 0; b < n; b++) {
                spread[a][b] = spread[a][b] / count + (a == b ? NOISE : 0);
            }
        }
        return spread;
    }

    private static double clipped(double value) {
        return Math.max(-CLIP, Math.min(CLIP, value));
    }

    /** The mean of a colour in a band above the line, which ends at so many pixels, or below it. */
    private double mean(int strip, int colour, int from) {
        int band = Math.max(4, (int) (10 * q));
        int middle = reach + ROOM;
        int start = from > 0 ? middle + from : middle + from - band;
        double sum = 0;
        for (int k = start; k < start + band; k++) {
            sum += colours[strip][ColourPlanes.COLOURS * k + colour];
        }
        return sum / band;
    }

    /** The edges of a step that grows downwards, found with a filter of some width. */
    List<Peak> peaks(double[][] steps, double width) {
        double[] filter = filter(width);
        double[][] rises = new double[COUNT][];
        double[] sizes = new double[COUNT * (2 * reach + 1)];
        for (int i = 0; i < COUNT; i++) {
            rises[i] = new double[2 * reach + 1];
            for (int j = 0; j < rises[i].length; j++) {
                rises[i][j] = filtered(steps[i], j + ROOM, filter);
                sizes[i * rises[i].length + j] = Math.abs(rises[i][j]);
            }
        }
        double noise = 1.48 * Statistics.median(sizes) + 0.35;
        List<Peak> peaks = new ArrayList<>();
        for (int i = 0; i < COUNT; i++) {
            if (isInside(i)) {
                addPeaks(peaks, i, rises[i], noise);
            }
        }
        return peaks;
    }

    private void addPeaks(List<Peak> peaks, int strip, double[] rise, double noise) {
        double highest = Arrays.stream(rise).max().orElse(0);
        for (int j = 1; j < rise.length - 1; j++) {
            double before = Math.max(0, rise[j - 1]);
            double here = rise[j];
            double after = Math.max(0, rise[j + 1]);
            if (here >= before && here > after && here > 2 * noise && here >= 0.4 * highest) {
                double part = Statistics.peak(before, here, after);
                peaks.add(new Peak(strip, j + part - reach, Math.min(here / noise, 8) / 8 * 0.5 + 0.5));
            }
        }
    }

    /** The derivative of a Gaussian, which makes about 1 of a step of 1. */
    private static double[] filter(double width) {
        int half = (int) (3 * width + 1);
        double[] filter = new double[2 * half + 1];
        double sum = 0;
        for (int k = -half; k <= half; k++) {
            filter[k + half] = k * Math.exp(-k * k / (2 * width * width));
            sum += Math.abs(filter[k + half]);
        }
        for (int k = 0; k < filter.length; k++) {
            filter[k] *= 2 / sum;
        }
        return filter;
    }

    private static double filtered(double[] values, int place, double[] filter) {
        int half = filter.length / 2;
        double sum = 0;
        for (int k = -half; k <= half; k++) {
            sum += filter[k + half] * values[Math.max(0, Math.min(values.length - 1, place + k))];
        }
        return sum;
    }
}
