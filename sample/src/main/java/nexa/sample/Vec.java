package nexa.sample;

/** A point, direction or linear colour in three dimensions. */
record Vec(double x, double y, double z) {
    static final Vec ZERO = new Vec(0, 0, 0);

    static Vec grey(double v) {
        return new Vec(v, v, v);
    }

    /** A linear colour from an sRGB hex value. */
    static Vec srgb(int hex) {
        return new Vec(linear(hex >> 16 & 255), linear(hex >> 8 & 255), linear(hex & 255));
    }

    private static double linear(int value) {
        double v = value / 255.0;
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }

    Vec plus(Vec o) {
        return new Vec(x + o.x, y + o.y, z + o.z);
    }

    Vec minus(Vec o) {
        return new Vec(x - o.x, y - o.y, z - o.z);
    }

    Vec times(double s) {
        return new Vec(x * s, y * s, z * s);
    }

    Vec times(Vec o) {
        return new Vec(x * o.x, y * o.y, z * o.z);
    }

    Vec mix(Vec o, double share) {
        return new Vec(x + (o.x - x) * share, y + (o.y - y) * share, z + (o.z - z) * share);
    }

    double dot(Vec o) {
        return x * o.x + y * o.y + z * o.z;
    }

    Vec cross(Vec o) {
        return new Vec(y * o.z - z * o.y, z * o.x - x * o.z, x * o.y - y * o.x);
    }

    double length() {
        return Math.sqrt(dot(this));
    }

    Vec unit() {
        return times(1 / length());
    }

    /** This direction mirrored at a surface with the given unit normal. */
    Vec reflect(Vec normal) {
        return minus(normal.times(2 * dot(normal)));
    }
}
