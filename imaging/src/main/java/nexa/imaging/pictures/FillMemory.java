package nexa.imaging.pictures;

import com.google.common.cache.Cache;
import com.google.common.cache.CacheBuilder;
import java.util.Optional;
import nexa.core.series.FillPlan;
import nexa.imaging.fill.EdgeFill;
import org.bytedeco.opencv.opencv_core.Mat;

/** What was made of what lies beyond photos, kept as far as memory allows: solved once, painted once at each size. */
final class FillMemory {
    private static final long MOST_SOLVED = 200;
    /** Two or three as large as the easel's. */
    private static final long MOST_BYTES = 64_000_000;

    private record Painted(EdgeFill.Key key, PictureLevel level) {}

    private final Cache<EdgeFill.Key, EdgeFill> solved =
            CacheBuilder.newBuilder().maximumSize(MOST_SOLVED).build();
    private final Cache<Painted, OutsidePicture.Filled> painted = CacheBuilder.newBuilder()
            .concurrencyLevel(1)
            .maximumWeight(MOST_BYTES)
            .weigher((Painted key, OutsidePicture.Filled filled) ->
                    (int) filled.picture().bytes())
            .build();

    /**
     * What a crop shows of what lies outside its photo.
     *
     * @param small the photo's picture by which it is solved
     * @param picture the photo's picture at the level that is wanted
     */
    OutsidePicture around(FillPlan plan, Picture small, PictureLevel level, Picture picture) {
        if (plan.stretch().isPresent()) {
            return OutsidePicture.of(plan.stretch().get());
        }
        EdgeFill.Key key = EdgeFill.Key.of(plan);
        Painted at = new Painted(key, level);
        OutsidePicture.Filled filled = painted.getIfPresent(at);
        if (filled == null) {
            filled = OutsidePicture.filled(solved(key, plan, small), plan.photo(), picture);
            painted.put(at, filled);
        }
        return new OutsidePicture(Optional.empty(), Optional.of(filled));
    }

    private EdgeFill solved(EdgeFill.Key key, FillPlan plan, Picture small) {
        EdgeFill fill = solved.getIfPresent(key);
        if (fill == null) {
            try (Mat bgra = small.mat()) {
                fill = EdgeFill.of(plan, bgra);
            }
            solved.put(key, fill);
        }
        return fill;
    }

    /** Forgets what was made of a photo, whose file is another one now. */
    void forget(String file) {
        solved.asMap().keySet().removeIf(key -> key.file().equals(file));
        painted.asMap().keySet().removeIf(key -> key.key().file().equals(file));
    }
}
