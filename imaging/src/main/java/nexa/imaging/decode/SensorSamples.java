package nexa.imaging.decode;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import nexa.core.format.PixelSize;

/** What the directories of a TIFF say of samples of a sensor (TIFF/EP, DNG 1.4), and of the JPEGs beside them. */
final class SensorSamples {
    private static final int WIDTH = 256;
    private static final int HEIGHT = 257;
    private static final int COMPRESSION = 259;
    private static final int MEANING = 262;
    private static final int STRIPS = 273;
    private static final int STRIP_LENGTHS = 279;
    private static final int TILES = 324;
    private static final int TILE_LENGTHS = 325;
    private static final int JPEG = 513;
    private static final int JPEG_LENGTH = 514;
    private static final int DNG_VERSION = 50_706;
    private static final int WANTED_SIZE = 50_720;
    private static final int ACTIVE_AREA = 50_829;
    /** Where the sensor's edges are, in the files of one maker. */
    private static final int TOP = 4;

    /** What samples mean: a pattern of colours, or colours not finished yet. */
    private static final Set<Long> OF_SENSOR = Set.of(32_803L, 34_892L);
    /** JPEG by the old rule, and by the new one. */
    private static final Set<Long> PACKED_AS_JPEG = Set.of(6L, 7L);

    private SensorSamples() {}

    /** Whether a directory tells that its file is raw. */
    static boolean areIn(TiffDirectory directory) {
        return directory.bytes(DNG_VERSION).isPresent() || isOfSensor(directory);
    }

    private static boolean isOfSensor(TiffDirectory directory) {
        return OF_SENSOR.contains(directory.number(MEANING).orElse(0));
    }

    private static boolean hasEdges(TiffDirectory directory) {
        return directory.number(TOP).isPresent() && directory.number(TOP + 3).isPresent();
    }

    /** How many pixels the samples give, after what does not count of them; empty if no directory tells. */
    static Optional<PixelSize> size(List<TiffDirectory> directories) {
        return directories.stream()
                .filter(directory -> isOfSensor(directory) || hasEdges(directory))
                .flatMap(directory -> size(directory).stream())
                .max(Comparator.comparingDouble(size -> size.size().area()))
                .or(() -> directories.stream().findFirst().flatMap(first -> sized(first.numbers(WIDTH), first)));
    }

    /** All sizes that directories tell of samples, with what does not count of them and without; decoding gives any of them. */
    static List<PixelSize> sizes(List<TiffDirectory> directories) {
        return directories.stream()
                .filter(directory -> isOfSensor(directory) || hasEdges(directory))
                .flatMap(directory -> Stream.of(
                                size(directory), active(directory), sized(directory.numbers(WIDTH), directory))
                        .flatMap(Optional::stream))
                .distinct()
                .toList();
    }

    private static Optional<PixelSize> active(TiffDirectory directory) {
        long[] area = directory.numbers(ACTIVE_AREA);
        return area.length == 4 ? sized(area[3] - area[1], area[2] - area[0]) : Optional.empty();
    }

    private static Optional<PixelSize> size(TiffDirectory directory) {
        if (hasEdges(directory)) {
            long across = edge(directory, 3) - edge(directory, 1);
            long down = edge(directory, 2) - edge(directory, 0);
            return sized(across, down);
        }
        long[] wanted = directory.numbers(WANTED_SIZE);
        if (wanted.length == 2) {
            return sized(wanted[0], wanted[1]);
        }
        return active(directory).or(() -> sized(directory.numbers(WIDTH), directory));
    }

    private static long edge(TiffDirectory directory, int place) {
        return directory.number(TOP + place).orElse(0);
    }

    private static Optional<PixelSize> sized(long[] width, TiffDirectory directory) {
        return width.length == 0
                ? Optional.empty()
                : sized(width[0], directory.number(HEIGHT).orElse(0));
    }

    private static Optional<PixelSize> sized(long width, long height) {
        boolean isSize = width > 0 && height > 0 && width <= Integer.MAX_VALUE && height <= Integer.MAX_VALUE;
        return isSize ? Optional.of(new PixelSize((int) width, (int) height)) : Optional.empty();
    }

    /** The first byte behind the samples, 0 if no directory tells. */
    static long end(List<TiffDirectory> directories) {
        long end = 0;
        for (TiffDirectory directory : directories) {
            if (isOfSensor(directory)) {
                end = Math.max(end, end(directory.numbers(STRIPS), directory.numbers(STRIP_LENGTHS)));
                end = Math.max(end, end(directory.numbers(TILES), directory.numbers(TILE_LENGTHS)));
            }
        }
        return end;
    }

    private static long end(long[] starts, long[] lengths) {
        long end = 0;
        for (int i = 0; i < Math.min(starts.length, lengths.length); i++) {
            end = Math.max(end, starts[i] + lengths[i]);
        }
        return end;
    }

    /** The JPEG that a directory leads to. */
    static Optional<EmbeddedJpeg> jpegIn(TiffDirectory directory, Path file) throws IOException {
        Optional<EmbeddedJpeg> told = EmbeddedJpeg.at(
                file,
                directory.number(JPEG).orElse(0),
                directory.number(JPEG_LENGTH).orElse(0));
        boolean isJpeg = PACKED_AS_JPEG.contains(directory.number(COMPRESSION).orElse(0));
        if (told.isPresent() || !isJpeg || isOfSensor(directory) || directory.numbers(STRIPS).length != 1) {
            return told;
        }
        return EmbeddedJpeg.at(
                file,
                directory.number(STRIPS).orElse(0),
                directory.number(STRIP_LENGTHS).orElse(0));
    }
}
