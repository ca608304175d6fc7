package nexa.imaging.fill;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.series.FillPlan;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.EdgeTexture;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import nexa.imaging.decode.ColourProfile;
import nexa.imaging.render.Canvas;
import nexa.imaging.render.ClosedOnThrow;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;

/**
 * What lies beyond a photo's edge, solved by a small picture of it. From the picture: where the band inside a side is calm, its
 * edge goes on; elsewhere patches of the picture are put together.
 */
public final class EdgeFill {
    /** The long side, or a little more, of the small picture that everything is solved by. */
    public static final int SMALL = 400;

    /** Inside a side that is less busy the edge just goes on: patches put something there that was not. */
    private static final double CALM = 3;

    /** Parts of a picture are told as fractions of it. */
    static final Size WHOLE = new Size(1, 1);

    private static final int ROUNDS = 4;
    private static final int LAST_ROUNDS = 2;
    /** Margins of so few pixels are solved at once. */
    private static final int COARSEST = 5;

    private final FillPlan plan;
    private final WorkMargins margins;
    private final Optional<NearestNeighbourField> field;

    /** By which it is known that two crops' fills are the same. */
    public record Key(
            String file,
            Preparation pixels,
            WorkMargins margins,
            Beyond.Fill fill,
            Beyond beyond,
            Optional<Subject> spared) {
        /** The same but for the margins. */
        public Key withMarginsOf(Key other) {
            return new Key(file, pixels, other.margins, fill, beyond, spared);
        }

        public static Key of(FillPlan plan) {
            return new Key(
                    plan.photo().file(),
                    plan.photo().preparation().beforeShape(),
                    WorkMargins.of(plan.margins(), plan.photo().remaining().size()),
                    plan.fill(),
                    plan.beyond(),
                    plan.spared());
        }
    }

    private EdgeFill(FillPlan plan, WorkMargins margins, Optional<NearestNeighbourField> field) {
        this.plan = plan;
        this.margins = margins;
        this.field = field;
    }

    /**
     * Solves a fill.
     *
     * @param small the photo as it is seen, its long side {@link #SMALL}; BGRA of 8 bits, multiplied by alpha
     */
    public static EdgeFill of(FillPlan plan, Mat small) {
        WorkMargins margins =
                WorkMargins.of(plan.margins(), plan.photo().remaining().size());
        if (plan.fill() != Beyond.Fill.PICTURE) {
            return new EdgeFill(plan, margins, Optional.empty());
        }
        Bounds part = plan.photo().preparation().trim().remaining(WHOLE);
        WorkPicture work = WorkPicture.of(small, part, WorkMargins.LONG_SIDE);
        WorkPicture seen = WorkPicture.of(small, part, BandTexture.LONG_SIDE);
        return new EdgeFill(plan, margins, Optional.of(solved(work, margins, seen, spared(plan, work))));
    }

    private static Optional<PatchSearch.Spared> spared(FillPlan plan, WorkPicture work) {
        Photo photo = plan.photo();
        Bounds part = photo.remaining();
        double factor = work.width() / part.size().width();
        return plan.spared().map(spared -> {
            if (spared.extent().isPresent()) {
                Bounds box = FillPlan.around(spared, photo);
                Point least = box.least().minus(part.least()).times(factor);
                Point most = box.most().minus(part.least()).times(factor);
                return new PatchSearch.Box(least.x(), least.y(), most.x(), most.y());
            }
            Point at = photo.space().inPhoto(spared.at()).minus(part.least()).times(factor);
            return new PatchSearch.Circle(at.x(), at.y(), FillPlan.radius(spared, photo.size()) * factor);
        });
    }

