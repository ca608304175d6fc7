package nexa.sample;

/** One window at the left, in a room with pale walls. */
final class WindowLight implements Light {
    private static final Vec GLOW = new Vec(7.4, 7.3, 7.0).times(1.25);
    private static final Vec ROOM = new Vec(0.2, 0.21, 0.23);
    private static final double LEFT = -1.7;
    private static final double BOTTOM = 0.35;
    private static final double TOP = 1.65;

    private final double back;
    private final double front;

    /** The window of the workbench. */
    WindowLight() {
        this(-0.25, 1.15);
    }

    /** A window whose sides are this far towards the photographer. */
    WindowLight(double back, double front) {
        this.back = back;
        this.front = front;
    }

    @Override
    public Vec direct(Scene scene, Vec point, Vec normal, Sampler random) {
        double[] spread = random.spread(1);
        Vec spot = new Vec(LEFT, BOTTOM + spread[0] * (TOP - BOTTOM), back + spread[1] * (front - back));
        Vec to = spot.minus(point);
        double distance = to.length();
        Vec direction = to.times(1 / distance);
        double facing = direction.dot(normal);
        if (facing <= 0 || isBar(spot) || scene.isBlocked(point, direction, distance)) {
            return Vec.ZERO;
        }
        double area = (TOP - BOTTOM) * (front - back);
        double share = facing * Math.abs(direction.x()) * area / (Math.PI * distance * distance);
        return GLOW.times(share);
    }

    @Override
    public Vec background(Vec origin, Vec direction) {
        return throughWindow(origin, direction) ? GLOW : ROOM.times(0.8);
    }

    @Override
    public Vec ambient(Vec direction) {
        return ROOM.times(0.75 + 0.5 * Math.max(0, direction.y()));
    }

    @Override
    public double reach() {
        return 1.2;
    }

    private boolean throughWindow(Vec origin, Vec direction) {
        if (direction.x() >= 0) {
            return false;
        }
        Vec spot = origin.plus(direction.times((LEFT - origin.x()) / direction.x()));
        return spot.y() > BOTTOM && spot.y() < TOP && spot.z() > back && spot.z() < front && !isBar(spot);
    }

    /** The window's bars, a cross that shows in the highlights. */
    private boolean isBar(Vec spot) {
        return Math.abs(spot.y() - (BOTTOM + TOP) / 2) < 0.02 || Math.abs(spot.z() - (back + front) / 2) < 0.02;
    }
}
