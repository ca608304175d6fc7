package nexa.imaging.decode;

import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Reads one kind of photo. Everything that differs between kinds is here; a new one is a class of its own and a line in
 * {@link PhotoKind}. Files are not to be trusted: whatever is read is bounded.
 */
public interface PhotoDecoder {
    /** What the file says before its pixels. */
    PhotoHeader header(Path file) throws IOException, ImageProcessingException, MetadataException;

    /** What the file carries beside its pixels. */
    SourceMetadata metadata(Path file) throws IOException, ImageProcessingException;

    /**
     * Sees to it that the file holds everything from its start to its end, as far as can be told without decoding it; reads no
     * more of it than is needed to tell.
     *
     * @throws PhotoProblem if it is cut off, or coded so that decoding it would take minutes
     */
    void requireWhole(Path file) throws IOException, PhotoProblem;

    /** So much of a file as its picture of this size needs, at most; no more than that is worked on. */
    default byte[] read(Path file, int longSide) throws IOException {
        return Files.readAllBytes(file);
    }

    /**
     * What of a file in memory is its picture.
     *
     * @param name for what is said of it
     * @throws PhotoProblem as of {@link #requireWhole}
     */
    byte[] whole(String name, byte[] file) throws PhotoProblem;

    /** All pixels. The caller closes them; empty if there are none. */
    Decoded full(byte[] whole, StoredPixels stored) throws IOException;

    /** At least as many pixels along the long side as wanted, if there are so many, and as few more as it can. */
    default Decoded reduced(byte[] whole, StoredPixels stored, int longSide) throws IOException {
        return full(whole, stored);
    }

    /** The small picture that the camera put into the photo, as stored; empty if there is none. The caller closes it. */
    default Optional<Mat> embedded(SourceMetadata metadata, StoredPixels stored) {
        return Optional.empty();
    }
}
