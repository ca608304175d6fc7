package nexa.imaging.read;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.IIOException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/** Decodes what OpenCV does not read well, TIFF and JPEG for print, by way of Java's image readers. */
final class ImageIoPixels {
    private ImageIoPixels() {}

    /**
     * The first picture of a file: 8-bit grey, BGR or BGRA, or 16-bit BGR. The caller closes it.
     *
     * @throws IIOException if the contents cannot be decoded
     */
    static Mat decode(byte[] bytes) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new IIOException("no reader for these contents");
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return mat(reader.read(0));
            } finally {
                reader.dispose();
            }
        }
    }

    private static Mat mat(BufferedImage image) {
        ColorModel model = image.getColorModel();
        boolean isDeep = model instanceof ComponentColorModel
                && image.getRaster().getTransferType() == DataBuffer.TYPE_USHORT
                && model.getNumComponents() == 3;
        return isDeep ? deep(image) : plain(image);
    }

    private static Mat deep(BufferedImage image) {
        Raster raster = image.getRaster();
        int width = raster.getWidth();
        int height = raster.getHeight();
        short[] bgr = new short[3 * width * height];
        int[] pixel = new int[3];
        for (int i = 0; i < width * height; i++) {
            raster.getPixel(i % width, i / width, pixel);
            bgr[3 * i] = (short) pixel[2];
            bgr[3 * i + 1] = (short) pixel[1];
            bgr[3 * i + 2] = (short) pixel[0];
        }
        try (ShortPointer memory = new ShortPointer(bgr);
                Mat borrowed = new Mat(height, width, opencv_core.CV_16UC3, memory)) {
            return borrowed.clone();
        }
    }

    /** Drawn into plain sRGB, which also turns inks, palettes and grey into colours. */
    private static Mat plain(BufferedImage image) {
        boolean hasAlpha = image.getColorModel().hasAlpha();
        int type = hasAlpha ? BufferedImage.TYPE_4BYTE_ABGR : BufferedImage.TYPE_3BYTE_BGR;
        BufferedImage drawn = new BufferedImage(image.getWidth(), image.getHeight(), type);
        Graphics2D pen = drawn.createGraphics();
        pen.drawImage(image, 0, 0, null);
        pen.dispose();
        byte[] bytes = ((DataBufferByte) drawn.getRaster().getDataBuffer()).getData();
        if (hasAlpha) {
            for (int i = 0; i < bytes.length; i += 4) {
                byte alpha = bytes[i];
                System.arraycopy(bytes, i + 1, bytes, i, 3);
                bytes[i + 3] = alpha;
            }
        }
        int cvType = hasAlpha ? opencv_core.CV_8UC4 : opencv_core.CV_8UC3;
        try (BytePointer memory = new BytePointer(bytes);
                Mat borrowed = new Mat(image.getHeight(), image.getWidth(), cvType, memory)) {
            return borrowed.clone();
        }
    }
}
