package nexa.sample;

/** By a lake on a mild afternoon: trees stand along its straight far shore, and the water shows them and the sky again. */
final class LakeLight implements Light {
    /** The far shore lies so much below the eye's level, as height over distance, seen along −z. */
    private static final double SHORE = -0.006;

    private static final double EYE = 1.7;
    private static final Vec TREES = new Vec(0.03, 0.055, 0.025);
    private static final Vec WATER = new Vec(0.06, 0.1, 0.11);

    private final SkyLight sky = new SkyLight();

    @Override
    public Vec direct(Scene scene, Vec point, Vec normal, Sampler random) {
        return sky.direct(scene, point, normal, random);
    }

    @Override
    public Vec background(Vec origin, Vec direction) {
        double across = direction.x() / -direction.z();
        double slope = direction.y() / -direction.z();
        if (slope >= SHORE) {
            return beyond(across, slope);
        }
        double away = EYE / -slope;
        double ripple = Noise.layered(across * away * 1.2, away * 2.5, 6, 3) - 0.5;
        double calm = Noise.layered(across * away * 0.05, away * 0.05, 9, 2);
        double seen = 2 * SHORE - slope + ripple * Math.min(0.04, 0.5 / away) * (0.3 + calm);
        return beyond(across, Math.max(SHORE, seen)).times(0.8).mix(WATER, 0.4 + 0.1 * ripple);
    }

    private Vec beyond(double across, double slope) {
        double height = 0.007 + 0.01 * Noise.layered(across * 22, 1, 3, 4);
        if (slope < SHORE + height) {
            double leaves = Noise.layered(across * 420, slope * 420, 4, 3);
            return TREES.times(0.5 + 1.2 * leaves);
        }
        return sky.background(Vec.ZERO, new Vec(across, slope, -1).unit());
    }

    @Override
    public Vec ambient(Vec direction) {
        return sky.ambient(direction);
    }

    @Override
    public double reach() {
        return sky.reach();
    }
}
