package nexa.sample;

/** A wall of large glazed tiles at a fixed z, facing the photographer. */
final class TiledWall implements Surface {
    private static final double TILE = 0.2;
    private static final double GROUT = 0.004;
    private static final Vec GROUT_COLOUR = Vec.srgb(0xA9A7A0);

    private final double z;
    private final Vec base;

    TiledWall(double z, Vec base) {
        this.z = z;
        this.base = base;
    }

    @Override
    public double hit(Vec origin, Vec direction, double least) {
        if (direction.z() >= 0) {
            return NONE;
        }
        double t = (z - origin.z()) / direction.z();
        return t > least ? t : NONE;
    }

    @Override
    public Vec tint() {
        return base;
    }

    @Override
    public Patch at(Vec p, Vec direction) {
        double across = p.x() / TILE + 0.37;
        double up = p.y() / TILE + 0.15;
        int column = (int) Math.floor(across);
        int row = (int) Math.floor(up);
        double edge = TILE * Math.min(Math.min(across - column, 1 - across + column), Math.min(up - row, 1 - up + row));
        if (edge < GROUT) {
            double rough = 0.86 + 0.2 * Noise.layered(p.x() * 160, p.y() * 160, 3, 2);
            return new Patch(new Vec(0, 0, 1), GROUT_COLOUR.times(rough), 0, 0);
        }
        double tone =
                0.94 + 0.09 * Noise.hash(column, row, 5) + 0.05 * (Noise.layered(p.x() * 7, p.y() * 7, 1, 3) - 0.5);
        double bevel = Math.max(0, 1 - (edge - GROUT) / 0.003);
        double tiltX =
                0.02 * (Noise.hash(column, row, 1) - 0.5) + 0.012 * (Noise.smooth(p.x() * 30, p.y() * 30, 2) - 0.5);
        double tiltY =
                0.02 * (Noise.hash(column, row, 2) - 0.5) + 0.012 * (Noise.smooth(p.x() * 30, p.y() * 30, 7) - 0.5);
        Vec normal = new Vec(tiltX, tiltY, 1).unit();
        return new Patch(normal, base.times(tone * (1 - 0.12 * bevel)), 0.035, 0.05);
    }
}
