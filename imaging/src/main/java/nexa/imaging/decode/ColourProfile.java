package nexa.imaging.decode;

import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ColorConvertOp;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.Objects;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;

/** A photo's colour profile. */
public final class ColourProfile {
    /** How long a profile's header is, which begins with the length of all of it (ICC.1:2010, 7.2). */
    private static final int HEADER = 128;

    private static final int COLOUR_SPACE = 0xA001;
    private static final int SRGB = 1;
    private static final int INTEROPERABILITY_INDEX = 1;
    private static final String WIDE = "R03";

    private final byte[] bytes;
    private final ICC_Profile profile;

    private ColourProfile(byte[] bytes, ICC_Profile profile) {
        this.bytes = bytes;
        this.profile = profile;
    }

    /** A profile that can be used, without what lies behind it; empty for no bytes, broken ones, and one that lies. */
    static Optional<ColourProfile> read(byte[] given) {
        if (given.length < HEADER) {
            return Optional.empty();
        }
        int length = ByteBuffer.wrap(given).getInt();
        byte[] bytes = length >= HEADER && length < given.length ? Arrays.copyOf(given, length) : given;
        try {
            ColourProfile read = new ColourProfile(bytes, ICC_Profile.getInstance(bytes));
            read.requireUsable();
            return Optional.of(read);
        } catch (IllegalArgumentException | CMMException e) {
            return Optional.empty();
        }
    }

    /**
     * Whether a profile can be used only shows when it is: what its header says need not be so.
     *
     * @throws IllegalArgumentException if it cannot
     * @throws CMMException if it cannot
     */
    private void requireUsable() {
        if (isRgbOrGrey()) {
            try (Mat pixel = new Mat(1, 1, opencv_core.CV_8UC(profile.getNumComponents()))) {
                toSrgb(pixel);
            }
            ofSrgb(new float[] {0, 0, 0});
        }
    }

    /** The profile of the colours that an EXIF block tells of in its own way; empty if it tells of none, or of sRGB. */
    static Optional<ColourProfile> toldBy(byte[] exif) {
        Optional<TiffDirectory> directory = TiffDirectory.read(exif).flatMap(first -> first.below(TiffDirectory.EXIF));
        boolean isWide = directory
                .filter(told -> told.number(COLOUR_SPACE).orElse(0) != SRGB)
                .flatMap(told -> told.below(TiffDirectory.INTEROPERABILITY))
                .flatMap(told -> told.text(INTEROPERABILITY_INDEX))
                .map(WIDE::equals)
                .orElse(false);
        return isWide ? Optional.of(Wide.PROFILE) : Optional.empty();
    }

    /** The colours of option file R03 of the design rule for camera file systems (DCF 2.0). */
    private static final class Wide {
        static final ColourProfile PROFILE = load();

        private static ColourProfile load() {
            try (InputStream in = Objects.requireNonNull(ColourProfile.class.getResourceAsStream("exif-r03.icc"))) {
                return read(in.readAllBytes()).orElseThrow();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    public static ColourProfile srgb() {
        ICC_Profile srgb = ICC_Profile.getInstance(ColorSpace.CS_sRGB);
        return new ColourProfile(srgb.getData(), srgb);
    }

    /** From its numbers to light, both 0 … 1; empty where it does not tell. */
    public Optional<DoubleUnaryOperator> toLight() {
        return ToneReproduction.of(profile);
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

    /**
     * A colour of sRGB in this profile's numbers.
     *
     * @param rgb red, green and blue, each 0 … 1
     * @return as many numbers as the profile has, each 0 … 1; empty for a profile of another kind than light's
     */
    public Optional<float[]> ofSrgb(float[] rgb) {
        return isRgbOrGrey() ? Optional.of(new ICC_ColorSpace(profile).fromRGB(rgb)) : Optional.empty();
    }

    private boolean isRgbOrGrey() {
        int type = profile.getColorSpaceType();
        return type == ColorSpace.TYPE_RGB || type == ColorSpace.TYPE_GRAY;
    }
}
