package nexa.sample;

import java.awt.image.BufferedImage;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;

/** Writes WebP, which ImageIO cannot. */
final class WebP {
    private WebP() {}

    static byte[] encode(BufferedImage image, int quality) {
        int width = image.getWidth();
        int height = image.getHeight();
        byte[] bgr = new byte[3 * width * height];
        for (int i = 0; i < width * height; i++) {
            int rgb = image.getRGB(i % width, i / width);
            bgr[3 * i] = (byte) rgb;
            bgr[3 * i + 1] = (byte) (rgb >> 8);
            bgr[3 * i + 2] = (byte) (rgb >> 16);
        }
        try (BytePointer memory = new BytePointer(bgr);
                Mat pixels = new Mat(height, width, opencv_core.CV_8UC3, memory);
                BytePointer encoded = new BytePointer();
                IntPointer settings = new IntPointer(opencv_imgcodecs.IMWRITE_WEBP_QUALITY, quality)) {
            opencv_imgcodecs.imencode(".webp", pixels, encoded, settings);
            byte[] bytes = new byte[(int) encoded.limit()];
            encoded.get(bytes);
            return bytes;
        }
    }
}
