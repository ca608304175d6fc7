package nexa.sample;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The photos of the sample shoot: Fernhill Pottery, spring firing. */
final class FernhillShoot {
    private static final int LONG = 2400;
    private static final int SHORT = 1600;
    private static final double WALL = -0.42;

    private FernhillShoot() {}

    static List<Shot> shots() {
        List<Shot> photos = new ArrayList<>();
        photos.add(tall(139, -1.4, 0.02, 0.2, 0.92, 30, Pot.vase(0, 0, 1, Glaze.cobalt(0.06))));
        photos.add(wide(
                138,
                1.8,
                0,
                0.12,
                0.95,
                40,
                Pot.bowl(-0.02, 0.05, 1.15, Glaze.cream(0.025)),
                Pot.bowl(0.33, -0.08, 0.95, Glaze.cobalt(0.025))));
        photos.add(wide(
                141,
                0.0,
                0.01,
                0.12,
                1.0,
                36,
                Pot.tumbler(-0.14, 0.02, 1.25, Glaze.moss(0.03)),
                Pot.tumbler(0.0, 0.05, 1.42, Glaze.rust(0.035)),
                Pot.tumbler(0.14, 0.01, 1.2, Glaze.cream(0.03))));
        photos.add(tall(
                142,
                0.7,
                0.04,
                0.17,
                0.95,
                32,
                Pot.vase(-0.01, 0, 0.95, Glaze.rust(0.07)),
                Pot.tumbler(0.15, 0.06, 1.05, Glaze.cream(0.03))));
        photos.add(wide(
                144,
                -0.9,
                0.02,
                0.14,
                1.02,
                38,
                Pot.bowl(-0.2, 0.08, 1.05, Glaze.teal(0.025)),
                Pot.vase(0.12, -0.06, 0.9, Glaze.moss(0.06))));
        photos.add(tall(145, 2.2, 0.0, 0.16, 1.0, 34, Pot.bottle(0.02, 0.02, 0.9, Glaze.teal(0.05))));
        photos.add(wide(
                147,
                2.3,
                0.03,
                0.15,
                1.0,
                38,
                Pot.tumbler(-0.22, 0.05, 1.25, Glaze.rust(0.04)),
                Pot.vase(0, -0.02, 1.02, Glaze.teal(0.075)),
                Pot.bowl(0.27, 0.07, 1.2, Glaze.cream(0.03))));
        photos.add(tall(
                148,
                0.0,
                0.03,
                0.15,
                0.98,
                33,
                Pot.jar(-0.03, 0.03, 1.1, Glaze.cobalt(0.04)),
                Pot.bottle(0.1, -0.12, 0.95, Glaze.cream(0.05))));
        photos.add(wide(
                150,
                -3.1,
                -0.05,
                0.12,
                1.02,
                40,
                Pot.bowl(-0.1, 0.04, 1.2, Glaze.cream(0.028)),
                Pot.jar(0.2, -0.1, 1.0, Glaze.cobalt(0.035))));
        photos.add(wide(
                153,
                1.1,
                0.0,
                0.11,
                0.98,
                37,
                Pot.jar(-0.2, -0.02, 0.95, Glaze.moss(0.035)),
                Pot.jar(0.0, 0.04, 1.08, Glaze.rust(0.04)),
                Pot.jar(0.21, -0.03, 0.9, Glaze.cream(0.035))));
        photos.add(wide(
                156,
                -0.5,
                0.02,
                0.14,
                1.05,
                38,
                Pot.bottle(-0.16, 0.0, 0.95, Glaze.teal(0.05)),
                Pot.bottle(-0.03, -0.1, 1.05, Glaze.cream(0.05)),
                Pot.tumbler(0.13, 0.08, 1.2, Glaze.cobalt(0.03))));
        photos.add(wide(159, 4.2, 0.02, 0.1, 0.9, 36, Pot.bowl(0.04, 0.02, 1.25, Glaze.moss(0.03))));
        addPots(photos);
        addPlaces(photos);
        return photos;
    }

