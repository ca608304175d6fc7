package nexa.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.Format;
import nexa.core.format.OutputSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.deliver.Delivery;
import nexa.imaging.deliver.DeliveryPlan;
import nexa.imaging.read.PhotoPixels;
import nexa.imaging.read.PictureLevel;
import nexa.imaging.read.ShootReading;

/** Reading and delivery of 24 MP JPEGs; reading beside the thumbnailer of libvips, where that is installed. */
public final class FilesBench {
    private static final int PHOTOS = 8;
    private static final int ROUNDS = 3;

    private FilesBench() {}

    public static void main(String[] arguments) throws Exception {
        Path folder = Files.createTempDirectory("nexa-bench");
        try {
            List<Path> photos = LargePhotos.of24Megapixels(folder, PHOTOS);
            read(photos, PictureLevel.THUMBNAIL);
            read(photos, PictureLevel.PREVIEW);
            deliver(folder, photos);
        } finally {
            LargePhotos.delete(folder);
        }
    }

    private static void read(List<Path> photos, PictureLevel level) throws Exception {
        Figures ours = new Figures("read to " + level.longSide() + " px, one thread");
        Figures peer = new Figures("  vipsthumbnail, a process each");
        for (int round = 0; round <= ROUNDS; round++) {
            for (Path photo : photos) {
                double own = time(() -> new PhotoPixels(photo, Photo.untouched("p")).picture(level.longSide()));
                double other = time(() -> vips(photo, level.longSide()));
                // The first round warms both up.
                if (round > 0) {
                    ours.add(own);
                    peer.add(other);
                }
            }
        }
        ours.print();
        peer.print();
        System.out.println(String.format(Locale.ROOT, "  ratio of the medians %.2f", ours.median() / peer.median()));
    }

    private static int vips(Path photo, int side) throws IOException, InterruptedException {
        Path out = photo.resolveSibling("vips-out.jpg");
        try {
            return new ProcessBuilder(
                            "vipsthumbnail", photo.toString(), "--size", side + "x" + side, "-o", out.toString())
                    .redirectErrorStream(true)
                    .start()
                    .waitFor();
        } catch (IOException e) {
            return -1;
        }
    }

    private static void deliver(Path folder, List<Path> photos) throws Exception {
        Format format = Format.of("page", "Page", Ratio.of("4", "3")).withSize(new OutputSize.LongEdge(2048));
        Shoot plain = Shoot.of(
                "Bench",
                Shoot.Order.NAME,
                List.of(format),
                photos.stream()
                        .map(photo -> Photo.untouched(photo.getFileName().toString()))
                        .toList());
        ShootReading reading = ShootReading.of(plain, folder);
        for (double degrees : new double[] {0, 2.3}) {
            Shoot shoot = reading.appliedTo(plain);
            for (Photo photo : plain.photos()) {
                shoot = shoot.with(photo.file(), one -> one.withAngle(new Angle(degrees)));
            }
            DeliveryPlan plan = DeliveryPlan.of(shoot, reading, new DeliveryPlan.Choice(Set.of("page"), false, false));
            for (int round = 0; round <= ROUNDS; round++) {
                Path out = folder.resolve("out " + degrees + " " + round);
                double millis = time(
                        () -> new Delivery(plan, folder, out, DeliveryTerms.USUAL, (done, total, name) -> {}).run(2));
                if (round > 0) {
                    System.out.println(String.format(
                            Locale.ROOT,
                            "delivered at %.1f°, 2 threads: %.2f photos of 24 MP a second",
                            degrees,
                            photos.size() / millis * 1000));
                }
            }
        }
    }

    /** Something to time. */
    private interface Work {
        Object run() throws Exception;
    }

    private static double time(Work work) throws Exception {
        long began = System.nanoTime();
        work.run();
        return (System.nanoTime() - began) / 1e6;
    }
}
