package nexa.desktop.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.find.Answer;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundPerspective;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.geometry.Angle;
import nexa.core.guide.GuideKind;
import nexa.core.message.EnumName;
import nexa.core.propose.Proposal;
import nexa.core.propose.Reason;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Trim;

/** Says what was found in a photo. */
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
     * What was found of a photo, in few words.
     *
     * @param found empty if the photo could not be read
     * @param isDone whether the photo had such a thing already
     */
    public static String found(Optional<? extends Answer> found, Photo photo, boolean isDone) {
        if (found.isEmpty() || !found.get().isSomething()) {
            return "";
        }
        Answer some = found.get();
        if (some instanceof FoundLevel level) {
            return turn(level, photo.angle(), isDone);
        }
        if (some instanceof FoundTrim border) {
            return border(border.trim(), photo);
        }
        if (some instanceof FoundPerspective perspective) {
            return tilt("find.uprights", perspective);
        }
        return some instanceof Proposal proposal ? reasons(proposal) : subject(((FoundSubject) some).named());
    }

    private static String subject(FoundSubject.Named named) {
        return named.thing()
                .map(thing -> Words.of("find.thing", thing))
                .orElseGet(() -> Words.get("find.subject." + EnumName.of(named.reason()), named.count()));
    }

    /** That uprights run together, and how they are made parallel. */
    public static String offer(FoundPerspective perspective) {
        return tilt("find.uprights.offer", perspective);
    }

    private static String tilt(String key, FoundPerspective perspective) {
        double tilt = perspective.solved().orElseThrow().tilt();
        return Words.get(tilt > 0 ? key + ".up" : key + ".down", Words.number(Math.abs(tilt), 1));
    }

    private static String turn(FoundLevel level, Angle angle, boolean isLevelled) {
        String way = level.lean() > 0 ? "find.turn.left" : "find.turn.right";
        boolean isLevel = Math.abs(level.lean()) < level.uncertainty();
        String turn = Words.get(isLevel ? "find.turn.none" : way, degrees(level));
        return isLevelled ? Words.get("find.turn.hand", turn, Words.number(angle.degrees(), 2)) : turn;
    }

    /** Which sides a border has and how many pixels it takes up there. */
    public static String border(Trim trim, Photo photo) {
        List<String> sides = new ArrayList<>();
        long least = Long.MAX_VALUE;
        long most = 0;
        for (Trim.Side side : Trim.Side.values()) {
            long pixels = Math.round(trim.at(side) * side.length(photo.size()));
            if (pixels > 0) {
                sides.add(Words.of("find.side", side));
                least = Math.min(least, pixels);
                most = Math.max(most, pixels);
            }
        }
        String where = sides.size() == Trim.Side.values().length
                ? Words.get("find.side.all")
                : String.join(Words.get("find.side.and"), sides);
        return least == most
                ? Words.get("find.border", where, most)
                : Words.get("find.border.range", where, least, most);
    }

    /** What speaks for a proposal. */
    public static String reasons(Proposal proposal) {
        StringBuilder said = new StringBuilder();
        Optional<GuideKind> before = Optional.empty();
        for (Reason reason : proposal.reasons()) {
            boolean isSame = reason.guide().isPresent() && reason.guide().equals(before);
            said.append(said.length() == 0 ? "" : Words.get("propose.and"));
            said.append(Words.of(isSame ? "propose.also" : "propose.reason", reason));
            before = reason.guide();
        }
        return said.toString();
    }

    private static String degrees(FoundLevel level) {
        double lean = Math.abs(level.lean());
        return Words.number(lean, lean < 0.95 ? 2 : 1);
    }
}
