package nexa.imaging.render;

import nexa.core.geometry.Bounds;
import nexa.core.geometry.Size;
import nexa.core.shoot.Trim;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * Pixels of a photo as it is seen, of part of it, or with room around it.
 *
 * @param pixels closed with it
 * @param left where their first column lies in the photo, in these pixels; below 0 beyond its left side
 * @param top where their first row lies
 */
public record Canvas(Mat pixels, int left, int top) implements AutoCloseable {
    /**
     * The whole pixels inside a trim.
     *
     * @param picture of the whole photo as it is seen, at any size
     */
    public static Rect inside(Trim trim, Mat picture) {
        Bounds whole = trim.wholePixels(new Size(picture.cols(), picture.rows()));
        return new Rect(
                (int) whole.least().x(),
                (int) whole.least().y(),
                (int) whole.extent().x(),
                (int) whole.extent().y());
    }

    @Override
    public void close() {
        pixels.close();
    }
}
