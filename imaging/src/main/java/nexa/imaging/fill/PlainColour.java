package nexa.imaging.fill;

import java.util.Arrays;
import java.util.Optional;
import nexa.core.shoot.Colour;
import nexa.imaging.decode.ColourProfile;
import org.bytedeco.javacpp.indexer.Indexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;

/** A plain colour in the numbers of some pixels. */
final class PlainColour {
    /** The edge's own is that of this share of the photo at each side. */
    private static final double EDGE = 0.01;

    private PlainColour() {}

    /**
     * A chosen colour, or the edge's own: each number's median in the outermost pixels.
     *
     * @param pixels grey, BGR or BGRA, of 8 or 16 bits, or of floats in numbers of 16 bits
     */
    static Scalar of(Optional<Colour> chosen, Mat pixels, Optional<ColourProfile> profile) {
        double most = pixels.depth() == opencv_core.CV_8U ? 255 : 65_535;
        double[] numbers = chosen.map(colour -> numbers(colour, pixels.channels(), profile, most))
                .orElseGet(() -> ofEdge(pixels));
        return new Scalar(
                numbers[0],
                numbers.length > 1 ? numbers[1] : 0,
                numbers.length > 2 ? numbers[2] : 0,
                numbers.length > 3 ? numbers[3] : most);
    }

    private static double[] numbers(Colour colour, int channels, Optional<ColourProfile> profile, double most) {
        float[] rgb = {colour.red() / 255f, colour.green() / 255f, colour.blue() / 255f};
        float[] own = profile.flatMap(one -> one.ofSrgb(rgb)).orElse(rgb);
        if (channels == 1) {
            double grey = own.length == 1 ? own[0] : .299 * own[0] + .587 * own[1] + .114 * own[2];
            return new double[] {most * grey};
        }
        float[] three = own.length == 3 ? own : rgb;
        return new double[] {most * three[2], most * three[1], most * three[0]};
    }

    private static double[] ofEdge(Mat pixels) {
        int across = (int) Math.max(1, Math.round(EDGE * pixels.cols()));
        int down = (int) Math.max(1, Math.round(EDGE * pixels.rows()));
        int inner = Math.max(0, pixels.cols() - 2 * across) * Math.max(0, pixels.rows() - 2 * down);
        int ring = pixels.cols() * pixels.rows() - inner;
        double[] medians = new double[pixels.channels()];
        try (Indexer numbers = pixels.createIndexer()) {
            for (int c = 0; c < medians.length; c++) {
                double[] values = new double[ring];
                int count = 0;
                for (int y = 0; y < pixels.rows(); y++) {
                    boolean isWhole = y < down || y >= pixels.rows() - down;
                    for (int x = 0; x < pixels.cols(); x++) {
                        if (!isWhole && x == across && x < pixels.cols() - across) {
                            x = pixels.cols() - across;
                        }
                        values[count++] = numbers.getDouble(y, x, c);
                    }
                }
                Arrays.sort(values, 0, count);
                medians[c] = values[count / 2];
            }
        }
        return medians;
    }
}
