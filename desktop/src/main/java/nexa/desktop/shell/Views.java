package nexa.desktop.shell;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.animation.PauseTransition;
import javafx.util.Duration;
import nexa.desktop.parts.View;

/**
 * The views of a shoot, by key. Each is built when it is first wanted, or a little later one after the other: the first
 * screen must not wait for those that nobody sees.
 */
final class Views {
    private static final Duration BETWEEN = Duration.millis(300);
    private static final Duration FIRST = Duration.seconds(1.5);

    private final Map<String, Supplier<View>> makers;
    private final Map<String, View> built = new LinkedHashMap<>();
    private final Consumer<View> isBuilt;
    private final PauseTransition later = new PauseTransition(FIRST);

    /**
     * No view yet.
     *
     * @param makers in the order of the top bar
     * @param isBuilt hears of each view that has been built
     */
    Views(LinkedHashMap<String, Supplier<View>> makers, Consumer<View> isBuilt) {
        this.makers = makers;
        this.isBuilt = isBuilt;
        later.setOnFinished(event -> buildNext());
        later.play();
    }

    View get(String key) {
        View view = built.get(key);
        if (view == null) {
            view = makers.get(key).get();
            built.put(key, view);
            isBuilt.accept(view);
        }
        return view;
    }

    private void buildNext() {
        Optional<String> next =
                makers.keySet().stream().filter(key -> !built.containsKey(key)).findFirst();
        next.ifPresent(key -> {
            get(key);
            later.setDuration(BETWEEN);
            later.playFromStart();
        });
    }

    void dispose() {
        later.stop();
        built.values().forEach(View::dispose);
    }
}
