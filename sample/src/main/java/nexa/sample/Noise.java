package nexa.sample;

/** Repeatable value noise and speckle, for grain, glaze and grout. */
final class Noise {
    private Noise() {}

    /** A repeatable number from 0 to 1 for a cell. */
    static double hash(int x, int y, int z) {
        int h = x * 374761393 + y * 668265263 + z * 2147483647 ^ 0x5bd1e995;
        h = (h ^ h >>> 13) * 1274126177;
        h = (h ^ h >>> 15) * 0x2c1b3c6d;
        return ((h ^ h >>> 16) & 0xffffff) / (double) 0x1000000;
    }

    /** Smooth noise from 0 to 1, one bump a unit. */
    static double smooth(double x, double y, double z) {
        int xi = (int) Math.floor(x);
        int yi = (int) Math.floor(y);
        int zi = (int) Math.floor(z);
        double u = fade(x - xi);
        double v = fade(y - yi);
        double w = fade(z - zi);
        double near = face(xi, yi, zi, u, v);
        return near + (face(xi, yi, zi + 1, u, v) - near) * w;
    }

    private static double face(int x, int y, int z, double u, double v) {
        double top = hash(x, y, z) + (hash(x + 1, y, z) - hash(x, y, z)) * u;
        double bottom = hash(x, y + 1, z) + (hash(x + 1, y + 1, z) - hash(x, y + 1, z)) * u;
        return top + (bottom - top) * v;
    }

    private static double fade(double t) {
        return t * t * (3 - 2 * t);
    }

    /** Several octaves of {@link #smooth}, from 0 to 1. */
    static double layered(double x, double y, double z, int octaves) {
        double sum = 0;
        double weight = 0.5;
        double total = 0;
        for (int i = 0; i < octaves; i++) {
            sum += weight * smooth(x, y, z);
            total += weight;
            weight *= 0.5;
            x = x * 2 + 17.1;
            y = y * 2 + 5.7;
            z = z * 2 + 9.3;
        }
        return sum / total;
    }

    /** How far inside a speckle a point lies, 0 (outside) to 1; one cell a unit, some cells without a speckle. */
    static double speckle(Vec p, double share) {
        int xi = (int) Math.floor(p.x());
        int yi = (int) Math.floor(p.y());
        int zi = (int) Math.floor(p.z());
        double inside = 0;
        for (int dx = -1; dx <= 1; dx++) {
            for (int dy = -1; dy <= 1; dy++) {
                for (int dz = -1; dz <= 1; dz++) {
                    inside = Math.max(inside, cellSpeckle(p, xi + dx, yi + dy, zi + dz, share));
                }
            }
        }
        return inside;
    }

    private static double cellSpeckle(Vec p, int x, int y, int z, double share) {
        if (hash(x + 71, y, z) > share) {
            return 0;
        }
        double cx = x + hash(x, y + 31, z);
        double cy = y + hash(x, y, z + 57);
        double cz = z + hash(x + 13, y + 7, z);
        double radius = 0.08 + 0.34 * Math.pow(hash(x + 3, y + 5, z + 11), 2.2);
        double dx = p.x() - cx;
        double dy = p.y() - cy;
        double dz = p.z() - cz;
        double square = dx * dx + dy * dy + dz * dz;
        if (square > 0.25) {
            return 0;
        }
        double d = Math.sqrt(square) + 0.09 * (smooth(p.x() * 5, p.y() * 5, p.z() * 5) - 0.5);
        return Math.max(0, Math.min(1, (radius - d) / 0.05));
    }
}
