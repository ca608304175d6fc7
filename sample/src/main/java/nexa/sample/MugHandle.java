package nexa.sample;

/** A mug's handle: a glazed ring, found by stepping along the ray by the distance to it. */
final class MugHandle implements Surface {
    private static final int STEPS = 60;
    private static final double NEAR = 1e-5;

    private final Vec centre;
    private final double radius;
    private final double thickness;
    private final Glaze glaze;

    /** @param centre the ring's middle; it stands upright, facing the photographer */
    MugHandle(Vec centre, double radius, double thickness, Glaze glaze) {
        this.centre = centre;
        this.radius = radius;
        this.thickness = thickness;
        this.glaze = glaze;
    }

    private double distance(Vec p) {
        double ring = Math.sqrt(p.x() * p.x() + p.y() * p.y() * 0.72) - radius;
        return Math.sqrt(ring * ring + p.z() * p.z()) - thickness;
    }

    @Override
    public double hit(Vec origin, Vec direction, double least) {
        Vec from = origin.minus(centre);
        double closest = -from.dot(direction);
        double bound = 1.3 * (radius + thickness);
        Vec there = from.plus(direction.times(closest));
        if (there.dot(there) > bound * bound) {
            return NONE;
        }
        double t = Math.max(least, closest - bound);
        for (int i = 0; i < STEPS && t < closest + bound; i++) {
            double d = distance(from.plus(direction.times(t)));
            if (d < NEAR && t > least) {
                return t;
            }
            t += Math.max(d * 0.8, NEAR);
        }
        return NONE;
    }

    @Override
    public Vec tint() {
        return glaze.colour();
    }

    @Override
    public Patch at(Vec point, Vec direction) {
        Vec p = point.minus(centre);
        double h = 1e-4;
        Vec normal = new Vec(
                        distance(p.plus(new Vec(h, 0, 0))) - distance(p.minus(new Vec(h, 0, 0))),
                        distance(p.plus(new Vec(0, h, 0))) - distance(p.minus(new Vec(0, h, 0))),
                        distance(p.plus(new Vec(0, 0, h))) - distance(p.minus(new Vec(0, 0, h))))
                .unit();
        return glaze.at(p.plus(new Vec(0, 1, 0)), normal, 2, true);
    }
}
