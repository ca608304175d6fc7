package nexa.desktop.tool.guide;

import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import nexa.core.guide.Guide;
import nexa.core.guide.GuideKind;
import nexa.core.guide.Way;
import nexa.desktop.stage.MatKind;
import nexa.store.user.Preferences;

/** How the photographer likes the easel: guides, mat, surround, what holds still. Kept from one run to the next. */
public final class EaselSettings {
    private static final Set<GuideKind> STEPPED_AT_FIRST =
            EnumSet.of(GuideKind.THIRDS, GuideKind.GOLDEN, GuideKind.DIAGONALS, GuideKind.SPIRAL, GuideKind.GRID);
    private static final int USUAL_LINES = 8;

    private final ObjectProperty<Optional<GuideKind>> guide = new SimpleObjectProperty<>(Optional.of(GuideKind.THIRDS));
    private final ObjectProperty<Optional<GuideKind>> second = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<GuideShow> show = new SimpleObjectProperty<>(GuideShow.STEADY);
    private final ObjectProperty<Integer> gridLines = new SimpleObjectProperty<>(USUAL_LINES);
    private final ObjectProperty<MatKind> mat = new SimpleObjectProperty<>(MatKind.PAPER);
    private final ObjectProperty<Integer> strength = new SimpleObjectProperty<>(100);
    private final ObjectProperty<SurroundKind> surround = new SimpleObjectProperty<>(SurroundKind.MID);
    private final ObjectProperty<Boolean> holdsPhoto = new SimpleObjectProperty<>(false);
    private final ObjectProperty<Set<Integer>> papers = new SimpleObjectProperty<>(Set.of());
    private final ObjectProperty<Set<String>> notOutlined = new SimpleObjectProperty<>(Set.of());
    private final ObjectProperty<Set<GuideKind>> stepped = new SimpleObjectProperty<>(STEPPED_AT_FIRST);
    private final ObjectProperty<Map<GuideKind, Way>> ways = new SimpleObjectProperty<>(Map.of());
    private final Preferences preferences;

    public EaselSettings(Preferences preferences) {
        this.preferences = preferences;
        keep("guide", guide, EaselSettings::text, EaselSettings::guide);
        keep("guide.second", second, EaselSettings::text, EaselSettings::guide);
        keep("guide.show", show, Enum::name, GuideShow::valueOf);
        keep("guide.stepped", stepped, EaselSettings::text, EaselSettings::guides);
        keep("guide.ways", ways, EaselSettings::text, EaselSettings::ways);
        keep("guide.lines", gridLines, String::valueOf, Integer::valueOf);
        keep("guide.notOutlined", notOutlined, EaselSettings::coded, EaselSettings::ids);
        keep("guide.papers", papers, EaselSettings::text, EaselSettings::numbers);
        keep("mat", mat, Enum::name, MatKind::valueOf);
        keep("mat.strength", strength, String::valueOf, Integer::valueOf);
        keep("surround", surround, Enum::name, SurroundKind::valueOf);
        keep("holds.photo", holdsPhoto, String::valueOf, Boolean::valueOf);
    }

    public ObjectProperty<Optional<GuideKind>> guide() {
        return guide;
    }

    /** A second guide laid with the first. */
    ObjectProperty<Optional<GuideKind>> second() {
        return second;
    }

    ObjectProperty<GuideShow> show() {
        return show;
    }

    ObjectProperty<Integer> gridLines() {
        return gridLines;
    }

    ObjectProperty<MatKind> mat() {
        return mat;
    }

    /** Of the mat, in per cent. */
    ObjectProperty<Integer> strength() {
        return strength;
    }

    ObjectProperty<SurroundKind> surround() {
        return surround;
    }

    ObjectProperty<Boolean> holdsPhoto() {
        return holdsPhoto;
    }

    /** The papers whose outlines are shown, by their number in the list of common ones. */
    ObjectProperty<Set<Integer>> papers() {
        return papers;
    }

    /** The ids of the formats whose outlines are not shown. */
    ObjectProperty<Set<String>> notOutlined() {
        return notOutlined;
    }

    ObjectProperty<Set<GuideKind>> stepped() {
        return stepped;
    }

    private <T> void keep(
            String name, ObjectProperty<T> property, Function<T, String> write, Function<String, T> read) {
        preferences.get(name).ifPresent(text -> {
            try {
                property.set(read.apply(text));
            } catch (IllegalArgumentException e) {
                // Written by another version: what it meant is not known here, so the usual stays.
                preferences.set(name, write.apply(property.get()));
            }
        });
        property.addListener((observed, before, now) -> preferences.set(name, write.apply(now)));
    }

    private static String text(Optional<GuideKind> kind) {
        return kind.map(Enum::name).orElse("");
    }

    private static Optional<GuideKind> guide(String text) {
        return text.isEmpty() ? Optional.empty() : Optional.of(GuideKind.valueOf(text));
    }

