package nexa.core.format;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.geometry.Require;
import nexa.core.geometry.Size;

/** How large a format's files come out. Sides are swapped where a crop lies the other way. */
public sealed interface OutputSize {
    /** The most pixels a side may come out with. */
    int MOST_PIXELS = 60_000;

    /** The result's size in whole pixels for a crop of this size. */
    PixelSize pixels(Size crop);

    /** The printed width and height in inches for a crop of this size, if there is a paper size. */
    default Optional<Size> inches(Size crop) {
        return Optional.empty();
    }

    /** Width over height, where the size itself fixes it. */
    OptionalDouble ratio();

    /** The crop's own pixels. */
    record AsCropped() implements OutputSize {
        @Override
        public PixelSize pixels(Size crop) {
            return PixelSize.nearest(crop);
        }

        @Override
        public OptionalDouble ratio() {
            return OptionalDouble.empty();
        }
    }

    /** Exactly these pixels. */
    record Pixels(int width, int height) implements OutputSize {
        public Pixels {
            Require.within("widthInPixels", width, 1, MOST_PIXELS);
            Require.within("heightInPixels", height, 1, MOST_PIXELS);
        }

        @Override
        public PixelSize pixels(Size crop) {
            return PixelSize.nearest(new Size(width, height).lying(crop.orientation()));
        }

        @Override
        public OptionalDouble ratio() {
            return OptionalDouble.of((double) width / height);
        }
    }

    /** A long edge in pixels; the short one follows the crop. */
    record LongEdge(int pixels) implements OutputSize {
        public LongEdge {
            Require.within("longEdgeInPixels", pixels, 1, MOST_PIXELS);
        }

        @Override
        public PixelSize pixels(Size crop) {
            return PixelSize.nearest(crop.times(pixels / crop.longSide()));
        }

        @Override
        public OptionalDouble ratio() {
            return OptionalDouble.empty();
        }
    }

    /**
     * A paper size and its pixels per inch.
     *
     * @param width above 0, in the unit
     * @param height above 0, in the unit
     * @param ppi 1 … 4800
     */
    record Print(double width, double height, LengthUnit unit, double ppi) implements OutputSize {
        static final double LEAST_PPI = 1;
        static final double MOST_PPI = 4800;

        /** @throws IllegalArgumentException for values out of range, and for a longer side of none or too many pixels */
        public Print {
            Require.positive("widthOnPaper", width);
            Require.positive("heightOnPaper", height);
            Require.within("ppi", ppi, LEAST_PPI, MOST_PPI);
            Require.within("longerSideInPixels", Math.max(width, height) / unit.perInch() * ppi, 1, MOST_PIXELS);
        }

        @Override
        public PixelSize pixels(Size crop) {
            return PixelSize.nearest(paper(crop).times(ppi));
        }

        @Override
        public Optional<Size> inches(Size crop) {
            return Optional.of(paper(crop));
        }

        private Size paper(Size crop) {
            return new Size(width, height).lying(crop.orientation()).times(1 / unit.perInch());
        }

        @Override
        public OptionalDouble ratio() {
            return OptionalDouble.of(width / height);
        }
    }
}
