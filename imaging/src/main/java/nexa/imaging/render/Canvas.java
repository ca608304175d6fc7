package nexa.imaging.render;

import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Pixels of a photo as it is seen, of part of it, or with room around it.
 *
 * @param pixels closed with it
 * @param left where their first column lies in the photo, in these pixels; below 0 beyond its left side
 * @param top where their first row lies
 */
public record Canvas(Mat pixels, int left, int top) implements AutoCloseable {
    @Override
    public void close() {
        pixels.close();
    }
}
