package nexa.imaging.find;

import java.util.Arrays;
import java.util.function.DoublePredicate;
import java.util.stream.IntStream;
import nexa.core.find.HorizonEdge;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;

/** What there is to say of a line of strips: how straight it is, and how what is above differs from what is below. */
final class HorizonMeasure {
    private static final double TEXTURE_NEAR = 0.02;
    private static final double TEXTURE_FAR = 0.15;
    private static final double COLOUR_NEAR = 0.012;
    private static final double COLOUR_FAR = 0.09;
    private static final int BESIDE = 3;

    private final StripLine line;
    private final SmallPicture small;
    private final double[] across;
    private final double[] rest;

    private HorizonMeasure(StripLine line, SmallPicture small) {
        this.line = line;
        this.small = small;
        double[] places = new double[Strips.COUNT];
        double[] rests = new double[Strips.COUNT];
        int n = 0;
        for (int i = 0; i < Strips.COUNT; i++) {
            if (line.isOn()[i]) {
                places[n] = line.strips().across(i);
                rests[n++] = line.rest()[i];
            }
        }
        across = Arrays.copyOf(places, n);
        rest = Arrays.copyOf(rests, n);
    }

    static HorizonEdge of(StripLine line, SmallPicture small) {
        return new HorizonMeasure(line, small).edge();
    }

    private HorizonEdge edge() {
        double q = line.strips().q;
        ColourPlanes picture = line.strips().picture;
        double[] above = textures(-1);
        double[] below = textures(1);
        Step step = step();
        double left = across[0];
        double right = across[across.length - 1];
        double middle = (left + right) / 2;
        double halves = Math.abs(slope(u -> u < middle) - slope(u -> u >= middle));
        return new HorizonEdge(
                // Half a pixel more: there a pixel's middle is at one half.
                new Segment(
                        new Point(0, line.at(-0.5) + 0.5),
                        new Point(picture.width, line.at(picture.width - 0.5) + 0.5)),
                line.lean(),
                line.y() / picture.height,
                line.cover(),
                span(),
                line.purity(),
                continuity(),
                line.rms() / q,
                line.error(),
                Math.abs(Statistics.polynomial(across, rest, 2)[2]) / q,
                Double.isNaN(halves) ? 9 : halves,
                thirds(left, right),
                step.size(),
                line.strips().contrast(line.isOn()),
                step.fall(),
                Statistics.quantile(above, 0.25),
                Statistics.quantile(below, 0.25),
                Statistics.median(above),
                Statistics.median(below));
    }

    private double span() {
        int first = 0;
        int last = Strips.COUNT - 1;
        while (!line.isOn()[first]) {
            first++;
        }
        while (!line.isOn()[last]) {
            last--;
        }
        return (last - first + 1.0) / Strips.COUNT;
    }

    private double continuity() {
        int pairs = 0;
        for (int i = 1; i < Strips.COUNT; i++) {
            pairs += line.isOn()[i] && line.isOn()[i - 1] ? 1 : 0;
        }
        return (double) pairs / line.count();
    }

    private double thirds(double left, double right) {
        double most = -1;
        for (int i = 0; i < 3; i++) {
            double from = left + (right - left) * i / 3;
            double to = i == 2 ? right + 1e-6 : left + (right - left) * (i + 1) / 3;
            double slope = slope(u -> u >= from && u < to);
            most = Double.isNaN(slope) ? most : Math.max(most, Math.abs(slope));
        }
        return most < 0 ? 9 : most;
    }

    /** By how many degrees part of the edge leans more than all of it; NaN where the part is too small to tell. */
    private double slope(DoublePredicate which) {
        int[] chosen = IntStream.range(0, across.length)
                .filter(i -> which.test(across[i]))
                .toArray();
        if (chosen.length < 6 || across[chosen[chosen.length - 1]] - across[chosen[0]] <= 0.12) {
            return Double.NaN;
        }
        double[] x = Arrays.stream(chosen).mapToDouble(i -> across[i]).toArray();
        double[] y = Arrays.stream(chosen).mapToDouble(i -> rest[i]).toArray();
        return Math.toDegrees(Statistics.polynomial(x, y, 1)[1] / (line.strips().picture.width / 2.0));
    }

