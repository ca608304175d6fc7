package nexa.imaging.find;

import java.util.Arrays;
import java.util.Optional;
import nexa.core.find.EdgeLine;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;

/** Lays a segment onto its edge to a fraction of a pixel: at stations along it, the edge is where the gradient is. */
final class SegmentRefit {
    private static final int STATIONS = 32;
    private static final int REACH = 3;
    private static final int ROUNDS = 2;

    private final Gradient gradient;

    SegmentRefit(Gradient gradient) {
        this.gradient = gradient;
    }

    /** The edge; empty where it is lost. */
    Optional<EdgeLine> of(Segment seen) {
        EdgeLine line = new EdgeLine(seen, 0);
        for (int round = 0; round < ROUNDS; round++) {
            if (line.segment().length() < 1) {
                return Optional.empty();
            }
            line = once(line.segment());
        }
        return Optional.of(line);
    }

    private EdgeLine once(Segment segment) {
        double length = segment.length();
        Point way = segment.to().minus(segment.from()).times(1 / length);
        double[] along = new double[STATIONS];
        double[][] across = new double[STATIONS][];
        double sum = 0;
        for (int i = 0; i < STATIONS; i++) {
            along[i] = (i + 0.5) / STATIONS * length;
            across[i] = across(segment.from().plus(way.times(along[i])), way);
            for (double each : across[i]) {
                sum += each;
            }
        }
        // The edge gets brighter one way all along.
        double sign = sum >= 0 ? 1 : -1;
        double[] offset = new double[STATIONS];
        double[] weight = new double[STATIONS];
        for (int i = 0; i < STATIONS; i++) {
            double squares = 1e-9;
            double moment = 0;
            for (int k = -REACH; k <= REACH; k++) {
                double rising = Math.max(0, sign * across[i][k + REACH]);
                squares += rising * rising;
                moment += rising * rising * k;
            }
            offset[i] = moment / squares;
            weight[i] = Math.sqrt(squares);
        }
        double usual = median(weight);
        for (int i = 0; i < STATIONS; i++) {
            weight[i] = Math.min(weight[i], 2 * usual) + 1e-9;
        }
        Fit fit = fit(along, offset, weight);
        Point normal = new Point(-way.y(), way.x());
        return new EdgeLine(
                new Segment(
                        segment.from().plus(normal.times(fit.at(0))),
                        segment.to().plus(normal.times(fit.at(length)))),
                fit.rms());
    }

    private double[] across(Point at, Point way) {
        double[] values = new double[2 * REACH + 1];
        for (int k = -REACH; k <= REACH; k++) {
            values[k + REACH] = gradient.towards(at.x() - way.y() * k, at.y() + way.x() * k, -way.y(), way.x());
        }
        return values;
    }

    private record Fit(double offset, double slope, double middle, double rms) {
        double at(double along) {
            return offset + slope * (along - middle);
        }
    }

    /** A weighted line; what is far off it is left out. */
    private static Fit fit(double[] along, double[] offset, double[] weight) {
        double[] used = weight.clone();
        Fit fit = null;
        for (int round = 0; round < 3; round++) {
            fit = line(along, offset, used);
            double[] off = new double[STATIONS];
            for (int i = 0; i < STATIONS; i++) {
                off[i] = Math.abs(offset[i] - fit.at(along[i]));
            }
            double far = 2.5 * Math.max(0.25, 1.5 * median(off));
            for (int i = 0; i < STATIONS; i++) {
                used[i] = off[i] < far ? weight[i] : 0;
            }
        }
        return fit;
    }

    private static Fit line(double[] along, double[] offset, double[] weight) {
        double sum = 1e-12;
        double sumAlong = 0;
        double sumOffset = 0;
        for (int i = 0; i < STATIONS; i++) {
            sum += weight[i];
            sumAlong += weight[i] * along[i];
            sumOffset += weight[i] * offset[i];
        }
        double middle = sumAlong / sum;
        double mean = sumOffset / sum;
        double squares = 1e-9;
        double products = 0;
        for (int i = 0; i < STATIONS; i++) {
            squares += weight[i] * (along[i] - middle) * (along[i] - middle);
            products += weight[i] * (along[i] - middle) * (offset[i] - mean);
        }
        double slope = products / squares;
        double off = 0;
        for (int i = 0; i < STATIONS; i++) {
            double rest = offset[i] - mean - slope * (along[i] - middle);
            off += weight[i] * rest * rest;
        }
        return new Fit(mean, slope, middle, Math.sqrt(off / sum));
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return (sorted[sorted.length / 2 - 1] + sorted[sorted.length / 2]) / 2;
    }
}
