package nexa.sample;

/**
 * What a pot is dressed in: a glossy speckled glaze over raw clay, which shows at the foot and through the rim.
 *
 * @param colour the glaze
 * @param speck the colour of the speckles
 * @param share how many of the speckle cells hold one, 0 to 1
 * @param dip the height at which the glaze ends above the foot
 */
record Glaze(Vec colour, Vec speck, double share, double dip) {
    private static final Vec CLAY = Vec.srgb(0x9A7C66);
    private static final Vec RIM = Vec.srgb(0x8C5A34);

    static Glaze teal(double dip) {
        return new Glaze(Vec.srgb(0x5E9CA0), Vec.srgb(0x0F4A52), 0.5, dip);
    }

    static Glaze rust(double dip) {
        return new Glaze(Vec.srgb(0xC07F5E), Vec.srgb(0x7C3A10), 0.45, dip);
    }

    static Glaze cream(double dip) {
        return new Glaze(Vec.srgb(0xDAD5C6), Vec.srgb(0x8A7B62), 0.4, dip);
    }

    static Glaze cobalt(double dip) {
        return new Glaze(Vec.srgb(0x5A73AE), Vec.srgb(0x1D2B66), 0.45, dip);
    }

    static Glaze moss(double dip) {
        return new Glaze(Vec.srgb(0x8FA477), Vec.srgb(0x42562F), 0.5, dip);
    }

    /** The glaze at a point of a pot whose foot stands at the origin, {@code height} tall. */
    Surface.Patch at(Vec p, Vec normal, double height, boolean inside) {
        double angle = Math.atan2(p.z(), p.x());
        double line = dip + 0.006 * (Noise.layered(angle * 3 + 20, p.y() * 8, colour.x() * 50, 3) - 0.5);
        double coat = inside ? 1 : Math.max(0, Math.min(1, (p.y() - line) / 0.0035));
        double grit = 0.9 + 0.2 * Noise.layered(p.x() * 420, p.y() * 420, p.z() * 420, 2);
        Vec clay = CLAY.times(grit * (0.9 + 0.2 * Noise.layered(angle, p.y() * 60, 2, 2)));
        double pool = 0.9 + 0.22 * Noise.layered(p.x() * 16, p.y() * 10, p.z() * 16, 3);
        Vec glazed = colour.times(pool);
        double thin = Math.max(0, 1 - (height - p.y()) / 0.006);
        glazed = glazed.mix(RIM, 0.65 * thin);
        double speckle = Noise.speckle(p.times(85), share);
        glazed = glazed.mix(speck, 0.85 * speckle);
        double ripple = 0.03 * coat;
        Vec bumped = new Vec(
                        normal.x() + ripple * (Noise.smooth(p.x() * 60, p.y() * 60, p.z() * 60) - 0.5),
                        normal.y() + ripple * (Noise.smooth(p.x() * 60 + 9, p.y() * 60, p.z() * 60) - 0.5),
                        normal.z() + ripple * (Noise.smooth(p.x() * 60, p.y() * 60 + 9, p.z() * 60) - 0.5))
                .unit();
        return new Surface.Patch(bumped, clay.mix(glazed, coat), 0.05 * coat, 0.015);
    }
}