    private static NearestNeighbourField solved(
            WorkPicture work, WorkMargins margins, WorkPicture seen, Optional<PatchSearch.Spared> spared) {
        Set<Trim.Side> calm = EnumSet.noneOf(Trim.Side.class);
        boolean isTiny = Math.min(work.width(), work.height()) < 2 * PatchSearch.SIDE;
        for (Trim.Side side : Trim.Side.values()) {
            int steps = EdgeTexture.steps(margins.of(side), WorkMargins.LONG_SIDE);
            if (steps == 0 || isTiny || BandTexture.of(seen, side, steps) < CALM) {
                calm.add(side);
            }
        }
        boolean isAllCalm = calm.size() == Trim.Side.values().length;
        NearestNeighbourField field = isAllCalm
                ? new NearestNeighbourField(work, margins, PatchSearch.REACH)
                : patched(work, margins, spared);
        CalmBand.fill(field, calm);
        return field;
    }

    /** Filled with patches, from coarse to fine, without a step at the edge. */
    private static NearestNeighbourField patched(
            WorkPicture work, WorkMargins margins, Optional<PatchSearch.Spared> spared) {
        int levels = 1;
        while (margins.widest() >> (levels - 1) > COARSEST
                && Math.min(work.width(), work.height()) >> levels >= 3 * PatchSearch.SIDE) {
            levels++;
        }
        WorkPicture[] pictures = new WorkPicture[levels];
        pictures[0] = work;
        for (int i = 1; i < levels; i++) {
            pictures[i] = pictures[i - 1].half();
        }
        Optional<NearestNeighbourField> solved = Optional.empty();
        for (int i = levels - 1; i >= 0; i--) {
            NearestNeighbourField field = new NearestNeighbourField(pictures[i], margins.halved(i), PatchSearch.REACH);
            double factor = 1.0 / (1 << i);
            new PatchSearch(field, spared.map(one -> one.times(factor)), i)
                    .solve(solved, i == 0 ? LAST_ROUNDS : ROUNDS, i == 0);
            solved = Optional.of(field);
        }
        Seam.even(solved.orElseThrow());
        return solved.get();
    }

    /**
     * The photo's own pixels with room around them. A stretched photo has none: its own pixels are drawn out.
     *
     * @param pixels all of the photo's as it is seen, at any size: grey, BGR or BGRA, of 8 or 16 bits or of floats
     * @param profile of their colours; empty for sRGB
     */
    public Canvas canvas(Mat pixels, Optional<ColourProfile> profile) {
        Rect part = Canvas.inside(plan.photo().preparation().trim(), pixels);
        if (plan.stretch().isPresent()) {
            return new Canvas(new Mat(pixels, part), part.x(), part.y());
        }
        Bounds remaining = plan.photo().remaining();
        double factor = Math.max(1, remaining.size().longSide() / WorkMargins.LONG_SIDE)
                * pixels.cols()
                / plan.photo().size().width();
        int left = wide(margins.left(), factor);
        int top = wide(margins.top(), factor);
        Mat filled = ClosedOnThrow.filled(new Mat(), canvas -> {
            try (Mat inside = new Mat(pixels, part);
                    Scalar colour = colour(inside, profile)) {
                opencv_core.copyMakeBorder(
                        inside,
                        canvas,
                        top,
                        wide(margins.bottom(), factor),
                        left,
                        wide(margins.right(), factor),
                        // Or what was trimmed away would come back: around a part OpenCV takes what lies around it.
                        opencv_core.BORDER_CONSTANT | opencv_core.BORDER_ISOLATED,
                        colour);
            }
            field.ifPresent(
                    solved -> FieldPainter.paint(solved, canvas, new Rect(left, top, part.width(), part.height())));
        });
        return new Canvas(filled, part.x() - left, part.y() - top);
    }

    private static int wide(int margin, double factor) {
        return (int) Math.ceil(margin * factor);
    }

    private Scalar colour(Mat inside, Optional<ColourProfile> profile) {
        return plan.fill() == Beyond.Fill.COLOUR
                ? PlainColour.of(plan.beyond().colour(), inside, profile)
                : new Scalar(0, 0, 0, 0);
    }
}
