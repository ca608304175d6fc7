package nexa.imaging.pictures;

import java.util.List;
import java.util.Optional;
import nexa.core.format.FileSpec;
import nexa.core.geometry.Point;
import nexa.core.shoot.Preparation;
import nexa.imaging.decode.ColourProfile;
import nexa.imaging.decode.ExifOrientation;
import nexa.imaging.render.ClosedOnThrow;
import nexa.imaging.tone.ToneStages;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * What happens to a photo's pixels on their way from the decoder to the screen or into a file, in this order; screen and file
 * share every stage and differ only in which they need:
 *
 * <ol>
 *   <li>made smaller, for the screen, where nobody sees more;
 *   <li>of 8 bits, or of floats where a file is to have 16 bits and the photo has not, so that nothing rounds what is done to it;
 *   <li>for the screen in sRGB already, since a picture once read is drawn again and again;
 *   <li>for a file on white, where they are see-through;
 *   <li>upright, turned and mirrored;
 *   <li>for a file with the light and colour that the photo is to have ({@link ToneStages});
 *   <li>cropped, turned by the angle and brought to their size by a {@link nexa.imaging.render.PixelMap};
 *   <li>for the screen with that light and colour, and for both with those of the crop;
 *   <li>for a file in sRGB, if it is wanted;
 *   <li>of as many bits as the file has.
 * </ol>
 */
public final class PixelStages {
    private static final double SIXTEEN_OVER_EIGHT = 257;

    /** One thing that is done to pixels, in place. */
    private interface Stage {
        /** The same pixels with the profile that is theirs then. */
        FullPixels apply(FullPixels pixels);
    }

    private final List<Stage> stages;

    private PixelStages(Stage... stages) {
        this.stages = List.of(stages);
    }

    /** From the decoder to a picture for the screen, its long side at most so long. Small ones are not enlarged. */
    static PixelStages toScreen(ExifOrientation orientation, Preparation preparation, int longSide) {
        return new PixelStages(
                smaller(longSide), PixelStages::ofEightBits, PixelStages::inSrgb, upright(orientation, preparation));
    }

    /** From the decoder to all pixels of a photo as it is seen, in its own colours. */
    static PixelStages toMap(ExifOrientation orientation, Preparation preparation, WantedDepth depth) {
        return new PixelStages(
                switch (depth) {
                    case EIGHT -> PixelStages::ofEightBits;
                    case STORED -> pixels -> pixels;
                    case SIXTEEN -> PixelStages::ofFloats;
                },
                PixelStages::onWhite,
                upright(orientation, preparation),
                tonesOfPhoto(preparation));
    }

    /** Upright, whatever they are going to be. */
    static PixelStages upright(ExifOrientation orientation) {
        return new PixelStages(upright(orientation, Preparation.NONE));
    }

    /** From the small picture in a photo to the screen. */
    static PixelStages ofEmbedded(ExifOrientation orientation, Preparation preparation) {
        return new PixelStages(upright(orientation, preparation));
    }

    /**
     * From the map into a file.
     *
     * @param preparation of the photo, of a crop of which the pixels are
     * @param isDeep whether the file has 16 bits where the pixels have
     */
    public static PixelStages toFile(FileSpec spec, Preparation preparation, boolean isDeep) {
        return new PixelStages(
                tonesOfCrop(preparation),
                PixelStages::ofWholeNumbers,
                spec.colour() == FileSpec.Colour.SRGB ? PixelStages::inThreeColoursOfSrgb : pixels -> pixels,
                isDeep ? pixels -> pixels : PixelStages::ofEightBits);
    }

    /** Whether anything is done to the light and colour of a photo or its crops. */
    public static boolean areTonesChanged(Preparation preparation) {
        return ToneStages.areAny(preparation);
    }

    /** Applies them, in place. The pixels are closed by whoever owns those given, or where a stage throws. */
    public FullPixels apply(FullPixels pixels) {
        return ClosedOnThrow.with(pixels.pixels(), given -> {
            FullPixels done = pixels;
            for (Stage stage : stages) {
                done = stage.apply(done);
            }
            return done;
        });
    }

    /** Numbers of 16 bits that need not be whole, unless they have 16 bits already. */
    private static FullPixels ofFloats(FullPixels pixels) {
        Mat mat = pixels.pixels();
        if (mat.depth() == opencv_core.CV_8U) {
            mat.convertTo(mat, opencv_core.CV_32F, SIXTEEN_OVER_EIGHT, 0);
        }
        return pixels;
    }

    private static FullPixels ofWholeNumbers(FullPixels pixels) {
        Mat mat = pixels.pixels();
        if (mat.depth() == opencv_core.CV_32F) {
            mat.convertTo(mat, opencv_core.CV_16U);
        }
        return pixels;
    }

