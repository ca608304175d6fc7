package nexa.sample;

/**
 * A pinhole with a thin lens before it.
 *
 * @param eye where it stands
 * @param target what it is pointed and focused at
 * @param fieldOfView the angle across the photo's long side, in degrees
 * @param lean how far the picture leans clockwise on screen, in degrees: levelling turns it by −lean
 * @param aperture the lens's radius
 * @param barrel how far straight lines bulge outwards: the share by which the picture's corner is pulled in
 */
record Camera(Vec eye, Vec target, double fieldOfView, double lean, double aperture, double barrel) {

    /** A ray through a point of the picture: x and y from −1 to 1 along the long side, y down; u and v on the lens. */
    Vec[] ray(double x, double y, double u, double v) {
        double half = Math.tan(Math.toRadians(fieldOfView) / 2);
        double turn = Math.toRadians(-lean);
        double bulge = 1 + barrel * (x * x + y * y);
        double sx = (x * Math.cos(turn) - y * Math.sin(turn)) * half * bulge;
        double sy = (x * Math.sin(turn) + y * Math.cos(turn)) * half * bulge;
        double focus = target.minus(eye).length();
        Vec through =
                eye.plus(forward().times(focus)).plus(right().times(sx * focus)).plus(up().times(-sy * focus));
        Vec origin = eye.plus(right().times(u * aperture)).plus(up().times(v * aperture));
        return new Vec[] {origin, through.minus(origin).unit()};
    }

    /** Where a point lies in the picture, as {@link #ray} counts: the way back, but for the lens's bulge. */
    double[] project(Vec point) {
        Vec to = point.minus(eye);
        double depth = to.dot(forward());
        double half = Math.tan(Math.toRadians(fieldOfView) / 2);
        double sx = to.dot(right()) / depth / half;
        double sy = -to.dot(up()) / depth / half;
        double turn = Math.toRadians(lean);
        return new double[] {sx * Math.cos(turn) - sy * Math.sin(turn), sx * Math.sin(turn) + sy * Math.cos(turn)};
    }

    private Vec forward() {
        return target.minus(eye).unit();
    }

    private Vec right() {
        return forward().cross(new Vec(0, 1, 0)).unit();
    }

    private Vec up() {
        return right().cross(forward());
    }
}