    private static String text(Set<?> set) {
        return set.stream().map(String::valueOf).sorted().collect(Collectors.joining(","));
    }

    private static Set<GuideKind> guides(String text) {
        return parts(text).stream().map(GuideKind::valueOf).collect(Collectors.toUnmodifiableSet());
    }

    private static Set<Integer> numbers(String text) {
        return parts(text).stream().map(Integer::valueOf).collect(Collectors.toUnmodifiableSet());
    }

    /** An id can hold any letter, the comma between them too. */
    private static String coded(Set<String> ids) {
        return ids.stream()
                .map(id -> URLEncoder.encode(id, StandardCharsets.UTF_8))
                .sorted()
                .collect(Collectors.joining(","));
    }

    private static Set<String> ids(String text) {
        return parts(text).stream()
                .map(id -> URLDecoder.decode(id, StandardCharsets.UTF_8))
                .collect(Collectors.toUnmodifiableSet());
    }

    private static String text(Map<GuideKind, Way> ways) {
        return ways.entrySet().stream()
                .map(entry -> entry.getKey() + ":" + entry.getValue())
                .sorted()
                .collect(Collectors.joining(","));
    }

    private static Map<GuideKind, Way> ways(String text) {
        Map<GuideKind, Way> ways = new EnumMap<>(GuideKind.class);
        for (String part : parts(text)) {
            int colon = part.indexOf(':');
            if (colon < 0) {
                throw new IllegalArgumentException("no way in " + part);
            }
            ways.put(GuideKind.valueOf(part.substring(0, colon)), Way.valueOf(part.substring(colon + 1)));
        }
        return ways;
    }

    private static List<String> parts(String text) {
        return text.isEmpty() ? List.of() : List.of(text.split(","));
    }

    /** Shows only this guide; shown already, none. */
    void choose(GuideKind kind) {
        guide.set(
                guide.get().equals(Optional.of(kind)) && second.get().isEmpty() ? Optional.empty() : Optional.of(kind));
        second.set(Optional.empty());
    }

    /** Lays this guide with the one that is shown, or takes it away again. */
    void chooseBeside(GuideKind kind) {
        Optional<GuideKind> chosen = Optional.of(kind);
        if (guide.get().isEmpty()) {
            guide.set(chosen);
        } else if (guide.get().equals(chosen)) {
            guide.set(second.get());
            second.set(Optional.empty());
        } else {
            second.set(second.get().equals(chosen) ? Optional.empty() : chosen);
        }
    }

    boolean isShown(GuideKind kind) {
        Optional<GuideKind> asked = Optional.of(kind);
        return guide.get().equals(asked) || second.get().equals(asked);
    }

    /** Goes on to the next of the guides chosen for stepping, or back. */
    void step(int places) {
        List<GuideKind> all = new ArrayList<>(List.of(GuideKind.values()));
        all.removeIf(kind -> !stepped.get().contains(kind));
        if (all.isEmpty()) {
            return;
        }
        int here = guide.get().map(all::indexOf).orElse(-1);
        int next = here < 0 ? (places > 0 ? 0 : all.size() - 1) : Math.floorMod(here + places, all.size());
        second.set(Optional.empty());
        guide.set(Optional.of(all.get(next)));
    }

    /** Takes a guide into the stepping, or out of it. */
    void setStepped(GuideKind kind, boolean isStepped) {
        Set<GuideKind> kinds = EnumSet.noneOf(GuideKind.class);
        kinds.addAll(stepped.get());
        if (isStepped) {
            kinds.add(kind);
        } else {
            kinds.remove(kind);
        }
        stepped.set(kinds);
    }

    /** Whether a format's outline is laid inside the crop. */
    boolean isOutlined(String format) {
        return !notOutlined.get().contains(format);
    }

    void setOutlined(String format, boolean isOutlined) {
        Set<String> ids = new HashSet<>(notOutlined.get());
        if (isOutlined) {
            ids.remove(format);
        } else {
            ids.add(format);
        }
        notOutlined.set(Set.copyOf(ids));
    }

    Way way(GuideKind kind) {
        return ways.get().getOrDefault(kind, Way.UNTURNED);
    }

    /** Turns or mirrors the guides shown. */
    void turn() {
        Map<GuideKind, Way> changed = new EnumMap<>(GuideKind.class);
        changed.putAll(ways.get());
        for (GuideKind kind : shownKinds()) {
            changed.put(kind, kind.after(way(kind)));
        }
        ways.set(changed);
    }

    ObjectProperty<Map<GuideKind, Way>> waysProperty() {
        return ways;
    }

    List<GuideKind> shownKinds() {
        List<GuideKind> kinds = new ArrayList<>();
        guide.get().ifPresent(kinds::add);
        second.get().ifPresent(kinds::add);
        return kinds;
    }

    /** The guides to lay over the crop. */
    List<Guide> guides() {
        return shownKinds().stream()
                .map(kind -> kind.laid(way(kind), gridLines.get()))
                .toList();
    }
}
