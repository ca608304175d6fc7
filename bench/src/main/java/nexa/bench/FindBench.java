package nexa.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import nexa.core.propose.CropProposer;
import nexa.core.propose.Scene;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.find.PhotoFinder;
import nexa.imaging.find.SubjectFinder;
import nexa.imaging.find.TrimFinder;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Borders, subjects and proposals: the processor time of each on one thread, without decoding and as a ratio to it, in photos of
 * 24 MP, the sample and folders named. The first photo of each is not counted. And what finding holds in memory, after 100 and after
 * 1,000 pictures.
 */
public final class FindBench {
    private static final double[] RATIOS = {0.8, 1, 16 / 9.0};
    private static final int AT_ONCE = 4;
    private static final int MANY = 1000;

    private FindBench() {}

    /** Something whose time is taken. */
    private interface Work {
        void run() throws Exception;
    }

    /** @param arguments folders of photographs */
    public static void main(String[] arguments) throws Exception {
        opencv_core.setNumThreads(1);
        Path folder = Files.createTempDirectory("nexa-bench");
        try {
            measure("24 MP", LargePhotos.of24Megapixels(folder, 8));
        } finally {
            LargePhotos.delete(folder);
        }
        measure("sample", photos(LargePhotos.sample()));
        for (String named : arguments) {
            measure(named, photos(Path.of(named)));
        }
        measureMemory(photos(LargePhotos.sample()));
    }

    private static void measureMemory(List<Path> files) throws IOException {
        long before = ResidentMemory.megabytes("VmRSS");
        for (int i = 1; i <= MANY; i++) {
            Path file = files.get(i % files.size());
            try (Mat whole = opencv_imgcodecs.imread(file.toString(), opencv_imgcodecs.IMREAD_COLOR)) {
                if (!whole.empty()) {
                    try (Mat small = small(whole)) {
                        SubjectFinder.find(small, () -> false);
                    }
                }
            }
            if (i == MANY / 10 || i == MANY) {
                System.out.printf("memory after %d pictures: %+d MB%n", i, ResidentMemory.megabytes("VmRSS") - before);
            }
        }
    }

    private static List<Path> photos(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> file.toString().matches(".*\\.(jpg|png)"))
                    .sorted()
                    .toList();
        }
    }

    private static void measure(String name, List<Path> files) throws Exception {
        Figures trims = new Figures(name + ", border");
        Figures subjects = new Figures(name + ", subject");
        Figures proposals = new Figures(name + ", four proposals in one format");
        Figures decoding = new Figures(name + ", decoding");
        for (Path file : files) {
            long began = cpu();
            try (Mat whole = opencv_imgcodecs.imread(file.toString(), opencv_imgcodecs.IMREAD_COLOR)) {
                if (!whole.empty()) {
                    decoding.add((cpu() - began) / 1e6);
                    measure(file, whole, trims, subjects, proposals, file.equals(files.get(0)));
                }
            } catch (PhotoProblem e) {
                System.out.println("passed over: " + file.getFileName());
            }
        }
        for (Figures figures : List.of(decoding, trims, subjects, proposals)) {
            figures.print();
        }
        System.out.printf(
                Locale.ROOT, "%s, subject: %.2f times decoding%n", name, subjects.median() / decoding.median());
    }

    private static void measure(
            Path file, Mat whole, Figures trims, Figures subjects, Figures proposals, boolean isWarmingUp)
            throws Exception {
        Photo photo = Photo.untouched(file.getFileName().toString())
                .withPixels(PhotoFacts.read(file).pixels());
        List<Double> times = new ArrayList<>();
        try (Mat bgra = new Mat();
                Mat small = small(whole)) {
            opencv_imgproc.cvtColor(whole, bgra, opencv_imgproc.COLOR_BGR2BGRA);
            times.add(time(() -> TrimFinder.find(bgra, () -> false)));
            times.add(time(() -> SubjectFinder.find(small, () -> false)));
        }
        Scene scene = PhotoFinder.scene(new PhotoFolder(file.getParent()), photo, () -> false)
                .orElseThrow();
        for (double ratio : RATIOS) {
            double millis = time(() -> new CropProposer(scene, photo).propose(ratio, AT_ONCE));
            if (!isWarmingUp) {
                proposals.add(millis);
            }
        }
        if (!isWarmingUp) {
            trims.add(times.get(0));
            subjects.add(times.get(1));
        }
    }

    private static Mat small(Mat whole) {
        double factor = Math.min(1, (double) SubjectFinder.LONG_SIDE / Math.max(whole.cols(), whole.rows()));
        Mat small = new Mat();
        try (Size size = new Size((int) Math.round(whole.cols() * factor), (int) Math.round(whole.rows() * factor))) {
            opencv_imgproc.resize(whole, small, size, 0, 0, opencv_imgproc.INTER_AREA);
        }
        return small;
    }

    private static double time(Work work) throws Exception {
        long began = cpu();
        work.run();
        return (cpu() - began) / 1e6;
    }

    private static long cpu() {
        return ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
    }
}
