package nexa.desktop.parts;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import nexa.core.message.EnumName;

/** Buttons, one for each value of an enum, of which always one is chosen. */
public final class Choices<E extends Enum<E>> {
    private final Map<E, ToggleButton> buttons;
    private E chosen;

    /**
     * The buttons.
     *
     * @param prefix of the keys of their words, before a dot and the value's name
     * @param first what is chosen first
     * @param changed hears that another one has been chosen
     */
    public Choices(String prefix, E first, Consumer<E> changed) {
        this.chosen = first;
        this.buttons = new EnumMap<>(first.getDeclaringClass());
        ToggleGroup group = new ToggleGroup();
        for (E each : first.getDeclaringClass().getEnumConstants()) {
            String key = prefix + "." + EnumName.of(each);
            ToggleButton button = Parts.toggle(key, "choice");
            button.setId(key.replace('.', '-'));
            button.setToggleGroup(group);
            button.setSelected(each == first);
            button.setOnAction(event -> {
                // Pressed again, it would be let go of, and none chosen.
                button.setSelected(true);
                chosen = each;
                changed.accept(each);
            });
            buttons.put(each, button);
        }
    }

    /** In the order of the values. */
    public List<ToggleButton> buttons() {
        return List.copyOf(buttons.values());
    }

    public E chosen() {
        return chosen;
    }

    /** The button of a value. */
    public ToggleButton button(E value) {
        return buttons.get(value);
    }
}
