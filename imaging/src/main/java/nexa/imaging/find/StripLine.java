package nexa.imaging.find;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The straight line on which the edges of most strips lie: the one most vote for, then by least squares over the nearest edge of
 * each strip.
 *
 * @param strips whose edges they are
 * @param offset of its middle from the strips' line, in pixels downwards
 * @param tilt by how much more it is off at the right side
 * @param isOn which strips' edges lie on it
 * @param rest of each strip's nearest edge from it, in pixels
 * @param purity the share of the strips with edges whose edge lies on it
 * @param rms of the rests of those on it
 * @param error the standard error of its lean, in degrees
 * @param tolerance within which an edge is on it, in pixels
 */
record StripLine(
        Strips strips,
        double offset,
        double tilt,
        boolean[] isOn,
        double[] rest,
        double purity,
        double rms,
        double error,
        double tolerance) {
    private static final int LEAST = 10;
    private static final int TILTS = 21;
    private static final int ROUNDS = 6;
    /** Neighbouring strips are seldom off independently: so many count as one. */
    private static final int BLOCK = 6;

    private static final double FAR = 99;

    /**
     * The line most edges vote for.
     *
     * @param most the most it tilts, in pixels at the right side
     */
    static LineVote vote(Strips strips, List<Strips.Peak> peaks, double most) {
        double[] across =
                peaks.stream().mapToDouble(peak -> strips.across(peak.strip())).toArray();
        double[] offset = peaks.stream().mapToDouble(Strips.Peak::offset).toArray();
        double[] weight = peaks.stream().mapToDouble(Strips.Peak::weight).toArray();
        return LineVote.of(across, offset, weight, strips.reach, most, TILTS);
    }

    /** The line near a start; empty where too few strips have an edge on it. */
    static Optional<StripLine> of(Strips strips, List<Strips.Peak> peaks, LineVote start, double tolerance) {
        double offset = start.offset();
        double tilt = start.tilt();
        for (int round = 0; round < ROUNDS; round++) {
            double within = Math.max(tolerance, 2.5 * tolerance * Math.pow(0.5, round));
            Strips.Peak[] nearest = nearest(strips, peaks, offset, tilt);
            double[] s = new double[5];
            int count = 0;
            for (Strips.Peak peak : nearest) {
                if (peak != null) {
                    double across = strips.across(peak.strip());
                    double rest = peak.offset() - offset - tilt * across;
                    if (Math.abs(rest) < within) {
                        double near = rest / within / 1.3;
                        double fade = Math.max(0.05, Math.min(1, 1 - near * near));
                        double weight = peak.weight() * fade * fade;
                        s[0] += weight;
                        s[1] += weight * across;
                        s[2] += weight * across * across;
                        s[3] += weight * peak.offset();
                        s[4] += weight * across * peak.offset();
                        count++;
                    }
                }
            }
            double determinant = s[0] * s[2] - s[1] * s[1];
            if (count < LEAST || determinant < 1e-9) {
                return Optional.empty();
            }
            offset = (s[3] * s[2] - s[4] * s[1]) / determinant;
            tilt = (s[0] * s[4] - s[1] * s[3]) / determinant;
        }
        return measured(strips, peaks, offset, tilt, tolerance);
    }

    private static Strips.Peak[] nearest(Strips strips, List<Strips.Peak> peaks, double offset, double tilt) {
        Strips.Peak[] nearest = new Strips.Peak[Strips.COUNT];
        double[] rest = new double[Strips.COUNT];
        Arrays.fill(rest, FAR);
        for (Strips.Peak peak : peaks) {
            double off = Math.abs(peak.offset() - offset - tilt * strips.across(peak.strip()));
            if (off < rest[peak.strip()]) {
                rest[peak.strip()] = off;
                nearest[peak.strip()] = peak;
            }
        }
        return nearest;
    }

    private static Optional<StripLine> measured(
            Strips strips, List<Strips.Peak> peaks, double offset, double tilt, double tolerance) {
        Strips.Peak[] nearest = nearest(strips, peaks, offset, tilt);
        boolean[] isOn = new boolean[Strips.COUNT];
        double[] rest = new double[Strips.COUNT];
        Arrays.fill(rest, FAR);
        int on = 0;
        int any = 0;
        double squares = 0;
        double first = 0;
        double second = 0;
        for (int i = 0; i < Strips.COUNT; i++) {
            if (nearest[i] != null) {
                any++;
                double across = strips.across(i);
                rest[i] = nearest[i].offset() - offset - tilt * across;
                isOn[i] = Math.abs(rest[i]) < tolerance;
                if (isOn[i]) {
                    on++;
                    squares += rest[i] * rest[i];
                    first += across;
                    second += across * across;
                }
            }
        }
        double spread = on == 0 ? 0 : second - first * first / on;
        if (on < LEAST || spread < 0.3) {
            return Optional.empty();
        }
        double rms = Math.sqrt(squares / on);
        double each = Math.max(Math.max(rms, 0.12 * strips.q), Math.sqrt(BLOCK) * blocks(isOn, rest));
        double error = Math.toDegrees(each / Math.sqrt(spread) / (strips.picture.width / 2.0));
        return Optional.of(new StripLine(strips, offset, tilt, isOn, rest, (double) on / any, rms, error, tolerance));
    }

    /** How far whole blocks of strips are off, as a root mean square. */
    private static double blocks(boolean[] isOn, double[] rest) {
        double squares = 0;
        int all = 0;
        for (int block = 0; block < Strips.COUNT / BLOCK; block++) {
            double sum = 0;
            int count = 0;
            for (int i = block * BLOCK; i < (block + 1) * BLOCK; i++) {
                if (isOn[i]) {
                    sum += rest[i];
                    count++;
                }
            }
            if (count > 0) {
                squares += sum * sum / count;
                all += count;
            }
        }
        return Math.sqrt(squares / all);
    }

    /** The share of all strips that are on it. */
    double cover() {
        return (double) count() / Strips.COUNT;
    }

    int count() {
        return Statistics.count(isOn);
    }

    /** Whether it was found with the wide tolerance. */
    boolean isRagged() {
        return tolerance > 2 * Math.max(strips.q, 0.7);
    }

    double score() {
        return cover()
                * purity
                * Math.sqrt(Math.min(1, 0.02 / Math.max(error, 0.01)))
                / (1 + 0.5 * Math.max(0, rms / strips.q - 0.5));
    }

    /** Where it is in the middle of the picture; the middle of the topmost pixel is at 0. */
    double y() {
        return strips.y + offset;
    }

    double slope() {
        return strips.slope + tilt / (strips.picture.width / 2.0);
    }

    double lean() {
        return Math.toDegrees(Math.atan(slope()));
    }

    double at(double x) {
        return y() + slope() * (x - (strips.picture.width - 1) / 2.0);
    }
}
