package nexa.imaging.deliver;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
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
     * @param terms what may go along
     */
    record Contents(
            Mat pixels,
            FileSpec spec,
            Optional<byte[]> profile,
            Optional<byte[]> exif,
            OptionalDouble ppi,
            DeliveryTerms terms) {}

    /** The file, whole. */
    Made encode(Contents contents);

    /** The kind that files of a type are written as. */
    static FileFormat of(FileSpec.Type type) {
        return switch (type) {
            case JPEG -> new JpegFile();
            case PNG -> new PngFile();
            case TIFF -> new TiffFile();
        };
    }
}
