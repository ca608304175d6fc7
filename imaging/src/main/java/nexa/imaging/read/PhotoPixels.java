package nexa.imaging.read;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import nexa.core.shoot.Photo;
import nexa.core.shoot.QuarterTurn;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.Size;

/** Decodes a photo's pixels as they are seen: after the EXIF orientation, the quarter turn and mirroring. */
public final class PhotoPixels {
    private final Path file;
    private final PhotoFacts facts;
    private final QuarterTurn turn;
    private final boolean isMirrored;

    /** @throws PhotoProblem if the photo cannot be read */
    public PhotoPixels(Path file, Photo photo) throws PhotoProblem {
        this.file = file;
        this.facts = PhotoFacts.read(file);
        this.turn = photo.turn();
        this.isMirrored = photo.isMirrored();
    }

    public PhotoFacts facts() {
        return facts;
    }

    /**
     * All pixels, in the photo's own colours: grey or BGR. The caller closes it.
     *
     * @param keepsDepth whether 16 bits stay 16; what is see-through comes in 8
     */
    public Mat full(boolean keepsDepth) throws PhotoProblem {
        Mat decoded = decode(opencv_imgcodecs.IMREAD_UNCHANGED);
        if (!keepsDepth || decoded.channels() == 4) {
            toEightBits(decoded);
        }
        if (decoded.channels() == 4) {
            onWhite(decoded);
        }
        return seen(decoded);
    }

    /** A picture for the screen, its long side at most this. Small ones are never enlarged. */
    public Picture picture(int longSide) throws PhotoProblem {
        int stored = Math.max(facts.stored().width(), facts.stored().height());
        try (Mat decoded = decode(reduction(stored, longSide))) {
            double factor = (double) longSide / Math.max(decoded.cols(), decoded.rows());
            if (factor < 1) {
                shrink(decoded, factor);
            }
            toEightBits(decoded);
            toSrgb(decoded);
            try (Mat upright = seen(decoded)) {
                return Picture.of(upright);
            }
        }
    }

    private static void toEightBits(Mat pixels) {
        if (pixels.depth() == opencv_core.CV_16U) {
            pixels.convertTo(pixels, opencv_core.CV_8U, 1 / 257.0, 0);
        }
    }

    /** What is see-through becomes white, as it would on paper. */
    private static void onWhite(Mat pixels) {
        try (Mat premultiplied = new Mat();
                MatVector channels = new MatVector();
                Mat white = new Mat();
                Mat all = new Mat()) {
            opencv_imgproc.cvtColor(pixels, premultiplied, opencv_imgproc.COLOR_RGBA2mRGBA);
            opencv_core.split(premultiplied, channels);
            opencv_core.bitwise_not(channels.get(3), white);
            try (MatVector whites = new MatVector(white, white, white)) {
                opencv_core.merge(whites, all);
            }
            opencv_imgproc.cvtColor(premultiplied, pixels, opencv_imgproc.COLOR_BGRA2BGR);
            opencv_core.add(pixels, all, pixels);
        }
    }

    private static void shrink(Mat pixels, double factor) {
        try (Size size = new Size((int) Math.max(1, Math.round(pixels.cols() * factor)), (int)
                Math.max(1, Math.round(pixels.rows() * factor)))) {
            opencv_imgproc.resize(pixels, pixels, size, 0, 0, opencv_imgproc.INTER_AREA);
        }
    }

    private void toSrgb(Mat pixels) throws PhotoProblem {
        SourceMetadata.read(file, facts.kind()).profile().ifPresent(profile -> profile.toSrgb(pixels));
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

    private Mat decode(int flags) throws PhotoProblem {
        byte[] bytes = bytes();
        String name = file.getFileName().toString();
        if (!facts.kind().isWhole(bytes)) {
            throw new PhotoProblem(name, PhotoProblem.Reason.CUT_OFF);
        }
        try {
            boolean isForPrint = facts.kind() == PhotoKind.JPEG && facts.channels() == 4;
            Mat decoded =
                    isForPrint || facts.kind() == PhotoKind.TIFF ? ImageIoPixels.decode(bytes) : decode(bytes, flags);
            if (decoded.empty()) {
                throw new PhotoProblem(name, PhotoProblem.Reason.DAMAGED);
            }
            return decoded;
        } catch (IOException | RuntimeException e) {
            throw new PhotoProblem(name, PhotoProblem.Reason.DAMAGED, e);
        }
    }

    private byte[] bytes() throws PhotoProblem {
        String name = file.getFileName().toString();
        try {
            return Files.readAllBytes(file);
        } catch (NoSuchFileException e) {
            throw new PhotoProblem(name, PhotoProblem.Reason.MISSING, e);
        } catch (IOException e) {
            throw new PhotoProblem(name, PhotoProblem.Reason.NO_ACCESS, e);
        }
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
        int quarters = (exif.quarterTurns() + turn.degrees() / 90) % 4;
        if (quarters != 0) {
            opencv_core.rotate(stored, stored, quarters - 1);
        }
        if (isMirrored) {
            opencv_core.flip(stored, stored, 1);
        }
        return stored;
    }
}
