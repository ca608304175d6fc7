package nexa.desktop.parts;

import java.util.Optional;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.OutputSize;
import nexa.core.format.Paper;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Size;
import nexa.core.series.Passing;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;

/** What is said of a format and of what comes out of it. */
public final class FormatWords {

    /** Numbers of a ratio that say something at a glance. */
    private static final int MOST_PARTS = 16;

    private static final double SAME_RATIO = 0.002;

    private FormatWords() {}

    /** How much of a crop is not photo, and how well that will pass, where that can be told. */
    public static String beyond(PhotoCrop crop, Optional<Passing> passing) {
        double share = 100 * crop.beyond();
        return Words.get("beyond.share", Words.number(share, share < 10 ? 1 : 0))
                + passing.map(one -> Words.of("beyond.passing", one)).orElse("");
    }

    /** The ratio: "4 : 3", "photo's own", "free". */
    public static String ratio(Format format) {
        return ratio(format.ratio());
    }

    /** A ratio: "4 : 3", "photo's own", "free". */
    public static String ratio(Ratio ratio) {
        return ratio.isFixed()
                ? ratio.across().toPlainString() + " : " + ratio.down().toPlainString()
                : Words.of("ratio", ratio.kind());
    }

    /** Which way it lies, as words to follow the ratio. */
    public static String turn(Format format) {
        boolean isSquare = format.ratio().isFixed() && format.ratio().value() == 1;
        boolean isSaid = !format.ratio().isFixed() && format.turn() == FormatTurn.PHOTO;
        return isSquare || isSaid ? "" : Words.of("turn", format.turn());
    }

    /** The size asked for: "16 × 12 cm", "1080 × 1350 px", "as cropped". */
    public static String size(Format format) {
        OutputSize size = format.size();
        if (size instanceof OutputSize.Pixels pixels) {
            return Words.get("size.px", Words.plain(pixels.width()), Words.plain(pixels.height()));
        }
        if (size instanceof OutputSize.LongEdge edge) {
            return Words.get("size.edge", Words.plain(edge.pixels()));
        }
        if (size instanceof OutputSize.Print print) {
            return Words.get(
                    "size.paper",
                    Words.plain(print.width()),
                    Words.plain(print.height()),
                    Words.of("unit", print.unit()));
        }
        return Words.get("size.cropped");
    }

    /** What shape its crops have, beside its name: "4 : 3", "as each photo is", "any shape". */
    public static String shape(Format format) {
        return format.ratio().isFixed()
                ? ratio(format)
                : Words.of("shape", format.ratio().kind());
    }

    /** The shape, and the size where one is asked for. */
    public static String asked(Format format) {
        return asked(format, Optional.empty());
    }

    /** As {@link #asked(Format)}; of one photo, its own ratio is told in numbers. */
    public static String asked(Format format, Optional<Photo> photo) {
        boolean hasSize = !(format.size() instanceof OutputSize.AsCropped);
        boolean isPhotos = format.ratio().kind() == Ratio.Kind.PHOTO;
        String shape = photo.filter(one -> isPhotos && one.pixels().isPresent())
                .map(one -> numbers(one.size()))
                .orElse(shape(format));
        return hasSize ? shape + "  " + size(format) : shape;
    }

    /** A photo's ratio in numbers: small whole ones where they say it, "1.54 : 1" else. */
    private static String numbers(Size photo) {
        for (int down = 1; down <= MOST_PARTS; down++) {
            double across = photo.ratio() * down;
            if (Math.abs(across / Math.rint(across) - 1) < SAME_RATIO && Math.rint(across) <= MOST_PARTS) {
                return Words.get("shape.numbers", Words.plain(Math.rint(across)), Words.plain(down));
            }
        }
        return photo.ratio() >= 1
                ? Words.get("shape.numbers", Words.number(photo.ratio(), 2), "1")
                : Words.get("shape.numbers", "1", Words.number(1 / photo.ratio(), 2));
    }

    /** What comes out of a crop: "16 × 12 cm at 300 ppi, 1890 × 1417 px". */
    public static String output(PhotoCrop crop) {
        PixelSize pixels = crop.output();
        String px = pixels(crop);
        if (crop.format().size() instanceof OutputSize.Print print) {
            boolean isSwapped = (print.width() >= print.height()) != (pixels.width() >= pixels.height());
            return Words.get(
                    "output.paper",
                    Words.plain(isSwapped ? print.height() : print.width()),
                    Words.plain(isSwapped ? print.width() : print.height()),
                    Words.of("unit", print.unit()),
                    Words.plain(print.ppi()),
                    px);
        }
        return px;
    }

    /** The result's pixels: "1890 × 1417 px". */
    public static String pixels(PhotoCrop crop) {
        return Words.get(
                "size.px",
                Words.plain(crop.output().width()),
                Words.plain(crop.output().height()));
    }

    /** Whether the crop has the pixels for it: "514 ppi", "2.1× the pixels needed", "too few pixels". */
    public static String detail(PhotoCrop crop) {
        return detail(crop, "output");
    }

    /** As {@link #detail}, in few words. */
    public static String shortDetail(PhotoCrop crop) {
        return detail(crop, "short");
    }

    private static String detail(PhotoCrop crop, String manner) {
        double factor = crop.effective().width() / crop.asked().width();
        if (crop.hasTooFewPixels()) {
            boolean isEnlarged = crop.format().file().enlarges();
            return isEnlarged
                    ? Words.get(manner + ".few", Words.number(1 / factor, 1))
                    : Words.get(manner + ".fewKept");
        }
        if (crop.ppi().isPresent()) {
            return Words.get(manner + ".ppi", Words.number(crop.effectivePpi().getAsDouble(), 0));
        }
        return factor < 1.05 ? Words.get(manner + ".same") : Words.get(manner + ".more", Words.number(factor, 1));
    }

    /** What comes out of a crop, on one line: "16 × 12 cm, 1890 × 1417 px". */
    public static String shortOutput(PhotoCrop crop) {
        return crop.format().size() instanceof OutputSize.Print
                ? Words.get("output.short", size(crop.format()), pixels(crop))
                : pixels(crop);
    }

    /** A paper by name and measure: "A4, 210 × 297 mm", "8 × 10 in". */
    public static String paper(Paper paper) {
        String measure = Words.get(
                "size.paper",
                Words.plain(paper.shortSide()),
                Words.plain(paper.longSide()),
                Words.of("unit", paper.unit()));
        return paper.name().isEmpty() ? measure : Words.get("paper.named", paper.name(), measure);
    }
}
