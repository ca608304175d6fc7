package nexa.imaging.read;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/** Decodes a photo's pixels as they are seen: after the EXIF orientation, the quarter turn and mirroring. */
public final class PhotoPixels {
    private final Path file;
    private final PhotoFacts facts;
    private final Preparation preparation;
    private Optional<SourceMetadata> metadata = Optional.empty();

    /** @throws PhotoProblem if the photo cannot be read */
    public PhotoPixels(Path file, Photo photo) throws PhotoProblem {
        this.file = file;
        this.facts = PhotoFacts.read(file);
        this.preparation = photo.preparation();
    }

    public PhotoFacts facts() {
        return facts;
    }

    /**
     * All pixels, in the photo's own colours where it has plain ones; see-through parts are on white. The caller closes it.
     *
     * @param keepsDepth whether 16 bits stay 16
     */
    public FullPixels full(boolean keepsDepth) throws PhotoProblem {
        Decoded decoded = decode(opencv_imgcodecs.IMREAD_UNCHANGED);
        Mat pixels = decoded.pixels();
        if (!keepsDepth) {
            toEightBits(pixels);
        }
        if (pixels.channels() == 4) {
            onWhite(pixels);
        }
        Optional<ColourProfile> profile = decoded.isInSrgb()
                ? Optional.of(ColourProfile.srgb())
                : metadata().profile();
        return new FullPixels(seen(pixels), profile);
    }

    /** What the photo carries beside its pixels; read once. */
    public SourceMetadata metadata() throws PhotoProblem {
        if (metadata.isEmpty()) {
            metadata = Optional.of(SourceMetadata.read(file, facts.kind()));
        }
        return metadata.get();
    }

    /** A picture for the screen, its long side at most this. Small ones are never enlarged. */
    public Picture picture(int longSide) throws PhotoProblem {
        int stored = Math.max(facts.stored().width(), facts.stored().height());
        Decoded read = decode(reduction(stored, longSide));
        try (Mat decoded = read.pixels()) {
            double factor = (double) longSide / Math.max(decoded.cols(), decoded.rows());
            if (factor < 1) {
                shrink(decoded, factor);
            }
            toEightBits(decoded);
            if (!read.isInSrgb()) {
                metadata().profile().ifPresent(profile -> profile.toSrgb(decoded));
            }
            try (Mat upright = seen(decoded)) {
                return Picture.of(upright);
            }
        }
    }

    /** The small picture in the photo's EXIF block, which is there long before the photo is decoded; empty if none is. */
    public Optional<Picture> embedded() throws PhotoProblem {
        Optional<byte[]> exif = facts.kind() == PhotoKind.JPEG ? metadata().exif() : Optional.empty();
        Optional<Mat> thumbnail = exif.flatMap(block -> EmbeddedThumbnail.of(block, facts.stored()));
        if (thumbnail.isEmpty()) {
            return Optional.empty();
        }
        try (Mat upright = seen(thumbnail.get())) {
            return Optional.of(Picture.of(upright));
        }
    }

    private static void toEightBits(Mat pixels) {
        if (pixels.depth() == opencv_core.CV_16U) {
            pixels.convertTo(pixels, opencv_core.CV_8U, 1 / 257.0, 0);
        }
    }

    /** What is see-through becomes white, as it would on paper: colour × alpha + white × (1 − alpha). */
    private static void onWhite(Mat pixels) {
        double most = pixels.depth() == opencv_core.CV_16U ? 65_535 : 255;
        try (Mat alpha = new Mat();
                Mat white = new Mat();
                Mat alphas = new Mat();
                Mat whites = new Mat()) {
            opencv_core.extractChannel(pixels, alpha, 3);
            opencv_core.bitwise_not(alpha, white);
            opencv_imgproc.cvtColor(alpha, alphas, opencv_imgproc.COLOR_GRAY2BGR);
            opencv_imgproc.cvtColor(white, whites, opencv_imgproc.COLOR_GRAY2BGR);
            opencv_imgproc.cvtColor(pixels, pixels, opencv_imgproc.COLOR_BGRA2BGR);
            opencv_core.multiply(pixels, alphas, pixels, 1 / most, -1);
            opencv_core.add(pixels, whites, pixels);
        }
    }

