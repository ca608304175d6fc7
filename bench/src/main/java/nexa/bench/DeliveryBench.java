package nexa.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.OutputSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.message.Message;
import nexa.core.shape.Distortion;
import nexa.core.shape.LateralChromaticAberration;
import nexa.core.shape.Lens;
import nexa.core.shape.LensProfile;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Wish;
import nexa.imaging.decode.ColourProfile;
import nexa.imaging.decode.PhotoKind;
import nexa.imaging.decode.SourceMetadata;
import nexa.imaging.deliver.Delivery;
import nexa.imaging.deliver.DeliveryPlan;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.WantedDepth;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Delivery: 24 MP photos turned, cropped, resized and encoded, beside libvips doing the same on the same files, and beside decoding
 * them and nothing else; saturated colours turned into sRGB, held against libvips; and the memory that two photos of 100 MP in work
 * take.
 */
public final class DeliveryBench {
    private static final int PHOTOS = 6;
    private static final int ROUNDS = 3;
    private static final double DEGREES = 2.3;
    private static final int LONG_EDGE = 2048;
    private static final String FORMAT = "page";
    /** Of a photo of 3:2, as large as most, a tenth of the photo's width beyond its left side. */
    private static final CropEntry OUT = new CropEntry(
                    new Placement.Own(new Wish(new Point(0.2556, 0.5), new nexa.core.geometry.Size(0.7111, 0.8))),
                    Optional.empty(),
                    false)
            .withReaches(Optional.of(true));

    private DeliveryBench() {}

    public static void main(String[] arguments) throws Exception {
        Path folder = Files.createTempDirectory("nexa-bench");
        try {
            if (Vips.isThere()) {
                colours(Files.createDirectory(folder.resolve("colours")));
            }
            memory(Files.createDirectory(folder.resolve("large")));
            throughput(Files.createDirectory(folder.resolve("photos")));
        } finally {
            LargePhotos.delete(folder);
        }
    }

    private static void throughput(Path folder) throws Exception {
        List<Path> photos = LargePhotos.of24Megapixels(folder, PHOTOS);
        Format page = Format.of(FORMAT, "Page", Ratio.of("4", "3"));
        Format small = page.withSize(new OutputSize.LongEdge(LONG_EDGE));
        Figures decoding = decoding(photos);
        decoding.print();
        Figures turned = new Figures("");
        for (Reshaped how : Reshaped.values()) {
            Figures ours = delivered(folder, photos, small, how, "delivered " + how.words);
            if (how == Reshaped.AS_SHOT) {
                tellRatio("of decoding alone", ours, decoding);
            } else if (how == Reshaped.TURNED) {
                turned = ours;
            } else {
                tellRatio("of only turned", ours, turned);
            }
        }
        for (Reshaped how : List.of(Reshaped.TURNED, Reshaped.FRINGED)) {
            delivered(folder, photos, page, how, "as cropped " + how.words);
        }
    }

    private static void tellRatio(String ofWhat, Figures one, Figures other) {
        System.out.println(String.format(Locale.ROOT, "  as a ratio %s %.2f", ofWhat, one.median() / other.median()));
    }

    /** Times deliveries, and those of a peer where there is one, round by round. */
    private static Figures delivered(Path folder, List<Path> photos, Format format, Reshaped how, String words)
            throws Exception {
        DeliveryPlan plan = plan(folder, photos, format, how);
        Figures ours = new Figures(words + ", 2 threads, a photo");
        Figures peer = new Figures("  libvips, 2 threads, a photo");
        boolean hasPeer = how == Reshaped.TURNED && !(format.size() instanceof OutputSize.AsCropped) && Vips.isThere();
        for (int round = 0; round <= ROUNDS; round++) {
            double own = millis(folder, plan, "out " + words + " " + round) / PHOTOS;
            double other = hasPeer ? vips(plan, folder) / PHOTOS : 0;
            // The first round warms both up.
            if (round > 0) {
                ours.add(own);
                peer.add(other);
            }
        }
        ours.print();
        if (hasPeer) {
            peer.print();
            System.out.println(String.format(
                    Locale.ROOT, "  throughput, as a ratio of the medians %.2f", peer.median() / ours.median()));
        }
        StageShares shares = new StageShares();
        try (shares) {
            millis(folder, plan, "out " + words + " looked at");
        }
        System.out.println(shares.told());
        return ours;
    }

