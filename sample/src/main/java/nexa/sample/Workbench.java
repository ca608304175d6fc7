package nexa.sample;

/** A wooden top at y = 0, planks running left to right. */
final class Workbench implements Surface {
    private static final double PLANK = 0.145;
    private static final Vec LIGHT = Vec.srgb(0xC7A27C);
    private static final Vec DARK = Vec.srgb(0x8A6644);

    private final double back;

    Workbench(double back) {
        this.back = back;
    }

    @Override
    public double hit(Vec origin, Vec direction, double least) {
        if (direction.y() >= 0) {
            return NONE;
        }
        double t = -origin.y() / direction.y();
        return t > least && origin.z() + t * direction.z() > back ? t : NONE;
    }

    @Override
    public Vec tint() {
        return LIGHT.mix(DARK, 0.4);
    }

    @Override
    public Patch at(Vec p, Vec direction) {
        int plank = (int) Math.floor(p.z() / PLANK);
        double across = p.z() / PLANK - plank;
        double shift = Noise.hash(plank, 3, 9) * 40;
        double rings = Noise.layered(p.x() * 2.2 + shift, p.z() * 38 + shift, plank, 4);
        double fibre = Noise.layered(p.x() * 14 + shift, p.z() * 420, plank, 2);
        double tone = 0.25 + 0.5 * rings + 0.3 * (fibre - 0.5) + 0.25 * (Noise.hash(plank, 1, 1) - 0.5);
        Vec colour = LIGHT.mix(DARK, Math.max(0, Math.min(1, tone)));
        double seam = Math.min(across, 1 - across) * PLANK;
        if (seam < 0.0022) {
            colour = colour.times(0.25 + 0.75 * seam / 0.0022);
        }
        double dust = Noise.layered(p.x() * 9, 4, p.z() * 9, 3);
        if (dust > 0.56) {
            colour = colour.mix(Vec.srgb(0xD8CDBE), Math.min(0.35, (dust - 0.56) * 2.2));
        }
        return new Patch(new Vec(0, 1, 0), colour, 0.03, 0.22);
    }
}