    private static FullPixels ofEightBits(FullPixels pixels) {
        Mat mat = pixels.pixels();
        if (mat.depth() == opencv_core.CV_16U) {
            mat.convertTo(mat, opencv_core.CV_8U, 1 / SIXTEEN_OVER_EIGHT, 0);
        }
        return pixels;
    }

    private static Stage smaller(int longSide) {
        return pixels -> {
            Mat mat = pixels.pixels();
            double factor = (double) longSide / Math.max(mat.cols(), mat.rows());
            if (factor < 1) {
                int width = (int) Math.max(1, Math.round(mat.cols() * factor));
                int height = (int) Math.max(1, Math.round(mat.rows() * factor));
                try (Size size = new Size(width, height)) {
                    opencv_imgproc.resize(mat, mat, size, 0, 0, opencv_imgproc.INTER_AREA);
                }
            }
            return pixels;
        };
    }

    private static Stage tonesOfPhoto(Preparation preparation) {
        return pixels -> {
            Mat mat = pixels.pixels();
            ToneStages.of(preparation)
                    .ofPhoto(mat, pixels.curve(), new nexa.core.geometry.Size(mat.cols(), mat.rows()), place -> place);
            return pixels;
        };
    }

    private static Stage tonesOfCrop(Preparation preparation) {
        return pixels -> {
            Mat mat = pixels.pixels();
            ToneStages.of(preparation)
                    .ofCrop(mat, pixels.curve(), place -> new Point(place.x() / mat.cols(), place.y() / mat.rows()));
            return pixels;
        };
    }

    /** What is see-through becomes white, as it would on paper: colour × alpha + white × (1 − alpha). */
    private static FullPixels onWhite(FullPixels given) {
        Mat pixels = given.pixels();
        if (pixels.channels() != 4) {
            return given;
        }
        double most = most(pixels);
        try (Mat alpha = new Mat();
                Mat white = new Mat();
                Mat alphas = new Mat();
                Mat whites = new Mat()) {
            opencv_core.extractChannel(pixels, alpha, 3);
            alpha.convertTo(white, alpha.type(), -1, most);
            opencv_imgproc.cvtColor(alpha, alphas, opencv_imgproc.COLOR_GRAY2BGR);
            opencv_imgproc.cvtColor(white, whites, opencv_imgproc.COLOR_GRAY2BGR);
            opencv_imgproc.cvtColor(pixels, pixels, opencv_imgproc.COLOR_BGRA2BGR);
            opencv_core.multiply(pixels, alphas, pixels, 1 / most, -1);
            opencv_core.add(pixels, whites, pixels);
        }
        return given;
    }

    private static double most(Mat pixels) {
        return pixels.depth() == opencv_core.CV_8U ? 255 : 65_535;
    }

    /** Whether anything is seen through pixels as they are decoded. */
    static boolean isSeeThrough(Mat pixels) {
        if (pixels.channels() != 4) {
            return false;
        }
        try (Mat alpha = new Mat();
                DoublePointer least = new DoublePointer(1)) {
            opencv_core.extractChannel(pixels, alpha, 3);
            opencv_core.minMaxLoc(alpha, least, null, null, null, null);
            return least.get() < most(pixels);
        }
    }

    /** In sRGB; pixels of no profile are taken to be so. */
    private static FullPixels inSrgb(FullPixels pixels) {
        pixels.profile().ifPresent(profile -> profile.toSrgb(pixels.pixels()));
        return pixels;
    }

    /** Grey has no place in a file whose profile has three colours. */
    private static FullPixels inThreeColoursOfSrgb(FullPixels pixels) {
        Mat mat = inSrgb(pixels).pixels();
        if (mat.channels() == 1) {
            opencv_imgproc.cvtColor(mat, mat, opencv_imgproc.COLOR_GRAY2BGR);
        }
        return new FullPixels(mat, Optional.of(ColourProfile.srgb()));
    }

    private static Stage upright(ExifOrientation orientation, Preparation preparation) {
        return pixels -> {
            Mat mat = pixels.pixels();
            if (orientation.isMirrored()) {
                opencv_core.flip(mat, mat, 1);
            }
            // Both turns are clockwise and nothing comes between them.
            int quarters = (orientation.quarterTurns() + preparation.turn().degrees() / 90) % 4;
            if (quarters != 0) {
                opencv_core.rotate(mat, mat, quarters - 1);
            }
            if (preparation.isMirrored()) {
                opencv_core.flip(mat, mat, 1);
            }
            return pixels;
        };
    }
}
