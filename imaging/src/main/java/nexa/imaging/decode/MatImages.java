package nexa.imaging.decode;

import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Copies pixels between OpenCV's matrices and Java's images: grey or colour, 8 or 16 bits. Colours stay as they are; only
 * their order changes, which is blue, green, red in a matrix and red, green, blue in an image.
 */
public final class MatImages {
    private MatImages() {}

    /** An image of a grey or BGR matrix, its values taken to be of a colour space. */
    public static BufferedImage image(Mat pixels, ColorSpace space) {
        int bands = pixels.channels();
        int count = pixels.rows() * pixels.cols() * bands;
        try (Mat ordered = new Mat()) {
            if (bands == 1) {
                pixels.copyTo(ordered);
            } else {
                opencv_imgproc.cvtColor(pixels, ordered, opencv_imgproc.COLOR_BGR2RGB);
            }
            DataBuffer data = pixels.depth() == opencv_core.CV_16U ? deep(ordered, count) : plain(ordered, count);
            return image(data, pixels.cols(), pixels.rows(), space);
        }
    }

    /** An image of as many bands as the colour space has, all nought. */
    public static BufferedImage blank(int width, int height, boolean isDeep, ColorSpace space) {
        int count = width * height * space.getNumComponents();
        return image(isDeep ? new DataBufferUShort(count) : new DataBufferByte(count), width, height, space);
    }

    private static BufferedImage image(DataBuffer data, int width, int height, ColorSpace space) {
        int bands = space.getNumComponents();
        int[] offsets = bands == 1 ? new int[] {0} : new int[] {0, 1, 2};
        WritableRaster raster =
                Raster.createInterleavedRaster(data, width, height, width * bands, bands, offsets, null);
        ComponentColorModel model =
                new ComponentColorModel(space, false, false, Transparency.OPAQUE, data.getDataType());
        return new BufferedImage(model, raster, false, null);
    }

    private static DataBuffer plain(Mat pixels, int count) {
        byte[] values = new byte[count];
        try (BytePointer memory = pixels.data()) {
            memory.get(values);
        }
        return new DataBufferByte(values, count);
    }

    private static DataBuffer deep(Mat pixels, int count) {
        short[] values = new short[count];
        try (ShortPointer memory = new ShortPointer(pixels.data())) {
            memory.get(values);
        }
        return new DataBufferUShort(values, count);
    }

    /**
     * A matrix of an image's samples: grey for one band, BGR for three, BGRA for four. The caller closes it.
     *
     * @param isDeep whether the samples have 16 bits, else 8
     */
    public static Mat mat(Raster raster, boolean isDeep) {
        int bands = raster.getNumBands();
        int width = raster.getWidth();
        Mat pixels =
                new Mat(raster.getHeight(), width, isDeep ? opencv_core.CV_16UC(bands) : opencv_core.CV_8UC(bands));
        int[] row = new int[width * bands];
        byte[] plain = new byte[row.length];
        short[] deep = new short[row.length];
        for (int y = 0; y < raster.getHeight(); y++) {
            raster.getPixels(raster.getMinX(), raster.getMinY() + y, width, 1, row);
            for (int i = 0; i < row.length; i++) {
                plain[i] = (byte) row[i];
                deep[i] = (short) row[i];
            }
            try (BytePointer memory = pixels.ptr(y);
                    ShortPointer wide = new ShortPointer(memory)) {
                if (isDeep) {
                    wide.put(deep);
                } else {
                    memory.put(plain);
                }
            }
        }
        if (bands >= 3) {
            int order = bands == 3 ? opencv_imgproc.COLOR_RGB2BGR : opencv_imgproc.COLOR_RGBA2BGRA;
            opencv_imgproc.cvtColor(pixels, pixels, order);
        }
        return pixels;
    }
}
