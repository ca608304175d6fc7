package nexa.core.find;

import java.util.List;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Require;
import nexa.core.level.LevelLine;
import nexa.core.level.Trace;
import nexa.core.shoot.Photo;

/**
 * What was found of how far a photo is off level.
 *
 * @param lean in degrees, clockwise positive; levelling turns the photo by as much the other way; 0 where not sure
 * @param uncertainty by how many degrees the lean may be off; 0 where not sure
 * @param lines what it goes by, in the photo's pixels, what says most first; none where not sure
 */
public record FoundLevel(Certainty certainty, Reason reason, double lean, double uncertainty, List<LevelLine> lines)
        implements Found {
    /** More of them tell nobody more. */
    public static final int MOST_LINES = 5;

    /** What a sure or likely level goes by, or why there is none. */
    public enum Reason {
        /** Edges that are upright in the scene. */
        UPRIGHTS,
        /** Edges that are level in the scene, seen straight on. */
        LEVEL_LINES,
        /** A horizon. */
        HORIZON,
        /** Several of these, which agree. */
        SEVERAL,
        /** There is nothing in the picture. */
        PLAIN,
        /** There are edges, but nothing long and straight that is level or upright. */
        NOTHING_STRAIGHT,
        /** There are only lines that run together in the distance, as seen at an angle; they lean by themselves. */
        RUN_TOGETHER,
        /** What may be level or upright says different things. */
        LINES_DISAGREE;

        /** Whether it says why there is nothing sure, rather than what a level goes by. */
        public boolean isDoubt() {
            return compareTo(PLAIN) >= 0;
        }
    }

    /** @throws IllegalArgumentException for a lean beyond what a photo can be turned, an uncertainty below 0, and NaN */
    public FoundLevel {
        Require.within("angleInDegrees", lean, -Angle.MOST, Angle.MOST);
        if (!(uncertainty >= 0 && Double.isFinite(uncertainty))) {
            throw new IllegalArgumentException("a lean of " + lean + "° ± " + uncertainty + "° is none");
        }
        lines = List.copyOf(lines);
    }

    /** That nothing was found, and why. */
    public static FoundLevel notSure(Reason why) {
        return new FoundLevel(Certainty.NOT_SURE, why, 0, 0, List.of());
    }

    /** The angle that levels the photo. */
    public Angle angle() {
        return Angle.nearest(0 - lean);
    }

    /** The angle that levels a photo that may have been reshaped meanwhile. */
    public Angle angle(Photo photo) {
        boolean isAsShot =
                photo.preparation().shape().equals(photo.preparation().shape().angleAlone());
        return isAsShot || lines.isEmpty()
                ? angle()
                : new Trace(lines)
                        .inPlane(photo.unstretchedPlane()::toPlane)
                        .angle()
                        .orElseGet(this::angle);
    }

    /** The same of a photo in which what was looked at lies elsewhere. */
    public FoundLevel moved(Point way) {
        return new FoundLevel(
                certainty,
                reason,
                lean,
                uncertainty,
                lines.stream().map(line -> line.moved(way)).toList());
    }

    /** The same of a photo that is so many times as large. */
    public FoundLevel times(double factor) {
        return new FoundLevel(
                certainty,
                reason,
                lean,
                uncertainty,
                lines.stream().map(line -> line.times(factor)).toList());
    }
}
