package nexa.sample;

import java.util.ArrayList;
import java.util.List;

/** The photos of the sample shoot: Fernhill Pottery, spring firing. */
final class FernhillShoot {
    private FernhillShoot() {}

    static List<Shot> shots() {
        List<Shot> photos = new ArrayList<>();
        addFrom139(photos);
        addFrom144(photos);
        addFrom150(photos);
        addFrom160(photos);
        addFrom163(photos);
        addFrom166(photos);
        addFrom172(photos);
        addFrom176(photos);
        FernhillPlaces.addTo(photos);
        return photos;
    }

    private static void addFrom139(List<Shot> photos) {
        photos.add(Take.tall(139, -1.4, 0.02, 0.2, 0.92, 30, PotShapes.vase(0, 0, 1, Glaze.cobalt(0.06))));
        photos.add(Take.wide(
                138,
                1.8,
                0,
                0.12,
                0.95,
                40,
                PotShapes.bowl(-0.02, 0.05, 1.15, Glaze.cream(0.025)),
                PotShapes.bowl(0.33, -0.08, 0.95, Glaze.cobalt(0.025))));
        photos.add(Take.wide(
                141,
                0.0,
                0.01,
                0.12,
                1.0,
                36,
                PotShapes.tumbler(-0.14, 0.02, 1.25, Glaze.moss(0.03)),
                PotShapes.tumbler(0.0, 0.05, 1.42, Glaze.rust(0.035)),
                PotShapes.tumbler(0.14, 0.01, 1.2, Glaze.cream(0.03))));
        photos.add(Take.tall(
                142,
                0.7,
                0.04,
                0.17,
                0.95,
                32,
                PotShapes.vase(-0.01, 0, 0.95, Glaze.rust(0.07)),
                PotShapes.tumbler(0.15, 0.06, 1.05, Glaze.cream(0.03))));
    }

    private static void addFrom144(List<Shot> photos) {
        photos.add(Take.wide(
                144,
                -0.9,
                0.02,
                0.14,
                1.02,
                38,
                PotShapes.bowl(-0.2, 0.08, 1.05, Glaze.teal(0.025)),
                PotShapes.vase(0.12, -0.06, 0.9, Glaze.moss(0.06))));
        photos.add(Take.tall(145, 2.2, 0.0, 0.16, 1.0, 34, PotShapes.bottle(0.02, 0.02, 0.9, Glaze.teal(0.05))));
        photos.add(Take.wide(
                147,
                2.3,
                0.03,
                0.15,
                1.0,
                38,
                PotShapes.tumbler(-0.22, 0.05, 1.25, Glaze.rust(0.04)),
                PotShapes.vase(0, -0.02, 1.02, Glaze.teal(0.075)),
                PotShapes.bowl(0.27, 0.07, 1.2, Glaze.cream(0.03))));
        photos.add(Take.tall(
                148,
                0.0,
                0.03,
                0.15,
                0.98,
                33,
                PotShapes.jar(-0.03, 0.03, 1.1, Glaze.cobalt(0.04)),
                PotShapes.bottle(0.1, -0.12, 0.95, Glaze.cream(0.05))));
    }

    private static void addFrom150(List<Shot> photos) {
        photos.add(Take.wide(
                150,
                -3.1,
                -0.05,
                0.12,
                1.02,
                40,
                PotShapes.bowl(-0.1, 0.04, 1.2, Glaze.cream(0.028)),
                PotShapes.jar(0.2, -0.1, 1.0, Glaze.cobalt(0.035))));
        photos.add(Take.wide(
                153,
                1.1,
                0.0,
                0.11,
                0.98,
                37,
                PotShapes.jar(-0.2, -0.02, 0.95, Glaze.moss(0.035)),
                PotShapes.jar(0.0, 0.04, 1.08, Glaze.rust(0.04)),
                PotShapes.jar(0.21, -0.03, 0.9, Glaze.cream(0.035))));
        photos.add(Take.wide(
                156,
                -0.5,
                0.02,
                0.14,
                1.05,
                38,
                PotShapes.bottle(-0.16, 0.0, 0.95, Glaze.teal(0.05)),
                PotShapes.bottle(-0.03, -0.1, 1.05, Glaze.cream(0.05)),
                PotShapes.tumbler(0.13, 0.08, 1.2, Glaze.cobalt(0.03))));
        photos.add(Take.wide(159, 4.2, 0.02, 0.1, 0.9, 36, PotShapes.bowl(0.04, 0.02, 1.25, Glaze.moss(0.03))));
    }

    private static void addFrom160(List<Shot> photos) {
        photos.add(Take.second(
                        160,
                        true,
                        1.4,
                        0,
                        0.11,
                        0.95,
                        37,
                        Take.mug(-0.1, 0.02, 1.2, Glaze.cream(0.02)),
                        Take.mug(0.13, 0.06, 1.3, Glaze.teal(0.025)))
                .tellingSubject());
        photos.add(Take.second(161, true, 0.4, 0.05, 0.12, 0.9, 36, PotShapes.jar(0.1, 0, 1.2, Glaze.rust(0.04)))
                .tellingSubject());
        photos.add(Take.second(
                        162,
                        true,
                        -2.0,
                        -0.04,
                        0.13,
                        1.1,
                        40,
                        PotShapes.vase(-0.2, 0, 0.8, Glaze.cream(0.05)),
                        PotShapes.jar(0.03, 0.05, 0.9, Glaze.moss(0.03)),
                        PotShapes.bottle(0.2, -0.08, 0.85, Glaze.rust(0.05)))
                .sideways(3)
                .tellingSubject());
    }

