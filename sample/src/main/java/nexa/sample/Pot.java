package nexa.sample;

/** A thrown pot: a profile turned about an upright axis, outside and inside, dressed in a glaze. */
final class Pot implements Surface {
    private static final int STEPS = 7;

    private final Vec foot;
    private final Glaze glaze;
    private final double[] radius;
    private final double[] height;
    private final double[] normalR;
    private final double[] normalY;
    private final double[] blockBottom;
    private final double[] blockTop;
    private final int rim;
    private final double widest;
    private final double tallest;

    private Pot(Vec foot, Glaze glaze, double[][] outline, int rimPoint) {
        this.foot = foot;
        this.glaze = glaze;
        int count = (outline.length - 1) * STEPS + 1;
        radius = new double[count];
        height = new double[count];
        for (int i = 0; i < count; i++) {
            int from = Math.min(i / STEPS, outline.length - 2);
            double t = (i - from * STEPS) / (double) STEPS;
            radius[i] = Math.max(0, spline(outline, from, t, 0));
            height[i] = spline(outline, from, t, 1);
        }
        rim = rimPoint * STEPS;
        normalR = new double[count];
        normalY = new double[count];
        double wide = 0;
        double tall = 0;
        for (int i = 0; i < count; i++) {
            int before = Math.max(0, i - 1);
            int after = Math.min(count - 1, i + 1);
            double dr = radius[after] - radius[before];
            double dy = height[after] - height[before];
            double length = Math.hypot(dr, dy);
            normalR[i] = dy / length;
            normalY[i] = -dr / length;
            wide = Math.max(wide, radius[i]);
            tall = Math.max(tall, height[i]);
        }
        widest = wide;
        tallest = tall;
        blockBottom = new double[outline.length - 1];
        blockTop = new double[outline.length - 1];
        for (int block = 0; block < blockTop.length; block++) {
            blockBottom[block] = Double.MAX_VALUE;
            for (int i = block * STEPS; i <= (block + 1) * STEPS; i++) {
                blockBottom[block] = Math.min(blockBottom[block], height[i]);
                blockTop[block] = Math.max(blockTop[block], height[i]);
            }
        }
    }

    /**
     * A pot from the outline of its outside.
     *
     * @param outside pairs of radius and height from the foot's edge up to the rim
     * @param wall the thickness
     */
    static Pot thrown(double x, double z, Glaze glaze, double wall, double... outside) {
        int points = outside.length / 2;
        double[][] outline = new double[2 * points + 2][];
        outline[0] = new double[] {0, 0.002};
        for (int i = 0; i < points; i++) {
            outline[i + 1] = new double[] {outside[2 * i], outside[2 * i + 1]};
            int back = 2 * points - i;
            double y = i == points - 1 ? outside[2 * i + 1] - 0.0006 : outside[2 * i + 1];
            outline[back] = new double[] {Math.max(0.001, outside[2 * i] - wall), Math.max(y, wall)};
        }
        outline[2 * points + 1] = new double[] {0, wall};
        return new Pot(new Vec(x, 0, z), glaze, outline, points);
    }

    /** This pot, standing higher up. */
    Pot raised(double by) {
        return new Pot(this, new Vec(foot.x(), foot.y() + by, foot.z()));
    }

    private Pot(Pot other, Vec foot) {
        this.foot = foot;
        glaze = other.glaze;
        radius = other.radius;
        height = other.height;
        normalR = other.normalR;
        normalY = other.normalY;
        blockBottom = other.blockBottom;
        blockTop = other.blockTop;
        rim = other.rim;
        widest = other.widest;
        tallest = other.tallest;
    }

    /** The middle of its height, on its axis. */
    Vec middle() {
        return foot.plus(new Vec(0, tallest / 2, 0));
    }

    Vec foot() {
        return foot;
    }

