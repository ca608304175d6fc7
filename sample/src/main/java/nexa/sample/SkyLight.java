package nexa.sample;

/** A mild afternoon outside: a hazy sun, the sky, and ranges of hills that get paler the farther they are. */
final class SkyLight implements Light {
    private static final Vec SUN = new Vec(-0.62, 0.66, 0.55).unit();
    private static final Vec SUNSHINE = new Vec(1.5, 1.36, 1.12);
    private static final Vec ZENITH = new Vec(0.24, 0.36, 0.58);
    private static final Vec HAZE = new Vec(0.62, 0.66, 0.68);
    private static final Vec NEAR_HILL = new Vec(0.055, 0.085, 0.035);
    private static final Vec GRASS = new Vec(0.2, 0.27, 0.08);
    private static final int RANGES = 4;

    @Override
    public Vec direct(Scene scene, Vec point, Vec normal, Sampler random) {
        double[] spread = random.spread(1);
        Vec direction = SUN.plus(new Vec(spread[0] - 0.5, spread[1] - 0.5, 0).times(0.06))
                .unit();
        double facing = direction.dot(normal);
        return facing <= 0 || scene.isBlocked(point, direction, Surface.NONE) ? Vec.ZERO : SUNSHINE.times(facing);
    }

    @Override
    public Vec background(Vec origin, Vec direction) {
        double around = Math.atan2(direction.x(), -direction.z());
        double up = Math.asin(direction.y());
        double meadow = -0.1 + 0.07 * Noise.layered(around * 2.1 + 5, 1, 7, 3);
        if (up < meadow) {
            double away = 1 / (meadow - up + 0.03);
            double tone = Noise.layered(around * away * 1.5, away * 1.5, 3, 4);
            return GRASS.times(0.65 + 0.7 * tone).mix(HAZE, Math.min(0.2, away / 220));
        }
        for (int range = 0; range < RANGES; range++) {
            double height = 0.01
                    + 0.028 * range
                    + 0.085 * Noise.layered(around * (2.3 + 0.8 * range) + 31 * range, range, 2, 3)
                    - 0.03;
            if (up < height) {
                return hill(range, around, up);
            }
        }
        double clouds = Math.max(0, Noise.layered(around * 3, up * 9, 4, 4) - 0.5) * 1.3;
        return HAZE.mix(ZENITH, Math.min(1, Math.max(0, up) * 2.2)).mix(Vec.grey(0.85), clouds);
    }

    private static Vec hill(int range, double around, double up) {
        double woods = Noise.layered(around * 160 / (range + 1), up * 260 / (range + 1), range, 4);
        Vec green = NEAR_HILL.times(0.6 + 0.9 * woods);
        return green.mix(HAZE, 0.16 + 0.21 * range);
    }

    @Override
    public Vec ambient(Vec direction) {
        return ZENITH.mix(HAZE, 0.5).times(direction.y() > 0 ? 0.7 : 0.2);
    }

    @Override
    public double reach() {
        return 5;
    }
}
