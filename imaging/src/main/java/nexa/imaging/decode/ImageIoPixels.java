package nexa.imaging.decode;

import java.awt.Graphics2D;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.IIOException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.bytedeco.opencv.opencv_core.Mat;

/** Decodes what OpenCV does not read well, TIFF and JPEG for print, by way of Java's image readers. */
final class ImageIoPixels {
    private ImageIoPixels() {}

    /**
     * The first picture of a file: grey, BGR or BGRA, of 8 or 16 bits, in the file's own colours; of inks, palettes and
     * whatever else, 8 bits in sRGB. The caller closes it.
     *
     * @throws IIOException if the contents cannot be decoded
     */
    static Decoded decode(byte[] bytes) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new IIOException("no reader for these contents");
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return decoded(reader.read(0));
            } finally {
                reader.dispose();
            }
        }
    }

    private static Decoded decoded(BufferedImage image) {
        return hasOwnColours(image) ? new Decoded(own(image), false) : new Decoded(inSrgb(image), true);
    }

    /** Whether the samples are plain grey or RGB, so that they can be taken as they are. */
    private static boolean hasOwnColours(BufferedImage image) {
        ColorModel model = image.getColorModel();
        int space = model.getColorSpace().getType();
        int transfer = image.getRaster().getTransferType();
        int bands = image.getRaster().getNumBands();
        boolean isGrey = space == ColorSpace.TYPE_GRAY && bands == 1;
        boolean isRgb = space == ColorSpace.TYPE_RGB && (bands == 3 || bands == 4 && model.hasAlpha());
        return model instanceof ComponentColorModel
                && (transfer == DataBuffer.TYPE_BYTE || transfer == DataBuffer.TYPE_USHORT)
                && model.getComponentSize(0) % 8 == 0
                && (isGrey || isRgb);
    }

    private static Mat own(BufferedImage image) {
        if (image.isAlphaPremultiplied()) {
            image.coerceData(false);
        }
        return MatImages.mat(image.getRaster(), image.getRaster().getTransferType() == DataBuffer.TYPE_USHORT);
    }

    private static Mat inSrgb(BufferedImage image) {
        boolean hasAlpha = image.getColorModel().hasAlpha();
        int type = hasAlpha ? BufferedImage.TYPE_4BYTE_ABGR : BufferedImage.TYPE_3BYTE_BGR;
        BufferedImage drawn = new BufferedImage(image.getWidth(), image.getHeight(), type);
        Graphics2D pen = drawn.createGraphics();
        pen.drawImage(image, 0, 0, null);
        pen.dispose();
        return MatImages.mat(drawn.getRaster(), false);
    }
}
