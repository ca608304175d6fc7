package nexa.imaging.read;

import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ColorConvertOp;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.util.Optional;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;

/** A photo's colour profile. */
public final class ColourProfile {
    private final byte[] bytes;
    private final ICC_Profile profile;

    private ColourProfile(byte[] bytes, ICC_Profile profile) {
        this.bytes = bytes;
        this.profile = profile;
    }

    /** A profile that can be used; empty for no bytes or broken ones. */
    static Optional<ColourProfile> read(byte[] bytes) {
        if (bytes.length == 0) {
            return Optional.empty();
        }
        try {
            return Optional.of(new ColourProfile(bytes, ICC_Profile.getInstance(bytes)));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    public static ColourProfile srgb() {
        ICC_Profile srgb = ICC_Profile.getInstance(ColorSpace.CS_sRGB);
        return new ColourProfile(srgb.getData(), srgb);
    }

    /** As embedded in the photo. */
    public byte[] bytes() {
        return bytes.clone();
    }

    /** Turns 8-bit pixels of this profile into sRGB, in place. Pixels of another number of channels are left alone. */
    public void toSrgb(Mat pixels) {
        boolean isRgb = profile.getColorSpaceType() == ColorSpace.TYPE_RGB && pixels.channels() == 3;
        if (!isRgb) {
            return;
        }
        opencv_imgproc.cvtColor(pixels, pixels, opencv_imgproc.COLOR_BGR2RGB);
        byte[] colours = new byte[pixels.rows() * pixels.cols() * 3];
        try (BytePointer data = pixels.data()) {
            data.get(colours);
            BufferedImage from = image(colours, pixels, new ICC_ColorSpace(profile));
            BufferedImage to = image(new byte[colours.length], pixels, ColorSpace.getInstance(ColorSpace.CS_sRGB));
            new ColorConvertOp(null).filter(from, to);
            data.put(((DataBufferByte) to.getRaster().getDataBuffer()).getData());
        }
        opencv_imgproc.cvtColor(pixels, pixels, opencv_imgproc.COLOR_RGB2BGR);
    }

    private static BufferedImage image(byte[] colours, Mat pixels, ColorSpace space) {
        WritableRaster raster = Raster.createInterleavedRaster(
                new DataBufferByte(colours, colours.length),
                pixels.cols(),
                pixels.rows(),
                pixels.cols() * 3,
                3,
                new int[] {0, 1, 2},
                null);
        ComponentColorModel model =
                new ComponentColorModel(space, false, false, Transparency.OPAQUE, DataBuffer.TYPE_BYTE);
        return new BufferedImage(model, raster, false, null);
    }
}
