package nexa.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/** Photos to measure with, made from the sample shoot. */
final class LargePhotos {
    private LargePhotos() {}

    static Path sample() {
        return Path.of(System.getProperty("nexa.sample", "sample/photos"));
    }

    private static List<Path> samplePhotos() throws IOException {
        try (Stream<Path> files = Files.list(sample())) {
            return files.filter(file -> file.toString().endsWith(".jpg"))
                    .filter(file -> !file.toString().contains("0171"))
                    .sorted()
                    .toList();
        }
    }

    /** JPEGs of 24 megapixels. */
    static List<Path> of24Megapixels(Path folder, int count) throws IOException {
        List<Path> large = new ArrayList<>();
        for (Path file : samplePhotos().subList(0, count)) {
            Path to = folder.resolve(file.getFileName().toString());
            try (Mat small = opencv_imgcodecs.imread(file.toString());
                    Mat big = new Mat();
                    Size size = small.cols() > small.rows() ? new Size(6000, 4000) : new Size(4000, 6000)) {
                opencv_imgproc.resize(small, big, size, 0, 0, opencv_imgproc.INTER_CUBIC);
                opencv_imgcodecs.imwrite(to.toString(), big);
            }
            large.add(to);
        }
        return large;
    }

    /** A folder of many photos, copies of the sample's. */
    static Path shootOf(Path folder, int count) throws IOException {
        List<Path> photos = samplePhotos();
        Files.createDirectories(folder);
        for (int i = 0; i < count; i++) {
            Files.copy(photos.get(i % photos.size()), folder.resolve(String.format(Locale.ROOT, "p%05d.jpg", i)));
        }
        return folder;
    }

    /** As {@link #shootOf}, of links to few files, where there would be too many copies. */
    static void linkedShootOf(Path folder, int count) throws IOException {
        int own = Math.min(count, samplePhotos().size());
        shootOf(folder, own);
        for (int i = own; i < count; i++) {
            Path original = folder.resolve(String.format(Locale.ROOT, "p%05d.jpg", i % own));
            Files.createLink(folder.resolve(String.format(Locale.ROOT, "p%05d.jpg", i)), original);
        }
    }

    static void delete(Path folder) {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path file : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