    private static void addFrom163(List<Shot> photos) {
        photos.add(Take.second(
                163,
                true,
                6.0,
                0,
                0.1,
                0.95,
                38,
                PotShapes.bowl(-0.1, 0, 0.9, Glaze.teal(0.02)),
                Take.mug(0.16, 0.06, 1.1, Glaze.rust(0.02))));
        photos.add(Take.second(
                        164,
                        true,
                        -0.7,
                        0.06,
                        0.12,
                        1.2,
                        38,
                        Take.mug(-0.24, 0, 1, Glaze.moss(0.02)),
                        Take.mug(-0.06, 0.03, 1.05, Glaze.moss(0.02)),
                        Take.mug(0.12, 0, 1, Glaze.moss(0.02)))
                .tellingSubject());
        photos.add(Take.second(
                        165,
                        true,
                        0.9,
                        -0.08,
                        0.15,
                        1.05,
                        38,
                        PotShapes.vase(0.06, 0, 1.05, Glaze.cobalt(0.07)),
                        PotShapes.bowl(-0.24, 0.05, 0.8, Glaze.cream(0.02)))
                .stored(Storage.WIDE_GAMUT)
                .tellingSubject());
    }

    private static void addFrom166(List<Shot> photos) {
        photos.add(Take.of(
                        166,
                        1200,
                        800,
                        0,
                        0.02,
                        0.14,
                        1.0,
                        36,
                        0,
                        PotShapes.bottle(-0.08, 0, 1, Glaze.cobalt(0.05)),
                        PotShapes.tumbler(0.1, 0.06, 1.2, Glaze.cream(0.03)))
                .stored(Storage.PNG));
        photos.add(Take.of(167, 900, 600, -1.2, 0, 0.11, 0.95, 36, 0, PotShapes.jar(0, 0, 1.15, Glaze.teal(0.04)))
                .stored(Storage.TIFF)
                .tellingSubject());
        photos.add(Take.second(168, true, 2.6, 0.03, 0.12, 1.0, 36, PotShapes.bowl(0.02, 0.02, 1.1, Glaze.rust(0.025)))
                .stored(Storage.WEBP));
        photos.add(Take.second(
                        169,
                        true,
                        0.6,
                        0,
                        0.12,
                        1.0,
                        37,
                        PotShapes.tumbler(-0.12, 0, 1.2, Glaze.cobalt(0.03)),
                        PotShapes.tumbler(0.1, 0.04, 1.3, Glaze.teal(0.03)))
                .stored(Storage.BARS));
        photos.add(Take.second(170, true, -0.4, 0, 0.13, 1.0, 37, PotShapes.vase(0, 0, 0.95, Glaze.moss(0.06)))
                .stored(Storage.SCAN));
        photos.add(Take.second(171, true, 0, 0, 0.12, 1.0, 38, PotShapes.jar(0, 0, 1, Glaze.cream(0.04)))
                .stored(Storage.DAMAGED));
    }

    private static void addFrom172(List<Shot> photos) {
        photos.add(Take.second(172, false, 1.0, 0.02, 0.16, 0.9, 36, PotShapes.vase(0.02, 0, 0.95, Glaze.moss(0.06)))
                .sideways(6)
                .tellingSubject());
        photos.add(Take.second(
                        173,
                        false,
                        -2.8,
                        0,
                        0.16,
                        0.95,
                        38,
                        PotShapes.bottle(-0.05, 0, 0.95, Glaze.rust(0.05)),
                        Take.mug(0.1, 0.08, 1, Glaze.cream(0.02)))
                .stored(Storage.RAW)
                .sideways(8)
                .tellingSubject());
        photos.add(
                Take.second(174, false, 0.5, -0.03, 0.13, 0.85, 36, PotShapes.jar(-0.03, 0.02, 1.05, Glaze.teal(0.035)))
                        .stored(Storage.JPEG_AND_RAW)
                        .tellingSubject());
        photos.add(Take.second(
                        175,
                        false,
                        3.4,
                        0.03,
                        0.17,
                        1.0,
                        37,
                        PotShapes.vase(0.05, 0, 0.9, Glaze.cream(0.05)),
                        PotShapes.bowl(-0.14, 0.08, 0.6, Glaze.cobalt(0.015)))
                .tellingSubject());
    }

    private static void addFrom176(List<Shot> photos) {
        photos.add(Take.tilted(
                        176,
                        -0.6,
                        0.55,
                        0.08,
                        PotShapes.bottle(-0.08, 0, 1, Glaze.teal(0.05)),
                        PotShapes.bottle(0.07, -0.05, 1.05, Glaze.cobalt(0.05)))
                .tellingSubject());
        photos.add(Take.tilted(
                        177,
                        0.8,
                        0.02,
                        0.3,
                        PotShapes.vase(0, 0, 1.1, Glaze.rust(0.07)),
                        PotShapes.bottle(0.14, -0.1, 1.05, Glaze.cream(0.05)))
                .tellingSubject());
        photos.add(Take.of(178, 1400, 1400, -1.0, 0, 0.12, 0.95, 34, 0, PotShapes.bowl(0, 0.02, 1, Glaze.cobalt(0.02)))
                .tellingSubject());
        photos.add(Take.of(
                179,
                2400,
                800,
                0.7,
                0,
                0.1,
                1.25,
                62,
                0,
                PotShapes.jar(-0.5, 0, 0.95, Glaze.rust(0.03)),
                PotShapes.bowl(-0.22, 0.05, 0.9, Glaze.teal(0.02)),
                PotShapes.vase(0.04, -0.05, 0.7, Glaze.cream(0.04)),
                PotShapes.tumbler(0.3, 0.04, 1.1, Glaze.cobalt(0.02)),
                PotShapes.jar(0.55, 0, 1, Glaze.moss(0.035))));
    }
}