    private static void shrink(Mat pixels, double factor) {
        try (Size size = new Size((int) Math.max(1, Math.round(pixels.cols() * factor)), (int)
                Math.max(1, Math.round(pixels.rows() * factor)))) {
            opencv_imgproc.resize(pixels, pixels, size, 0, 0, opencv_imgproc.INTER_AREA);
        }
    }

    /** The coarsest decoding of a JPEG that still has the pixels wanted. Other kinds have but one. */
    private int reduction(int stored, int wanted) {
        if (facts.kind() != PhotoKind.JPEG) {
            return opencv_imgcodecs.IMREAD_UNCHANGED;
        }
        if (stored >= 8 * wanted) {
            return opencv_imgcodecs.IMREAD_REDUCED_COLOR_8;
        }
        if (stored >= 4 * wanted) {
            return opencv_imgcodecs.IMREAD_REDUCED_COLOR_4;
        }
        return stored >= 2 * wanted ? opencv_imgcodecs.IMREAD_REDUCED_COLOR_2 : opencv_imgcodecs.IMREAD_COLOR;
    }

    private Decoded decode(int flags) throws PhotoProblem {
        byte[] bytes = wholeBytes();
        String name = file.getFileName().toString();
        try {
            boolean isForPrint = facts.kind() == PhotoKind.JPEG && facts.channels() == 4;
            Decoded decoded = isForPrint || facts.kind() == PhotoKind.TIFF
                    ? ImageIoPixels.decode(bytes)
                    : new Decoded(decode(bytes, flags), false);
            if (decoded.pixels().empty()) {
                throw new PhotoProblem(name, PhotoProblem.Reason.DAMAGED);
            }
            if (facts.kind() == PhotoKind.PNG && decoded.pixels().channels() == 1) {
                TransparentShade.apply(bytes, decoded.pixels());
            }
            return decoded;
        } catch (IOException | RuntimeException | OutOfMemoryError | StackOverflowError e) {
            throw PhotoProblem.of(name, e);
        }
    }

    /** The file up to the end of its picture: decoders stumble over what some cameras put behind that. */
    private byte[] wholeBytes() throws PhotoProblem {
        byte[] bytes = bytes();
        String name = file.getFileName().toString();
        if (facts.kind() == PhotoKind.JPEG) {
            JpegMarkers markers = JpegMarkers.of(bytes);
            PhotoFacts.requireFewScans(name, markers);
            if (!markers.isWhole()) {
                throw new PhotoProblem(name, PhotoProblem.Reason.CUT_OFF);
            }
            return markers.end() < bytes.length ? Arrays.copyOf(bytes, (int) markers.end()) : bytes;
        }
        if (!facts.kind().isWhole(bytes)) {
            throw new PhotoProblem(name, PhotoProblem.Reason.CUT_OFF);
        }
        return bytes;
    }

    private byte[] bytes() throws PhotoProblem {
        String name = file.getFileName().toString();
        try {
            return Files.readAllBytes(file);
        } catch (IOException e) {
            throw PhotoFile.problem(file, e);
        } catch (OutOfMemoryError e) {
            throw PhotoProblem.of(name, e);
        }
    }

    /** The 8-bit colours of a whole file in memory; empty if there are none. The caller closes it. */
    static Mat decode(byte[] bytes) {
        return decode(bytes, opencv_imgcodecs.IMREAD_COLOR);
    }

    private static Mat decode(byte[] bytes, int flags) {
        try (BytePointer memory = new BytePointer(bytes);
                Mat encoded = new Mat(1, bytes.length, opencv_core.CV_8UC1, memory)) {
            return opencv_imgcodecs.imdecode(encoded, flags | opencv_imgcodecs.IMREAD_IGNORE_ORIENTATION);
        }
    }

    /** Turned and mirrored to be seen; the same matrix where nothing is to be done. */
    private Mat seen(Mat stored) {
        ExifOrientation exif = facts.orientation();
        if (exif.isMirrored()) {
            opencv_core.flip(stored, stored, 1);
        }
        // Both turns are clockwise and nothing comes between them.
        int quarters = (exif.quarterTurns() + preparation.turn().degrees() / 90) % 4;
        if (quarters != 0) {
            opencv_core.rotate(stored, stored, quarters - 1);
        }
        if (preparation.isMirrored()) {
            opencv_core.flip(stored, stored, 1);
        }
        return stored;
    }
}