    /** The texture beside each strip's edge: −1 above, 1 below. */
    private double[] textures(int side) {
        double[] textures = new double[Strips.COUNT];
        int n = 0;
        for (int i = 0; i < Strips.COUNT; i++) {
            if (line.isOn()[i]) {
                Window window = window(i, side, TEXTURE_NEAR, TEXTURE_FAR);
                if (window.pixels() > 20) {
                    double sum = 0;
                    for (int y = window.top(); y < window.bottom(); y++) {
                        for (int x = window.left(); x < window.right(); x++) {
                            sum += small.texture[y * small.width + x];
                        }
                    }
                    textures[n++] = sum / window.pixels();
                }
            }
        }
        return Arrays.copyOf(textures, n);
    }

    /**
     * How far the colours above and below are apart.
     *
     * @param size against how much that varies from strip to strip
     * @param fall how much brighter it is above
     */
    private record Step(double size, double fall) {}

    private Step step() {
        int n = 0;
        double[][] differences = new double[SmallPicture.CHANNELS][Strips.COUNT];
        for (int i = 0; i < Strips.COUNT; i++) {
            if (line.isOn()[i]) {
                Window above = window(i, -1, COLOUR_NEAR, COLOUR_FAR);
                Window below = window(i, 1, COLOUR_NEAR, COLOUR_FAR);
                if (above.pixels() > 8 && below.pixels() > 8) {
                    for (int c = 0; c < SmallPicture.CHANNELS; c++) {
                        differences[c][n] = mean(below, c) - mean(above, c);
                    }
                    n++;
                }
            }
        }
        if (n <= 8) {
            return new Step(0, 0);
        }
        double[] usual = new double[SmallPicture.CHANNELS];
        double length = 1e-9;
        for (int c = 0; c < usual.length; c++) {
            usual[c] = Statistics.median(Arrays.copyOf(differences[c], n));
            length += usual[c] * usual[c];
        }
        length = Math.sqrt(length);
        double[] along = new double[n];
        for (int i = 0; i < n; i++) {
            for (int c = 0; c < usual.length; c++) {
                along[i] += differences[c][i] * usual[c] / length;
            }
        }
        double middle = Statistics.median(along);
        double varies = Statistics.median(
                Arrays.stream(along).map(v -> Math.abs(v - middle)).toArray());
        return new Step(length / (1.48 * varies + 3), -usual[0]);
    }

    private double mean(Window window, int channel) {
        double sum = 0;
        for (int y = window.top(); y < window.bottom(); y++) {
            for (int x = window.left(); x < window.right(); x++) {
                sum += small.values[SmallPicture.CHANNELS * (y * small.width + x) + channel];
            }
        }
        return sum / window.pixels();
    }

    private record Window(int left, int top, int right, int bottom) {
        int pixels() {
            return Math.max(0, right - left) * Math.max(0, bottom - top);
        }
    }

    /** Part of the small picture beside a strip's edge; near and far are shares of the picture's height. */
    private Window window(int strip, int side, double near, double far) {
        double middle = line.strips().middle(strip);
        int x = (int) Math.max(0, Math.min(small.width - 1, (middle + 0.5) * small.factor));
        double y = (line.at(middle) + 0.5) * small.factor;
        double one = y + side * near * small.height;
        double other = y + side * far * small.height;
        return new Window(
                Math.max(0, x - BESIDE),
                (int) Math.max(0, Math.min(small.height, Math.min(one, other))),
                Math.min(small.width, x + BESIDE + 1),
                (int) Math.max(0, Math.min(small.height, Math.max(one, other))));
    }
}
