package nexa.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import nexa.core.shoot.Photo;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.PictureLevel;

/** Reading of 24 MP JPEGs beside the thumbnailer of libvips, which has to be installed. */
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
        } finally {
            LargePhotos.delete(folder);
        }
    }

    private static void read(List<Path> photos, PictureLevel level) throws Exception {
        Figures ours = new Figures("read to " + level.longSide() + " px, one thread");
        Figures peer = new Figures("  vipsthumbnail, a process each");
        for (int round = 0; round <= ROUNDS; round++) {
            for (Path photo : photos) {
                double own = Figures.time(() -> new PhotoPixels(photo, Photo.untouched("p")).picture(level.longSide()));
                double other = Figures.time(() -> {
                    Vips.thumbnail(photo, level.longSide());
                    return null;
                });
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
}
