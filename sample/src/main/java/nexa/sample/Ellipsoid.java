package nexa.sample;

/**
 * A rounded part of a body, dressed in a paint.
 *
 * @param middle where it is
 * @param radii half its width, height and depth
 * @param turn how far it is turned about an upright axis, in radians; turned by 90° its front is to the right
 */
record Ellipsoid(Vec middle, Vec radii, double turn, Paint paint) implements Surface {
    /** What something looks like. */
    interface Paint {
        /**
         * The colour at a place.
         *
         * @param at right, up and to the front, in radii: its front is at z = 1
         */
        Vec at(Vec at);

        /** One colour all over. */
        static Paint plain(int srgb) {
            Vec colour = Vec.srgb(srgb);
            return at -> colour.times(0.94 + 0.12 * Noise.layered(at.x() * 9, at.y() * 9, at.z() * 9, 3));
        }
    }

    private Vec inRadii(Vec p) {
        Vec turned = turned(p, -turn);
        return new Vec(turned.x() / radii.x(), turned.y() / radii.y(), turned.z() / radii.z());
    }

    private static Vec turned(Vec p, double by) {
        double cos = Math.cos(by);
        double sin = Math.sin(by);
        return new Vec(p.x() * cos + p.z() * sin, p.y(), p.z() * cos - p.x() * sin);
    }

    @Override
    public double hit(Vec origin, Vec direction, double least) {
        Vec from = inRadii(origin.minus(middle));
        Vec way = inRadii(direction);
        double a = way.dot(way);
        double b = from.dot(way);
        double root = b * b - a * (from.dot(from) - 1);
        if (root <= 0) {
            return NONE;
        }
        double near = (-b - Math.sqrt(root)) / a;
        double far = (-b + Math.sqrt(root)) / a;
        if (near > least) {
            return near;
        }
        return far > least ? far : NONE;
    }

    @Override
    public Patch at(Vec point, Vec direction) {
        Vec at = inRadii(point.minus(middle));
        Vec across = new Vec(at.x() / radii.x(), at.y() / radii.y(), at.z() / radii.z());
        Vec normal = turned(across, turn).unit();
        return new Patch(normal, paint.at(at), 0.01, 0.2);
    }

    @Override
    public Vec tint() {
        return paint.at(new Vec(0, -1, 0));
    }
}
