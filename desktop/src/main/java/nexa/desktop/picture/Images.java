package nexa.desktop.picture;

import java.nio.IntBuffer;
import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import nexa.imaging.pictures.Picture;

/** Gives pictures to JavaFX without copying their pixels. */
public final class Images {
    private Images() {}

    public static Image of(Picture picture) {
        PixelBuffer<IntBuffer> pixels = new PixelBuffer<>(
                picture.width(), picture.height(), picture.argb(), PixelFormat.getIntArgbPreInstance());
        return new WritableImage(pixels);
    }
}
