package nexa.desktop.find;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import nexa.core.find.Answer;
import nexa.core.find.Found;
import nexa.core.find.TakeFound;
import nexa.core.message.EnumName;
import nexa.core.propose.Proposal;
import nexa.core.propose.TakeProposals;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Shoot;
import nexa.desktop.parts.Words;

/**
 * All that is ticked, whatever was looked for, and what taking it does.
 *
 * @param all by photo, and by format for what is of one, for each thing of which something is ticked
 */
record Ticked(Map<FindWhat, Map<FoundPhoto.Key, Answer>> all) {

    /**
     * What is ticked in lists.
     *
     * @param meant what of each thing counts
     */
    static Ticked of(
            Map<FindWhat, FoundList> lists, Function<FindWhat, ? extends Collection<FoundPhoto.Key>> meant, Shoot now) {
        Map<FindWhat, Map<FoundPhoto.Key, Answer>> all = new EnumMap<>(FindWhat.class);
        lists.forEach((what, list) -> {
            Map<FoundPhoto.Key, Answer> ticked = list.toTake(meant.apply(what), now);
            if (!ticked.isEmpty()) {
                all.put(what, ticked);
            }
        });
        return new Ticked(all);
    }

    boolean isNothing() {
        return all.isEmpty();
    }

    /** How much of each, or that there is nothing of what is looked for. */
    String counts(FindWhat lookedFor) {
        List<String> counts = new ArrayList<>();
        all.forEach((what, ticked) -> counts.add(count(what, ticked.size())));
        return counts.isEmpty() ? count(lookedFor, 0) : String.join(", ", counts);
    }

    private static String count(FindWhat what, int count) {
        return Words.get("find.count." + EnumName.of(what), count);
    }

    /** The step's name: that of its kind, where it is of one. */
    Edit.Kind kind() {
        if (all.size() > 1) {
            return Edit.Kind.TAKE_FOUND;
        }
        return switch (all.keySet().iterator().next()) {
            case LEVELS -> Edit.Kind.LEVEL;
            case BORDERS -> Edit.Kind.TRIM;
            case UPRIGHTS -> Edit.Kind.PERSPECTIVE;
            case SUBJECTS -> Edit.Kind.SUBJECT;
            case CROPS -> Edit.Kind.PROPOSAL;
        };
    }

    /** The shoot with all of it taken. */
    Shoot taken(Shoot shoot) {
        Map<String, List<Found>> things = new LinkedHashMap<>();
        Map<String, Map<String, Proposal>> crops = new LinkedHashMap<>();
        all.forEach((what, ticked) -> ticked.forEach((key, some) -> {
            if (some instanceof Proposal proposal) {
                crops.computeIfAbsent(key.format(), any -> new LinkedHashMap<>())
                        .put(key.file(), proposal);
            } else {
                things.computeIfAbsent(key.file(), any -> new ArrayList<>()).add((Found) some);
            }
        }));
        Shoot taken = TakeFound.of(shoot, things);
        for (Map.Entry<String, Map<String, Proposal>> format : crops.entrySet()) {
            boolean isThere = taken.formats().stream().anyMatch(one -> one.id().equals(format.getKey()));
            taken = isThere ? TakeProposals.of(taken, format.getKey(), format.getValue()) : taken;
        }
        return taken;
    }
}