    /** Decoding photos and nothing else, on two threads. */
    private static Figures decoding(List<Path> photos) throws Exception {
        Figures figures = new Figures("decoding alone, 2 threads, a photo");
        for (int round = 0; round <= ROUNDS; round++) {
            ExecutorService two = Executors.newFixedThreadPool(2);
            double millis = Figures.time(() ->
                    two.invokeAll(photos.stream().map(DeliveryBench::decoding).toList()));
            two.shutdown();
            if (round > 0) {
                figures.add(millis / photos.size());
            }
        }
        return figures;
    }

    private static Callable<Object> decoding(Path photo) {
        return () -> {
            new PhotoPixels(photo, Photo.untouched(photo.getFileName().toString()))
                    .full(WantedDepth.EIGHT)
                    .close();
            return photo;
        };
    }

    /** How photos lie before they are cropped. */
    private enum Reshaped {
        AS_SHOT("as shot"),
        TURNED("turned by " + DEGREES + "°"),
        PERSPECTIVE("turned, with a perspective"),
        BENT("turned, a bent lens put right"),
        FRINGED("turned, a bent lens with fringes put right"),
        DARK("turned, that and dark corners put right"),
        BEYOND("turned, a tenth of the width beyond the photo filled");

        private final String words;

        Reshaped(String words) {
            this.words = words;
        }

        Photo photo(String file) {
            Photo turned = Photo.untouched(file).withAngle(this == AS_SHOT ? Angle.NONE : new Angle(DEGREES));
            return switch (this) {
                case AS_SHOT, TURNED -> turned;
                case PERSPECTIVE ->
                    turned.withPerspective(Optional.of(new Perspective(12, -4, 100, 1, 28, SceneLines.NONE)));
                case BENT -> withLens(turned, BENDING.withColour(0).withVignetting(0));
                case FRINGED -> withLens(turned, BENDING.withVignetting(0));
                case DARK -> withLens(turned, BENDING);
                case BEYOND -> turned.withEntry(FORMAT, OUT);
            };
        }

        private static Photo withLens(Photo photo, Lens lens) {
            return photo.withPreparation(photo.preparation().withLens(Optional.of(lens)));
        }
    }

    private static final Lens BENDING = Lens.of(
            new LensProfile(
                    "made up",
                    1.5,
                    1.5,
                    Optional.of(new Distortion(Distortion.Model.PTLENS, List.of(0.01, -0.04, 0.002))),
                    Optional.of(new LateralChromaticAberration(
                            List.of(1.0004, 0.0, 0.0002), List.of(0.9997, 0.0, -0.0001))),
                    List.of(-0.5, 0.15, -0.05)),
            1.5);

    private static double millis(Path folder, DeliveryPlan plan, String out) throws IOException {
        long began = System.nanoTime();
        new Delivery(
                        plan,
                        new PhotoFolder(folder),
                        folder.resolve(out),
                        DeliveryTerms.USUAL,
                        Message::toString,
                        (done, total, name) -> {})
                .run(2);
        return (System.nanoTime() - began) / 1e6;
    }

    private static double vips(DeliveryPlan plan, Path folder) throws IOException {
        long began = System.nanoTime();
        for (DeliveryPlan.Item item : plan.files()) {
            Crop crop = item.crop().crop();
            // The turned picture is as large as the photo's outline; the largest crop lies in its middle.
            double sin = Math.abs(item.photo().angle().sin());
            double cos = Math.abs(item.photo().angle().cos());
            double width =
                    item.photo().size().width() * cos + item.photo().size().height() * sin;
            double height =
                    item.photo().size().width() * sin + item.photo().size().height() * cos;
            int[] part = {
                (int) ((width - crop.size().width()) / 2),
                (int) ((height - crop.size().height()) / 2),
                (int) crop.size().width(),
                (int) crop.size().height()
            };
            Vips.deliver(
                    folder.resolve(item.photo().file()),
                    DEGREES,
                    part,
                    LONG_EDGE / crop.size().longSide(),
                    folder.resolve("vips.jpg"));
        }
        return (System.nanoTime() - began) / 1e6;
    }

    private static DeliveryPlan plan(Path folder, List<Path> photos, Format format, Reshaped how) {
        List<Photo> untouched = photos.stream()
                .map(photo -> how.photo(photo.getFileName().toString()))
                .toList();
        Shoot plain = Shoot.of("Bench", Shoot.Order.NAME, List.of(format), untouched);
        ShootReading reading = ShootReading.of(plain, folder);
        return DeliveryPlan.of(
                reading.appliedTo(plain), reading, new DeliveryPlan.Choice(Set.of(format.id()), false, false));
    }

