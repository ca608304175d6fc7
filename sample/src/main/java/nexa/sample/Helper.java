package nexa.sample;

import java.util.ArrayList;
import java.util.List;

/** Somebody who helps at the firing, down to the waist: made of rounded parts, with a painted face. */
final class Helper {
    private static final Vec WHITE = Vec.srgb(0xF0ECE6);
    private static final Vec IRIS = Vec.srgb(0x3C2819);
    private static final Vec DARK = Vec.srgb(0x120C08);

    /** Half of a face's width, in metres; half its height is 1.32 times that. */
    private static final double FACE = 0.078;

    private final Vec head;
    private final double turn;
    private final Vec skin;
    private final Vec hair;
    private final int cloth;
    private final List<Surface> parts = new ArrayList<>();

    private Helper(Vec head, double turn, int skin, int hair, int cloth) {
        this.head = head;
        this.turn = turn;
        this.skin = Vec.srgb(skin);
        this.hair = Vec.srgb(hair);
        this.cloth = cloth;
    }

    /**
     * Somebody.
     *
     * @param head the middle of the head, in metres
     * @param degrees how far turned: 0 looks at the photographer, 90 to the right
     * @param skin sRGB, as the other colours
     */
    static List<Surface> at(Vec head, double degrees, int skin, int hair, int cloth) {
        Helper helper = new Helper(head, Math.toRadians(degrees), skin, hair, cloth);
        helper.addHead();
        helper.addBody();
        return helper.parts;
    }

    private void add(double x, double y, double z, double wide, double high, double deep, Ellipsoid.Paint paint) {
        double cos = Math.cos(turn);
        double sin = Math.sin(turn);
        Vec place = head.plus(new Vec(x * cos + z * sin, y, z * cos - x * sin).times(FACE));
        parts.add(new Ellipsoid(place, new Vec(wide, high, deep).times(FACE), turn, paint));
    }

    private void addHead() {
        Ellipsoid.Paint bare = at -> skin.times(0.97 + 0.06 * Noise.layered(at.x() * 7, at.y() * 7, at.z() * 7, 3));
        Ellipsoid.Paint locks = at -> hair.times(0.8 + 0.4 * Noise.layered(at.x() * 30, at.y() * 6, at.z() * 30, 3));
        add(0, 0, 0, 1, 1.32, 1.12, this::face);
        add(0, 0.36, -0.22, 1.1, 1.12, 1.06, locks);
        add(0, -0.3, 1.06, 0.15, 0.34, 0.24, bare);
        for (int side : new int[] {-1, 1}) {
            add(side * 0.99, -0.1, -0.05, 0.1, 0.25, 0.17, bare);
        }
        add(0, -1.4, -0.2, 0.6, 0.9, 0.6, bare);
    }

    private void addBody() {
        Ellipsoid.Paint shirt = Ellipsoid.Paint.plain(cloth);
        add(0, -2.6, -0.25, 2.2, 0.9, 1.1, shirt);
        add(0, -6.5, -0.2, 1.9, 4.9, 1.35, shirt);
        for (int side : new int[] {-1, 1}) {
            add(side * 2.0, -5.2, -0.1, 0.6, 3.2, 0.7, shirt);
        }
    }

    /** The colour of a place of the face, in radii of the head. */
    private Vec face(Vec at) {
        double x = at.x();
        double y = at.y();
        if (at.z() < 0) {
            return hair;
        }
        Vec colour = skin.times(0.97 + 0.06 * Noise.layered(x * 7, y * 7, at.z() * 7, 3));
        colour = colour.mix(Vec.srgb(0xC46A58), 0.22 * soft(x, y + 0.28, 0.75, 0.2) * Math.min(1, Math.abs(x) * 2));
        for (int side : new int[] {-1, 1}) {
            colour = eye(colour, x - side * 0.44, y - 0.1);
        }
        colour = colour.mix(skin.times(0.5), 0.5 * soft(x, y + 0.5, 0.22, 0.05));
        return mouth(colour, x, y + 0.66);
    }

    private Vec eye(Vec under, double x, double y) {
        Vec colour = under.mix(skin.times(0.55), 0.6 * soft(x, y, 0.29, 0.15));
        if (inside(x, y, 0.2, 0.075)) {
            colour = WHITE;
        }
        if (inside(x, y, 0.1, 0.09) && Math.abs(y) < 0.075) {
            colour = inside(x, y, 0.05, 0.045) ? DARK : IRIS;
        }
        // Lashes above, brows further up.
        if (inside(x, y, 0.22, 0.095) && !inside(x, y, 0.22, 0.075) && y > 0) {
            colour = DARK;
        }
        double arch = 0.24 - 0.9 * x * x;
        return Math.abs(x) < 0.3 ? colour.mix(hair, 0.9 * soft(0, y - arch, 1, 0.045)) : colour;
    }

    private static Vec mouth(Vec under, double x, double y) {
        double corner = 0.12 * x * x;
        Vec colour = under.mix(Vec.srgb(0xA8453F), 0.85 * soft(x, y - corner, 0.4, 0.1));
        return Math.abs(x) < 0.36 && Math.abs(y - corner) < 0.014 ? Vec.srgb(0x5A201E) : colour;
    }

    private static boolean inside(double x, double y, double wide, double high) {
        return x * x / wide / wide + y * y / high / high < 1;
    }

    /** 1 in the middle of an oval, and nothing outside. */
    private static double soft(double x, double y, double wide, double high) {
        double off = x * x / wide / wide + y * y / high / high;
        return off >= 1 ? 0 : Math.sqrt(1 - off);
    }
}
