package nexa.imaging.deliver;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.FileSpec;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Writes one kind of file. Everything that differs between kinds is here; a new one is a class of its own, its name in {@link
 * FileSpec.Type}, and a line in {@link #of}.
 */
interface FileFormat {
    /**
     * What goes into a file.
     *
     * @param pixels grey or BGR, of 8 bits, or of 16 where the kind may have them
     * @param profile the colour profile the pixels are in
     * @param exif the EXIF block, beginning with its TIFF header
     * @param ppi the pixels an inch of paper gets; empty if it is not for paper
     */
    record Contents(Mat pixels, FileSpec spec, Optional<byte[]> profile, Optional<byte[]> exif, OptionalDouble ppi) {}

    /** The file, whole. */
    Made encode(Contents contents);

    /**
     * A file of nothing but pixels, made by OpenCV.
     *
     * @param ending of its kind, with the dot
     * @param settings OpenCV's, each with its value
     */
    static byte[] plain(String ending, Mat pixels, int... settings) {
        try (BytePointer encoded = new BytePointer();
                IntPointer all = new IntPointer(settings)) {
            if (!opencv_imgcodecs.imencode(ending, pixels, encoded, all)) {
                throw new IllegalStateException(
                        pixels.cols() + " × " + pixels.rows() + " pixels did not become a file of " + ending);
            }
            byte[] bytes = new byte[(int) encoded.limit()];
            encoded.get(bytes);
            return bytes;
        }
    }

    /** The kind that files of a type are written as. */
    static FileFormat of(FileSpec.Type type) {
        return switch (type) {
            case JPEG -> new JpegFile();
            case PNG -> new PngFile();
            case TIFF -> new TiffFile();
        };
    }
}