    private static void memory(Path folder) throws Exception {
        List<Path> photos = new ArrayList<>();
        Path small = LargePhotos.of24Megapixels(folder, 1).get(0);
        for (String name : List.of("a.jpg", "b.jpg")) {
            try (Mat pixels = opencv_imgcodecs.imread(small.toString());
                    Mat big = new Mat();
                    Size size = new Size(12_250, 8_167)) {
                opencv_imgproc.resize(pixels, big, size);
                opencv_imgcodecs.imwrite(folder.resolve(name).toString(), big);
                photos.add(folder.resolve(name));
            }
        }
        long before = ResidentMemory.megabytes("VmRSS");
        Files.writeString(Path.of("/proc/self/clear_refs"), "5");
        Format format = Format.of(FORMAT, "Page", Ratio.of("4", "3")).withSize(new OutputSize.LongEdge(LONG_EDGE));
        double millis = millis(folder, plan(folder, photos, format, Reshaped.TURNED), "out");
        System.out.println(String.format(
                Locale.ROOT,
                "two photos of 100 MP at once: %.1f s, resident at most %d MB, before that %d MB",
                millis / 1000,
                ResidentMemory.megabytes("VmHWM"),
                before));
    }

    private static void colours(Path folder) throws Exception {
        ColourProfile profile = SourceMetadata.read(LargePhotos.sample().resolve("fern-0165.jpg"), PhotoKind.JPEG)
                .profile()
                .orElseThrow();
        Path icc = Files.write(folder.resolve("wide.icc"), profile.bytes());
        try (Mat chart = new Mat(64, 64, opencv_core.CV_8UC3)) {
            try (UByteIndexer values = chart.createIndexer()) {
                for (int i = 0; i < 64 * 64; i++) {
                    // Sixteen steps of each colour: the corners of the cube among them.
                    values.put(i / 64L, i % 64L, 17 * (i & 15), 17 * (i >> 4 & 15), 17 * (i >> 8 & 15));
                }
            }
            opencv_imgcodecs.imwrite(folder.resolve("plain.png").toString(), chart);
        }
        Vips.tag(folder.resolve("plain.png"), icc, folder.resolve("chart.png"));
        Vips.toSrgb(folder.resolve("chart.png"), folder.resolve("peer.png"));
        Format format = Format.of("own", "Own", Ratio.PHOTO)
                .withFile(FileSpec.usual("")
                        .withType(FileSpec.Type.PNG)
                        .withColour(FileSpec.Colour.SRGB, FileSpec.Depth.PHOTO)
                        .withName("ours"));
        millis(folder, plan(folder, List.of(folder.resolve("chart.png")), format, Reshaped.AS_SHOT), "out");
        double off = meanDeltaE(folder.resolve("out/ours.png"), folder.resolve("peer.png"));
        double asTheyWere = meanDeltaE(folder.resolve("plain.png"), folder.resolve("peer.png"));
        System.out.println(String.format(
                Locale.ROOT,
                "4,096 colours of a wide profile in sRGB, beside libvips: mean ΔE (1976) %.2f; unconverted %.2f",
                off,
                asTheyWere));
    }

    private static double meanDeltaE(Path one, Path other) {
        double sum = 0;
        try (Mat first = lab(one);
                Mat second = lab(other)) {
            Mat difference = new Mat();
            opencv_core.subtract(first, second, difference);
            opencv_core.multiply(difference, difference, difference);
            try (var values = difference.<FloatIndexer>createIndexer()) {
                for (int y = 0; y < difference.rows(); y++) {
                    for (int x = 0; x < difference.cols(); x++) {
                        sum += Math.sqrt(values.get(y, x, 0) + values.get(y, x, 1) + values.get(y, x, 2));
                    }
                }
            }
            return sum / (difference.rows() * difference.cols());
        }
    }

    private static Mat lab(Path png) {
        Mat pixels = opencv_imgcodecs.imread(png.toString());
        pixels.convertTo(pixels, opencv_core.CV_32F, 1 / 255.0, 0);
        opencv_imgproc.cvtColor(pixels, pixels, opencv_imgproc.COLOR_BGR2Lab);
        return pixels;
    }
}