    /** Catmull and Rom's spline through the points. */
    private static double spline(double[][] p, int i, double t, int axis) {
        double a = p[Math.max(0, i - 1)][axis];
        double b = p[i][axis];
        double c = p[i + 1][axis];
        double d = p[Math.min(p.length - 1, i + 2)][axis];
        return b + 0.5 * t * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a)));
    }

    @Override
    public double hit(Vec origin, Vec direction, double least) {
        double ox = origin.x() - foot.x();
        double oy = origin.y() - foot.y();
        double oz = origin.z() - foot.z();
        double dx = direction.x();
        double dy = direction.y();
        double dz = direction.z();
        double a = dx * dx + dz * dz;
        double b = ox * dx + oz * dz;
        double c = ox * ox + oz * oz - widest * widest;
        double root = b * b - a * c;
        if (root <= 0) {
            return NONE;
        }
        root = Math.sqrt(root);
        double enter = Math.max((-b - root) / a, least);
        double leave = (-b + root) / a;
        double lowest = oy + Math.min(enter * dy, leave * dy);
        double highest = oy + Math.max(enter * dy, leave * dy);
        if (leave < enter || lowest > tallest || highest < 0) {
            return NONE;
        }
        double nearest = NONE;
        for (int block = 0; block < blockTop.length; block++) {
            if (blockTop[block] < lowest || blockBottom[block] > highest) {
                continue;
            }
            for (int i = block * STEPS; i < (block + 1) * STEPS; i++) {
                double bottom = Math.min(height[i], height[i + 1]);
                double top = Math.max(height[i], height[i + 1]);
                if (top >= lowest && bottom <= highest) {
                    nearest = Math.min(nearest, band(i, bottom, top, ox, oy, oz, dx, dy, dz, least));
                }
            }
        }
        return nearest;
    }

    /** The hit with one band of the profile, a piece of a cone. */
    private double band(
            int i,
            double bottom,
            double top,
            double ox,
            double oy,
            double oz,
            double dx,
            double dy,
            double dz,
            double least) {
        double rise = height[i + 1] - height[i];
        if (Math.abs(rise) < 1e-7) {
            double t = (height[i] - oy) / dy;
            double r = Math.hypot(ox + t * dx, oz + t * dz);
            boolean on = r >= Math.min(radius[i], radius[i + 1]) && r <= Math.max(radius[i], radius[i + 1]);
            return t > least && on ? t : NONE;
        }
        double k = (radius[i + 1] - radius[i]) / rise;
        double r0 = radius[i] + k * (oy - height[i]);
        double qa = dx * dx + dz * dz - k * k * dy * dy;
        double qb = ox * dx + oz * dz - r0 * k * dy;
        double qc = ox * ox + oz * oz - r0 * r0;
        double root = qb * qb - qa * qc;
        if (root < 0 || qa == 0) {
            return NONE;
        }
        root = Math.sqrt(root);
        double first = (-qb - root) / qa;
        double second = (-qb + root) / qa;
        double near = Math.min(first, second);
        double far = Math.max(first, second);
        if (near > least && within(oy + near * dy, bottom, top)) {
            return near;
        }
        return far > least && within(oy + far * dy, bottom, top) ? far : NONE;
    }

    private static boolean within(double y, double bottom, double top) {
        return y >= bottom - 1e-9 && y <= top + 1e-9;
    }

    @Override
    public Vec tint() {
        return glaze.colour();
    }

    @Override
    public Patch at(Vec point, Vec direction) {
        Vec p = point.minus(foot);
        double r = Math.sqrt(p.x() * p.x() + p.z() * p.z());
        int nearest = 0;
        double share = 0;
        double least = Double.MAX_VALUE;
        for (int i = 0; i + 1 < radius.length; i++) {
            double dr = radius[i + 1] - radius[i];
            double dy = height[i + 1] - height[i];
            double along = ((r - radius[i]) * dr + (p.y() - height[i]) * dy) / (dr * dr + dy * dy + 1e-18);
            double t = Math.max(0, Math.min(1, along));
            double offR = r - radius[i] - t * dr;
            double offY = p.y() - height[i] - t * dy;
            double away = offR * offR + offY * offY;
            if (away < least) {
                least = away;
                nearest = i;
                share = t;
            }
        }
        double nr = normalR[nearest] + (normalR[nearest + 1] - normalR[nearest]) * share;
        double ny = normalY[nearest] + (normalY[nearest + 1] - normalY[nearest]) * share;
        double reach = Math.max(r, 1e-9);
        Vec normal = new Vec(nr * p.x() / reach, ny, nr * p.z() / reach).unit();
        Patch patch = glaze.at(p, normal, tallest, nearest >= rim);
        return patch.normal().dot(direction) > 0 && normal.dot(direction) > 0
                ? new Patch(patch.normal().times(-1), patch.colour(), patch.gloss(), patch.blur())
                : patch;
    }
}
