package nexa.sample;

import java.util.ArrayList;
import java.util.List;

/** The photos of the sample shoot that show the pottery itself. */
final class FernhillPlaces {
    private FernhillPlaces() {}

    static void addTo(List<Shot> photos) {
        photos.add(Take.place(
                180,
                true,
                1.6,
                0,
                Places.shelves(),
                new Vec(0.05, 0.62, 2.1),
                new Vec(0, 0.5, 0),
                44,
                Places.indoors()));
        photos.add(Take.place(
                181,
                false,
                -0.9,
                0.11,
                Places.shelves(),
                new Vec(-0.1, 0.55, 1.35),
                new Vec(-0.05, 0.5, 0),
                62,
                Places.indoors()));
        photos.add(Take.place(
                182, false, 0.6, 0, Places.shed(), new Vec(1.6, 1.2, 6.2), new Vec(1.1, 2.5, 0), 52, new SkyLight()));
        photos.add(Take.place(183, true, 0, 0, List.of(), new Vec(0, 1.7, 9), new Vec(0.4, 1.95, 0), 48, new SkyLight())
                .withoutHorizon());
        photos.add(Take.place(
                184, true, 1.7, 0, List.of(), new Vec(0, 1.7, 9), new Vec(0.3, 1.95, 0), 50, new LakeLight()));
        photos.add(Take.place(
                        185,
                        false,
                        0,
                        0,
                        Places.studio(),
                        new Vec(0.02, 0.27, 1.5),
                        new Vec(0, 0.24, 0),
                        24,
                        Places.indoors())
                .withoutHorizon());
        photos.add(Take.place(
                186,
                false,
                -0.9,
                0,
                Places.shed(),
                new Vec(0.35, 0.4, 4.4),
                new Vec(0.25, 1.75, 0),
                66,
                new SkyLight()));
        addHelpers(photos);
    }

    private static void addHelpers(List<Shot> photos) {
        List<Surface> maren = Helper.at(new Vec(0.02, 1.3, 0), 8, 0xE6BE9E, 0x4A3022, 0x4E6488);
        photos.add(helpers(187, false, 1.2, maren, 1.17, 33));
        List<Surface> joss = Helper.at(new Vec(-0.05, 1.32, 0), 62, 0xB98562, 0x2A211C, 0x7A5B46);
        photos.add(helpers(188, false, -0.8, joss, 1.19, 33));
        List<Surface> both = new ArrayList<>(Helper.at(new Vec(-0.27, 1.29, 0), 12, 0xB98562, 0x2A211C, 0x7A5B46));
        both.addAll(Helper.at(new Vec(0.25, 1.25, 0.05), -8, 0xE6BE9E, 0x4A3022, 0x4E6488));
        photos.add(helpers(189, true, 0.5, both, 1.16, 36));
    }

    private static Shot helpers(
            int number, boolean isWide, double lean, List<Surface> helpers, double aim, double view) {
        Vec eye = new Vec(0, aim + 0.1, 1.75);
        return Take.place(
                number, isWide, lean, 0, Places.firing(helpers), eye, new Vec(0, aim, 0), view, Places.indoors());
    }
}
