package nexa.sample;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** How the photos of the sample shoot are taken: by which camera, from where, of what. */
final class Take {
    private static final int LONG = 2400;
    private static final int SHORT = 1600;
    private static final double WALL = -0.42;

    private Take() {}

    /** The first camera. */
    static Shot wide(int number, double lean, double aimX, double aimY, double away, double view, Surface... things) {
        return of(number, LONG, SHORT, lean, aimX, aimY, away, view, 0, things);
    }

    static Shot tall(int number, double lean, double aimX, double aimY, double away, double view, Surface... things) {
        return of(number, SHORT, LONG, lean, aimX, aimY, away, view + 4, 0, things);
    }

    /** The second camera, which has fewer pixels. A mug comes as two things in one array. */
    static Shot second(
            int number,
            boolean wide,
            double lean,
            double aimX,
            double aimY,
            double away,
            double view,
            Object... things) {
        List<Surface> all = new ArrayList<>();
        for (Object thing : things) {
            if (thing instanceof Surface[] several) {
                all.addAll(List.of(several));
            } else {
                all.add((Surface) thing);
            }
        }
        int across = wide ? 1800 : 1200;
        return of(
                number,
                across,
                3000 - across,
                lean,
                aimX,
                aimY,
                away,
                wide ? view : view + 4,
                0,
                all.toArray(new Surface[0]));
    }

    static Surface[] mug(double x, double z, double size, Glaze glaze) {
        Vec middle = new Vec(x + 0.056 * size, 0.052 * size, z);
        return new Surface[] {PotShapes.mug(x, z, size, glaze), new MugHandle(middle, 0.027 * size, 0.006 * size, glaze)
        };
    }

    /** From above or below, so that uprights converge. */
    static Shot tilted(int number, double lean, double eyeY, double aimY, Surface... pots) {
        Camera camera = new Camera(new Vec(0.02, eyeY, 0.85), new Vec(0.01, aimY, 0), 52, lean, 0.002, 0);
        return shot(number, 1200, 1800, camera, onBench(pots));
    }

    static Shot of(
            int number,
            int width,
            int height,
            double lean,
            double aimX,
            double aimY,
            double away,
            double view,
            double barrel,
            Surface... things) {
        Camera camera =
                new Camera(new Vec(aimX, aimY + 0.055, away), new Vec(aimX, aimY, 0), view, lean, 0.0035, barrel);
        return shot(number, width, height, camera, onBench(things));
    }

    static Shot place(
            int number,
            boolean wide,
            double lean,
            double barrel,
            List<Surface> things,
            Vec eye,
            Vec target,
            double view,
            Light light) {
        int across = wide ? 1800 : 1200;
        Camera camera = new Camera(eye, target, view, lean, 0.001, barrel);
        Photograph photo = new Photograph(name(number), across, 3000 - across, camera, new Scene(things, light));
        return new Shot(photo, Storage.JPEG, 1, Optional.empty(), false, true, taken(number));
    }

    private static List<Surface> onBench(Surface... things) {
        List<Surface> surfaces = new ArrayList<>(List.of(things));
        surfaces.add(new Workbench(WALL));
        surfaces.add(new TiledWall(WALL, Vec.srgb(0xC9C9C4)));
        return surfaces;
    }

    static Shot shot(int number, int width, int height, Camera camera, List<Surface> things) {
        Photograph photo = new Photograph(name(number), width, height, camera, new Scene(things, new WindowLight()));
        // The pot named first but one in the middle of a row is the subject; of one or two, the first.
        List<Pot> pots = things.stream()
                .filter(Pot.class::isInstance)
                .map(Pot.class::cast)
                .toList();
        Optional<Pot> subject = Optional.of(pots.get(pots.size() > 2 ? pots.size() / 2 : 0));
        return new Shot(photo, Storage.JPEG, 1, subject, false, true, taken(number));
    }

    private static String name(int number) {
        return "fern-0" + number;
    }

    private static LocalDateTime taken(int number) {
        return LocalDateTime.of(2026, 4, 18, 9, 30).plusSeconds(47L * (number - 138));
    }
}
