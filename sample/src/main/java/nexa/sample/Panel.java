package nexa.sample;

/** A flat parallelogram with a finish: the wall of a shed, a roof, a shelf. */
final class Panel implements Surface {
    /** What a panel is made of. */
    enum Finish {
        BOARDS(0x8D7B66, 0x53483B),
        BRICK(0x9A5B45, 0xA79C8E),
        ROOF(0x5C5F63, 0x3B3D40),
        SHELF(0xB08A5E, 0x8A6642),
        PLASTER(0xD6D1C6, 0xC2BCB0),
        DOOR(0x3F5B57, 0x2B403D),
        GRASS(0x6F8046, 0x45552B),
        BACKDROP(0xA9A7A3, 0xA19F9B);

        private final Vec light;
        private final Vec dark;

        Finish(int light, int dark) {
            this.light = Vec.srgb(light);
            this.dark = Vec.srgb(dark);
        }

        /** The colour at a place, in metres along the panel's two sides. */
        Vec at(double x, double y) {
            return switch (this) {
                case BOARDS -> boards(x, y, 0.16);
                case DOOR -> boards(x, y, 0.11);
                case BRICK -> brick(x, y);
                case ROOF -> slates(x, y);
                case SHELF -> light.mix(dark, Noise.layered(x * 3, y * 60, 7, 4));
                case BACKDROP -> light.mix(dark, Noise.layered(x * 1.5, y * 1.5, 8, 2));
                case PLASTER -> light.mix(dark, Noise.layered(x * 4, y * 4, 5, 5));
                case GRASS ->
                    light.mix(
                            dark, 0.7 * Noise.layered(x * 2, y * 2, 1, 3) + 0.5 * Noise.layered(x * 60, y * 60, 3, 3));
            };
        }

        private Vec boards(double x, double y, double width) {
            int board = (int) Math.floor(x / width);
            double gap = Math.min(x / width - board, 1 - x / width + board) * width;
            double tone = 0.5 * Noise.hash(board, 4, 2) + 0.6 * Noise.layered(x * 60, y * 2.5 + board * 9, board, 3);
            return light.mix(dark, Math.min(1, tone)).times(gap < 0.006 ? 0.25 : 1);
        }

        private Vec brick(double x, double y) {
            int row = (int) Math.floor(y / 0.075);
            double along = x / 0.23 + (row % 2) * 0.5;
            int column = (int) Math.floor(along);
            double joint = Math.min(
                    Math.min(along - column, 1 - along + column) * 0.23,
                    Math.min(y / 0.075 - row, 1 - y / 0.075 + row) * 0.075);
            double tone = 0.75 + 0.4 * Noise.hash(row, column, 8) + 0.25 * (Noise.layered(x * 90, y * 90, 1, 2) - 0.5);
            return joint < 0.006 ? dark : light.times(tone);
        }

        private Vec slates(double x, double y) {
            int row = (int) Math.floor(y / 0.2);
            double along = x / 0.3 + (row % 2) * 0.5;
            int column = (int) Math.floor(along);
            boolean isJoint = y / 0.2 - row < 0.07 || along - column < 0.03;
            return light.mix(dark, isJoint ? 1 : 0.6 * Noise.hash(row, column, 3));
        }
    }

    private final Vec corner;
    private final Vec across;
    private final Vec up;
    private final Vec normal;
    private final double width;
    private final double height;
    private final Finish finish;

    Panel(Vec corner, Vec across, Vec up, Finish finish) {
        this.corner = corner;
        this.across = across;
        this.up = up;
        this.normal = across.cross(up).unit();
        this.width = across.length();
        this.height = up.length();
        this.finish = finish;
    }

    /** The six sides of a box from one corner to the opposite one. */
    static Panel[] box(Vec least, Vec most, Finish finish) {
        Vec x = new Vec(most.x() - least.x(), 0, 0);
        Vec y = new Vec(0, most.y() - least.y(), 0);
        Vec z = new Vec(0, 0, most.z() - least.z());
        return new Panel[] {
            new Panel(least, x, y, finish), new Panel(least.plus(z), x, y, finish),
            new Panel(least, z, y, finish), new Panel(least.plus(x), z, y, finish),
            new Panel(least, x, z, finish), new Panel(least.plus(y), x, z, finish)
        };
    }

    @Override
    public double hit(Vec origin, Vec direction, double least) {
        double slope = direction.dot(normal);
        if (Math.abs(slope) < 1e-9) {
            return NONE;
        }
        double t = corner.minus(origin).dot(normal) / slope;
        if (t <= least) {
            return NONE;
        }
        Vec inside = origin.plus(direction.times(t)).minus(corner);
        double x = inside.dot(across) / (width * width);
        double y = inside.dot(up) / (height * height);
        return x >= 0 && x <= 1 && y >= 0 && y <= 1 ? t : NONE;
    }

    @Override
    public Vec tint() {
        return finish.light.mix(finish.dark, 0.4);
    }

    @Override
    public Patch at(Vec point, Vec direction) {
        Vec inside = point.minus(corner);
        Vec colour = finish.at(inside.dot(across) / width, inside.dot(up) / height);
        return new Patch(direction.dot(normal) > 0 ? normal.times(-1) : normal, colour, 0, 0);
    }
}
