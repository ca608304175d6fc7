package nexa.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.shoot.Photo;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.find.LevelFinder;
import nexa.imaging.find.PhotoFinder;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point2f;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Finding levels: how far off the drawn truth of the sample, how much processor time, and how long for all of it on two threads.
 * Folders of photographs named are turned by odd angles: how many are claimed, and how far the claims for one photo differ.
 */
public final class LevelBench {
    private static final Pattern TRUTH =
            Pattern.compile("\"file\": \"(.*?)\".*\"lean\": (.*?),.*\"readable\": (true|false)");
    private static final Path SAMPLE = Path.of("sample");
    private static final double[] TURNS = {0, 3.7, -2.9, 1.1, 2.2, -0.8};
    private static final int THREADS = 2;

    private LevelBench() {}

    /** One photo of which it is known how far it leans. */
    private record Known(Path file, double lean) {
        FoundLevel find() throws Exception {
            Photo photo = Photo.untouched(file.getFileName().toString())
                    .withPixels(PhotoFacts.read(file).pixels());
            return PhotoFinder.find(FoundLevel.class, new PhotoFolder(file.getParent()), photo, () -> false)
                    .orElseThrow();
        }
    }

    /** @param arguments folders of photographs */
    public static void main(String[] arguments) throws Exception {
        opencv_core.setNumThreads(1);
        List<Known> sample = sample();
        truth(sample);
        together(sample);
        work();
        for (String folder : arguments) {
            turned(Path.of(folder));
        }
    }

    private static List<Known> sample() throws IOException {
        List<Known> known = new ArrayList<>();
        for (String line : Files.readAllLines(SAMPLE.resolve("truth.json"))) {
            Matcher told = TRUTH.matcher(line);
            if (told.find() && told.group(3).equals("true")) {
                known.add(
                        new Known(SAMPLE.resolve("photos").resolve(told.group(1)), Double.parseDouble(told.group(2))));
            }
        }
        return known;
    }

    private static void truth(List<Known> sample) throws Exception {
        List<Double> errors = new ArrayList<>();
        for (Known known : sample) {
            FoundLevel found = known.find();
            if (found.certainty() == Certainty.SURE) {
                errors.add(Math.abs(found.lean() - known.lean()));
            } else {
                print("  %s: %s, %s", known.file().getFileName(), found.certainty(), found.reason());
            }
        }
        errors.sort(null);
        print(
                "sample: %d of %d sure, off the truth by %.3f° (median), %.3f° (most)",
                errors.size(), sample.size(), errors.get(errors.size() / 2), errors.get(errors.size() - 1));
    }

    private static void together(List<Known> sample) throws Exception {
        ExecutorService workers = Executors.newFixedThreadPool(THREADS);
        long began = System.nanoTime();
        workers.invokeAll(
                sample.stream().<Callable<FoundLevel>>map(known -> known::find).toList());
        workers.shutdown();
        print("sample, %d threads: %.1f s for %d photos", THREADS, (System.nanoTime() - began) / 1e9, sample.size());
    }

    private static void work() throws Exception {
        Path folder = Files.createTempDirectory("nexa-bench");
        try {
            Figures all = new Figures("24 MP made photos, all askings, beside decoding (CPU)");
            for (Path file : LargePhotos.of24Megapixels(folder, 4)) {
                add(all, file, 5);
            }
            all.print();
            Figures some = new Figures("the sample's photos, all askings, beside decoding (CPU)");
            for (Known known : sample()) {
                add(some, known.file(), 1);
            }
            some.print();
        } finally {
            LargePhotos.delete(folder);
        }
    }

    private static void add(Figures figures, Path file, int times) {
        ThreadMXBean clock = ManagementFactory.getThreadMXBean();
        try (Mat picture = preview(opencv_imgcodecs.imread(file.toString(), opencv_imgcodecs.IMREAD_COLOR))) {
            for (int i = 0; i < times; i++) {
                long began = clock.getCurrentThreadCpuTime();
                LevelFinder.find(picture, () -> false);
                figures.add((clock.getCurrentThreadCpuTime() - began) / 1e6);
            }
        }
    }

    private static void turned(Path folder) throws IOException {
        List<Path> files;
        try (Stream<Path> all = Files.list(folder)) {
            files = all.sorted().toList();
        }
        int asked = 0;
        int sure = 0;
        int likely = 0;
        List<Double> off = new ArrayList<>();
        for (Path file : files) {
            try (Mat whole = preview(opencv_imgcodecs.imread(file.toString(), opencv_imgcodecs.IMREAD_COLOR))) {
                List<Double> leans = new ArrayList<>();
                for (double turn : TURNS) {
                    try (Mat picture = turned(whole, turn)) {
                        FoundLevel found =
                                LevelFinder.find(picture, () -> false).orElseThrow();
                        asked++;
                        likely += found.certainty() == Certainty.LIKELY ? 1 : 0;
                        if (found.certainty() == Certainty.SURE) {
                            leans.add(found.lean() - turn);
                        }
                    }
                }
                sure += leans.size();
                leans.sort(null);
                leans.forEach(lean -> off.add(Math.abs(lean - leans.get(leans.size() / 2))));
            }
        }
        off.sort(null);
        print(
                "%s: asked %d times, %d sure, %d likely; off each photo's median by %.3f° (95 %%), %.3f° (most)",
                folder.getFileName(),
                asked,
                sure,
                likely,
                off.isEmpty() ? 0 : off.get((int) (0.95 * (off.size() - 1))),
                off.isEmpty() ? 0 : off.get(off.size() - 1));
    }

    private static Mat preview(Mat whole) {
        double factor = Math.min(1, LevelFinder.LONG_SIDE / (double) Math.max(whole.cols(), whole.rows()));
        Mat small = new Mat();
        try (Size size = new Size((int) Math.round(whole.cols() * factor), (int) Math.round(whole.rows() * factor))) {
            opencv_imgproc.resize(whole, small, size, 0, 0, opencv_imgproc.INTER_AREA);
        }
        return small;
    }

    /** The picture turned clockwise, cut to what it fills. */
    private static Mat turned(Mat picture, double degrees) {
        double sin = Math.sin(Math.toRadians(Math.abs(degrees)));
        double cos = Math.cos(Math.toRadians(degrees));
        double width = picture.cols();
        double height = picture.rows();
        double factor = Math.min(width / (width * cos + height * sin), height / (width * sin + height * cos));
        int across = (int) (width * factor);
        int down = (int) (height * factor);
        try (Point2f middle = new Point2f((float) (width - 1) / 2, (float) (height - 1) / 2);
                Mat rotation = opencv_imgproc.getRotationMatrix2D(middle, -degrees, 1);
                Mat whole = new Mat();
                Scalar none = new Scalar(0);
                Rect inside = new Rect((picture.cols() - across) / 2, (picture.rows() - down) / 2, across, down)) {
            opencv_imgproc.warpAffine(
                    picture,
                    whole,
                    rotation,
                    picture.size(),
                    opencv_imgproc.INTER_LANCZOS4,
                    opencv_core.BORDER_REFLECT,
                    none);
            return whole.apply(inside).clone();
        }
    }

    private static void print(String format, Object... values) {
        System.out.println(String.format(Locale.ROOT, format, values));
    }
}