    private static void addPots(List<Shot> photos) {
        photos.add(second(
                        160,
                        true,
                        1.4,
                        0,
                        0.11,
                        0.95,
                        37,
                        mug(-0.1, 0.02, 1.2, Glaze.cream(0.02)),
                        mug(0.13, 0.06, 1.3, Glaze.teal(0.025)))
                .tellingSubject());
        photos.add(second(161, true, 0.4, 0.05, 0.12, 0.9, 36, Pot.jar(0.1, 0, 1.2, Glaze.rust(0.04)))
                .tellingSubject());
        photos.add(second(
                        162,
                        true,
                        -2.0,
                        -0.04,
                        0.13,
                        1.1,
                        40,
                        Pot.vase(-0.2, 0, 0.8, Glaze.cream(0.05)),
                        Pot.jar(0.03, 0.05, 0.9, Glaze.moss(0.03)),
                        Pot.bottle(0.2, -0.08, 0.85, Glaze.rust(0.05)))
                .sideways(3)
                .tellingSubject());
        photos.add(second(
                163,
                true,
                6.0,
                0,
                0.1,
                0.95,
                38,
                Pot.bowl(-0.1, 0, 0.9, Glaze.teal(0.02)),
                mug(0.16, 0.06, 1.1, Glaze.rust(0.02))));
        photos.add(second(
                        164,
                        true,
                        -0.7,
                        0.06,
                        0.12,
                        1.2,
                        38,
                        mug(-0.24, 0, 1, Glaze.moss(0.02)),
                        mug(-0.06, 0.03, 1.05, Glaze.moss(0.02)),
                        mug(0.12, 0, 1, Glaze.moss(0.02)))
                .tellingSubject());
        photos.add(second(
                        165,
                        true,
                        0.9,
                        -0.08,
                        0.15,
                        1.05,
                        38,
                        Pot.vase(0.06, 0, 1.05, Glaze.cobalt(0.07)),
                        Pot.bowl(-0.24, 0.05, 0.8, Glaze.cream(0.02)))
                .stored(Storage.WIDE_GAMUT)
                .tellingSubject());
        photos.add(of(
                        166,
                        1200,
                        800,
                        0,
                        0.02,
                        0.14,
                        1.0,
                        36,
                        0,
                        Pot.bottle(-0.08, 0, 1, Glaze.cobalt(0.05)),
                        Pot.tumbler(0.1, 0.06, 1.2, Glaze.cream(0.03)))
                .stored(Storage.PNG));
        photos.add(of(167, 900, 600, -1.2, 0, 0.11, 0.95, 36, 0, Pot.jar(0, 0, 1.15, Glaze.teal(0.04)))
                .stored(Storage.TIFF)
                .tellingSubject());
        photos.add(second(168, true, 2.6, 0.03, 0.12, 1.0, 36, Pot.bowl(0.02, 0.02, 1.1, Glaze.rust(0.025)))
                .stored(Storage.WEBP));
        photos.add(second(
                        169,
                        true,
                        0.6,
                        0,
                        0.12,
                        1.0,
                        37,
                        Pot.tumbler(-0.12, 0, 1.2, Glaze.cobalt(0.03)),
                        Pot.tumbler(0.1, 0.04, 1.3, Glaze.teal(0.03)))
                .stored(Storage.BARS));
        photos.add(second(170, true, -0.4, 0, 0.13, 1.0, 37, Pot.vase(0, 0, 0.95, Glaze.moss(0.06)))
                .stored(Storage.SCAN));
        photos.add(second(171, true, 0, 0, 0.12, 1.0, 38, Pot.jar(0, 0, 1, Glaze.cream(0.04)))
                .stored(Storage.DAMAGED));
        photos.add(second(172, false, 1.0, 0.02, 0.16, 0.9, 36, Pot.vase(0.02, 0, 0.95, Glaze.moss(0.06)))
                .sideways(6)
                .tellingSubject());
        photos.add(second(
                        173,
                        false,
                        -2.8,
                        0,
                        0.16,
                        0.95,
                        38,
                        Pot.bottle(-0.05, 0, 0.95, Glaze.rust(0.05)),
                        mug(0.1, 0.08, 1, Glaze.cream(0.02)))
                .sideways(8)
                .tellingSubject());
        photos.add(second(174, false, 0.5, -0.03, 0.13, 0.85, 36, Pot.jar(-0.03, 0.02, 1.05, Glaze.teal(0.035)))
                .tellingSubject());
        photos.add(second(
                        175,
                        false,
                        3.4,
                        0.03,
                        0.17,
                        1.0,
                        37,
                        Pot.vase(0.05, 0, 0.9, Glaze.cream(0.05)),
                        Pot.bowl(-0.14, 0.08, 0.6, Glaze.cobalt(0.015)))
                .tellingSubject());
        photos.add(tilted(
                        176,
                        -0.6,
                        0.55,
                        0.08,
                        Pot.bottle(-0.08, 0, 1, Glaze.teal(0.05)),
                        Pot.bottle(0.07, -0.05, 1.05, Glaze.cobalt(0.05)))
                .tellingSubject());
        photos.add(tilted(
                        177,
                        0.8,
                        0.02,
                        0.3,
                        Pot.vase(0, 0, 1.1, Glaze.rust(0.07)),
                        Pot.bottle(0.14, -0.1, 1.05, Glaze.cream(0.05)))
                .tellingSubject());
        photos.add(of(178, 1400, 1400, -1.0, 0, 0.12, 0.95, 34, 0, Pot.bowl(0, 0.02, 1, Glaze.cobalt(0.02)))
                .tellingSubject());
        photos.add(of(
                179,
                2400,
                800,
                0.7,
                0,
                0.1,
                1.25,
                62,
                0,
                Pot.jar(-0.5, 0, 0.95, Glaze.rust(0.03)),
                Pot.bowl(-0.22, 0.05, 0.9, Glaze.teal(0.02)),
                Pot.vase(0.04, -0.05, 0.7, Glaze.cream(0.04)),
                Pot.tumbler(0.3, 0.04, 1.1, Glaze.cobalt(0.02)),
                Pot.jar(0.55, 0, 1, Glaze.moss(0.035))));
    }

