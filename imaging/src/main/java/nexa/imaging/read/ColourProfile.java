package nexa.imaging.read;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ColorConvertOp;
import java.util.Optional;
import nexa.imaging.MatImages;
import org.bytedeco.opencv.global.opencv_core;
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

    /**
     * Turns pixels of this profile into sRGB, in place: BGR, or BGRA with what is see-through left so. Grey ones become BGR.
     * Pixels of another kind than the profile's are left alone.
     */
    public void toSrgb(Mat pixels) {
        if (pixels.channels() == 4) {
            try (Mat alpha = new Mat()) {
                opencv_core.extractChannel(pixels, alpha, 3);
                opencv_imgproc.cvtColor(pixels, pixels, opencv_imgproc.COLOR_BGRA2BGR);
                toSrgb(pixels);
                opencv_imgproc.cvtColor(pixels, pixels, opencv_imgproc.COLOR_BGR2BGRA);
                opencv_core.insertChannel(alpha, pixels, 3);
            }
        } else if (pixels.channels() == profile.getNumComponents() && isRgbOrGrey()) {
            BufferedImage from = MatImages.image(pixels, new ICC_ColorSpace(profile));
            boolean isDeep = pixels.depth() == opencv_core.CV_16U;
            BufferedImage to =
                    MatImages.blank(pixels.cols(), pixels.rows(), isDeep, ColorSpace.getInstance(ColorSpace.CS_sRGB));
            new ColorConvertOp(null).filter(from, to);
            try (Mat turned = MatImages.mat(to.getRaster(), isDeep)) {
                turned.copyTo(pixels);
            }
        }
    }

    private boolean isRgbOrGrey() {
        int type = profile.getColorSpaceType();
        return type == ColorSpace.TYPE_RGB || type == ColorSpace.TYPE_GRAY;
    }
}
