package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.jpeg.JpegProcessingException;
import com.drew.lang.RandomAccessFileReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Size;

/**
 * What a raw file holds beside the samples of its sensor, as far as that can be told without decoding them: DNG (version 1.4)
 * and what else is a TIFF by its directories, the rest by the JPEGs found in it.
 *
 * @param told what it says of the photo, empty if nothing
 * @param sensor how many pixels the samples give, as stored; empty where only decoding tells
 * @param sensors all the sizes it tells of the samples; decoding gives about one of them, if it tells any
 * @param jpegs the pictures that the camera made of the photo, of any sizes, as stored
 * @param isWhole whether all the samples are there, as far as the file tells where they lie
 */
public record RawFile(
        Optional<TiffDirectory> told,
        Optional<PixelSize> sensor,
        List<PixelSize> sensors,
        List<EmbeddedJpeg> jpegs,
        boolean isWhole) {
    /** A picture so long is worth looking at large. */
    private static final int LARGE = 1000;
    /** A camera's picture that is about as long as the sensor says which of its pixels count. */
    private static final double ABOUT_AS_LONG = 0.9;

    private static final double SAME_RATIO = 0.01;
    /** What decoding leaves out at most of a side of the samples, as a share, or adds. */
    private static final double LEFT_OUT = 0.03;

    private static final int START = 16;
    /** How files begin that are TIFFs but for a number. */
    private static final List<String> NEARLY_TIFF = List.of("IIRO", "IIRS", "MMOR", "IIU\0");
    /** How files begin of which only the pictures inside are looked for. */
    private static final List<String> IN_THEIR_OWN_WAY = List.of("FUJIFILMCCD-RAW", "FOVb", "\0MRM", "IIII", "MMMM");

    private static final int ORIENTATION = 0x0112;

    /** A raw file; empty for any other. */
    public static Optional<RawFile> read(Path file) throws IOException {
        String start = start(file);
        if (isBoxed(start)) {
            return Optional.of(bySearch(file, BoxedExif.of(file)));
        }
        if (isInItsOwnWay(start)) {
            return Optional.of(bySearch(file, List.of()));
        }
        List<TiffDirectory> directories = sensorsDirectories(file, start);
        return directories.isEmpty() ? Optional.empty() : Optional.of(ofTiff(file, directories));
    }

    /** Whether a file is raw, without a look for its pictures. */
    static boolean isRaw(Path file) throws IOException {
        String start = start(file);
        return isBoxed(start)
                || isInItsOwnWay(start)
                || !sensorsDirectories(file, start).isEmpty();
    }

    private static boolean isBoxed(String start) {
        return start.startsWith("ftypcrx ", 4);
    }

    private static boolean isInItsOwnWay(String start) {
        return IN_THEIR_OWN_WAY.stream().anyMatch(start::startsWith) || start.startsWith("HEAPCCDR", 6);
    }

    /** The directories of a TIFF that is raw, by how it begins or by what they say; none of any other file. */
    private static List<TiffDirectory> sensorsDirectories(Path file, String start) throws IOException {
        if (!start.startsWith("II") && !start.startsWith("MM")) {
            return List.of();
        }
        List<TiffDirectory> directories;
        try (RandomAccessFile in = new RandomAccessFile(file.toFile(), "r")) {
            directories = TiffDirectories.of(new RandomAccessFileReader(in));
        }
        boolean saysSo = NEARLY_TIFF.stream().anyMatch(start::startsWith) || start.startsWith("CR", 8);
        return saysSo || directories.stream().anyMatch(SensorSamples::areIn) ? directories : List.of();
    }

    private static String start(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return new String(in.readNBytes(START), StandardCharsets.ISO_8859_1);
        }
    }

    private static RawFile ofTiff(Path file, List<TiffDirectory> directories) throws IOException {
        List<EmbeddedJpeg> jpegs = new ArrayList<>();
        for (TiffDirectory directory : directories) {
            SensorSamples.jpegIn(directory, file).ifPresent(jpegs::add);
        }
        if (jpegs.stream().noneMatch(jpeg -> jpeg.longSide() >= LARGE)) {
            jpegs.addAll(EmbeddedJpeg.search(file));
        }
        return new RawFile(
                Optional.of(directories.get(0)),
                SensorSamples.size(directories),
                SensorSamples.sizes(directories),
                largestFirst(jpegs),
                SensorSamples.end(directories) <= Files.size(file));
    }

    private static RawFile bySearch(Path file, List<TiffDirectory> directories) throws IOException {
        List<EmbeddedJpeg> jpegs = largestFirst(EmbeddedJpeg.search(file));
        Optional<TiffDirectory> told = directories.stream().findFirst();
        for (int i = 0; i < jpegs.size() && told.isEmpty(); i++) {
            told = exif(file, jpegs.get(i));
        }
        return new RawFile(told, SensorSamples.size(directories), SensorSamples.sizes(directories), jpegs, true);
    }

    private static Optional<TiffDirectory> exif(Path file, EmbeddedJpeg jpeg) throws IOException {
        try (InputStream in = jpeg.stream(file)) {
            return JpegDecoder.exifInside(in);
        } catch (JpegProcessingException e) {
            return Optional.empty();
        }
    }

    private static List<EmbeddedJpeg> largestFirst(List<EmbeddedJpeg> jpegs) {
        return jpegs.stream()
                .sorted(Comparator.comparingInt(EmbeddedJpeg::longSide).reversed())
                .toList();
    }

    /** Its largest picture. */
    Optional<EmbeddedJpeg> picture() {
        return jpegs.stream().findFirst();
    }

    /**
     * Whether a picture can be that of its samples, by its size.
     *
     * @param share how many of its pixels there are along a side for one of the samples
     */
    public boolean mayGive(PixelSize picture, double share) {
        return sensors.isEmpty()
                || sensors.stream()
                        .anyMatch(size -> isAbout(size.width() * share, picture.width())
                                && isAbout(size.height() * share, picture.height()));
    }

    private static boolean isAbout(double side, int given) {
        return Math.abs(given - side) <= 1 + LEFT_OUT * side;
    }

    /** How its samples are seen upright. */
    public ExifOrientation orientation() {
        return told.map(directory -> (int) directory.number(ORIENTATION).orElse(1))
                .map(ExifOrientation::of)
                .orElse(ExifOrientation.UPRIGHT);
    }

    /** The size of its largest picture, as stored; empty if there is none. */
    public Optional<PixelSize> pictureSize() {
        return picture().map(jpeg -> jpeg.stored().size());
    }

    /** The smallest of its pictures that has so many pixels along the long side and frames the photo as the largest does. */
    Optional<EmbeddedJpeg> picture(int longSide) {
        return picture()
                .map(largest -> jpegs.stream()
                        .filter(jpeg -> jpeg.longSide() >= longSide)
                        .filter(jpeg -> Math.abs(jpeg.ratio() / largest.ratio() - 1) < SAME_RATIO)
                        .reduce(largest, (larger, smaller) -> smaller));
    }

    /**
     * The size of the photo, as stored: of what the camera's own picture frames, where that is large enough to tell, in the
     * pixels of the sensor.
     *
     * @throws ImageProcessingException if it tells of no size at all
     */
    public PixelSize size() throws ImageProcessingException {
        if (sensor.isEmpty() || picture().isEmpty()) {
            return sensor.or(this::pictureSize)
                    .orElseThrow(() -> new ImageProcessingException("neither samples nor a picture"));
        }
        PixelSize samples = sensor.get();
        EmbeddedJpeg picture = picture().get();
        if (picture.longSide() >= ABOUT_AS_LONG * Math.max(samples.width(), samples.height())) {
            return picture.stored().size();
        }
        boolean framesOtherwise = Math.abs(picture.ratio() / samples.size().ratio() - 1) > SAME_RATIO;
        return framesOtherwise && picture.longSide() >= LARGE
                ? PixelSize.nearest(largest(samples.size(), picture.ratio()))
                : samples;
    }

    private static Size largest(Size around, double ratio) {
        return ratio > around.ratio()
                ? new Size(around.width(), around.width() / ratio)
                : new Size(around.height() * ratio, around.height());
    }
}