    private static void addPlaces(List<Shot> photos) {
        photos.add(place(
                180,
                true,
                1.6,
                0,
                Places.shelves(),
                new Vec(0.05, 0.62, 2.1),
                new Vec(0, 0.5, 0),
                44,
                Places.indoors()));
        photos.add(place(
                181,
                false,
                -0.9,
                0.11,
                Places.shelves(),
                new Vec(-0.1, 0.55, 1.35),
                new Vec(-0.05, 0.5, 0),
                62,
                Places.indoors()));
        photos.add(place(
                182, false, 0.6, 0, Places.shed(), new Vec(1.6, 1.2, 6.2), new Vec(1.1, 2.5, 0), 52, new SkyLight()));
        photos.add(place(183, true, 0, 0, List.of(), new Vec(0, 1.7, 9), new Vec(0.4, 1.95, 0), 48, new SkyLight())
                .withoutHorizon());
    }

    /** The first camera. */
    private static Shot wide(
            int number, double lean, double aimX, double aimY, double away, double view, Surface... things) {
        return of(number, LONG, SHORT, lean, aimX, aimY, away, view, 0, things);
    }

    private static Shot tall(
            int number, double lean, double aimX, double aimY, double away, double view, Surface... things) {
        return of(number, SHORT, LONG, lean, aimX, aimY, away, view + 4, 0, things);
    }

    /** The second camera, which has fewer pixels. A mug comes as two things in one array. */
    private static Shot second(
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

    private static Surface[] mug(double x, double z, double size, Glaze glaze) {
        Vec middle = new Vec(x + 0.056 * size, 0.052 * size, z);
        return new Surface[] {Pot.mug(x, z, size, glaze), new MugHandle(middle, 0.027 * size, 0.006 * size, glaze)};
    }

    /** From above or below, so that uprights converge. */
    private static Shot tilted(int number, double lean, double eyeY, double aimY, Surface... pots) {
        Camera camera = new Camera(new Vec(0.02, eyeY, 0.85), new Vec(0.01, aimY, 0), 52, lean, 0.002, 0);
        return shot(number, 1200, 1800, camera, onBench(pots));
    }

    private static Shot of(
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

    private static Shot place(
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

    private static Shot shot(int number, int width, int height, Camera camera, List<Surface> things) {
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
