package nexa.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.format.PixelSize;
import nexa.core.series.FillPlan;
import nexa.core.series.Passing;
import nexa.core.shape.Margins;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Trim;
import nexa.imaging.fill.BandTexture;
import nexa.imaging.fill.EdgeFill;
import nexa.imaging.render.Canvas;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Fills from the picture: of each photo a tenth of each side in turn is hidden and filled, and the fill held against what was
 * hidden; by what was forecast of it. And the processor time of that.
 */
public final class FillBench {
    private static final int LONG_SIDE = 900;
    private static final double HIDDEN = 0.1;
    /** A fill that is more unlike what was hidden is seen. */
    private static final double SEEN = 1;

    private final Map<Passing, List<Double>> unlike = new EnumMap<>(Passing.class);
    private final Figures solving = new Figures("solved, processor time of one thread");

    private FillBench() {}

    /** @param folders of photos; without any, the sample's */
    public static void main(String[] folders) throws IOException {
        opencv_core.setNumThreads(1);
        FillBench bench = new FillBench();
        for (String folder : folders.length == 0 ? new String[] {"sample/photos"} : folders) {
            try (Stream<Path> files = Files.list(Path.of(folder))) {
                for (Path file : files.sorted().toList()) {
                    bench.fill(file);
                }
            }
        }
        bench.print();
    }

    private void fill(Path file) {
        try (Mat read = opencv_imgcodecs.imread(file.toString())) {
            if (!read.empty() && Math.max(read.cols(), read.rows()) >= LONG_SIDE / 2) {
                try (Mat whole = smaller(read, LONG_SIDE)) {
                    for (Trim.Side side : Trim.Side.values()) {
                        fill(whole, side);
                    }
                }
            }
        }
    }

    private static Mat smaller(Mat pixels, int longSide) {
        double factor = Math.min(1, (double) longSide / Math.max(pixels.cols(), pixels.rows()));
        Mat smaller = new Mat();
        try (Size size = new Size((int) Math.round(pixels.cols() * factor), (int) Math.round(pixels.rows() * factor))) {
            opencv_imgproc.resize(pixels, smaller, size, 0, 0, opencv_imgproc.INTER_AREA);
        }
        return smaller;
    }

    private void fill(Mat whole, Trim.Side side) {
        int strip = (int) (HIDDEN * (side.isUpright() ? whole.cols() : whole.rows()));
        int left = side == Trim.Side.LEFT ? strip : 0;
        int top = side == Trim.Side.TOP ? strip : 0;
        int width = whole.cols() - (side.isUpright() ? strip : 0);
        int height = whole.rows() - (side.isUpright() ? 0 : strip);
        Margins margins =
                new Margins(left, top, side == Trim.Side.RIGHT ? strip : 0, side == Trim.Side.BOTTOM ? strip : 0);
        try (Rect known = new Rect(left, top, width, height);
                Mat part = new Mat(whole, known);
                Mat pixels = part.clone();
                Mat small = smaller(pixels, EdgeFill.SMALL);
                Mat bgra = new Mat()) {
            opencv_imgproc.cvtColor(small, bgra, opencv_imgproc.COLOR_BGR2BGRA);
            Photo photo = Photo.untouched("photo").withPixels(new PixelSize(width, height));
            FillPlan plan = new FillPlan(
                    photo.withTexture(BandTexture.of(photo, bgra)), margins, Beyond.USUAL, Optional.empty());
            long began = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
            EdgeFill fill = EdgeFill.of(plan, bgra);
            solving.add((ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - began) / 1e6);
            try (Canvas canvas = fill.canvas(pixels, Optional.empty());
                    Rect hidden = hidden(whole, side, strip);
                    Rect filled = new Rect(
                            hidden.x() - left - canvas.left(),
                            hidden.y() - top - canvas.top(),
                            hidden.width(),
                            hidden.height());
                    Mat wanted = new Mat(whole, hidden);
                    Mat made = new Mat(canvas.pixels(), filled)) {
                unlike.computeIfAbsent(Passing.of(plan).orElseThrow(), none -> new ArrayList<>())
                        .add(Unlike.of(wanted, made));
            }
        }
    }

    private static Rect hidden(Mat whole, Trim.Side side, int strip) {
        return switch (side) {
            case LEFT -> new Rect(0, 0, strip, whole.rows());
            case TOP -> new Rect(0, 0, whole.cols(), strip);
            case RIGHT -> new Rect(whole.cols() - strip, 0, strip, whole.rows());
            case BOTTOM -> new Rect(0, whole.rows() - strip, whole.cols(), strip);
        };
    }

    private void print() {
        unlike.forEach((passing, values) -> {
            double seen = values.stream().filter(value -> value > SEEN).count() / (double) values.size();
            double median =
                    values.stream().sorted().skip(values.size() / 2).findFirst().orElse(0.0);
            System.out.println(String.format(
                    Locale.ROOT,
                    "%-7s %4d fills, unlike by %.2f (median), seen %.0f %%",
                    passing,
                    values.size(),
                    median,
                    100 * seen));
        });
        solving.print();
    }
}
