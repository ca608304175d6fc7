package nexa.desktop.parts;

import java.util.Optional;
import nexa.core.find.Certainty;
import nexa.core.find.FoundLevel;
import nexa.core.geometry.Angle;

/** Says what was found of a photo's level. */
public final class FoundWords {
    private FoundWords() {}

    /** What it goes by. */
    public static String by(FoundLevel level) {
        return Words.of("find.by", level.reason());
    }

    /** Why nothing was found. */
    public static String whyNot(FoundLevel level) {
        return Words.of("find.why", level.reason());
    }

    /** That a photo has been levelled, or was level already. */
    public static String taken(FoundLevel level, boolean wasLevel) {
        String off = Words.number(level.uncertainty(), 2);
        if (wasLevel) {
            return Words.get("find.already", by(level), off);
        }
        String way = level.lean() > 0 ? "find.left" : "find.right";
        return Words.get(way, degrees(level), by(level), off);
    }

    /** That a level is likely, and how it is taken. */
    public static String offer(FoundLevel level) {
        return Words.get("find.offer", degrees(level), level.lines().size());
    }

    /**
     * What was found of a photo, in few words: how it would be turned.
     *
     * @param level empty if the photo could not be read
     * @param angle by which it is turned now
     * @param isLevelled whether that was said by hand
     */
    public static String found(Optional<FoundLevel> level, Angle angle, boolean isLevelled) {
        Optional<FoundLevel> some = level.filter(found -> found.certainty() != Certainty.NOT_SURE);
        if (some.isEmpty()) {
            return "";
        }
        String way = some.get().lean() > 0 ? "find.turn.left" : "find.turn.right";
        boolean isLevel = Math.abs(some.get().lean()) < some.get().uncertainty();
        String turn = Words.get(isLevel ? "find.turn.none" : way, degrees(some.get()));
        return isLevelled ? Words.get("find.turn.hand", turn, Words.number(angle.degrees(), 2)) : turn;
    }

    private static String degrees(FoundLevel level) {
        double lean = Math.abs(level.lean());
        return Words.number(lean, lean < 0.95 ? 2 : 1);
    }
}
