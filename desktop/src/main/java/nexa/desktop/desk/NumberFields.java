package nexa.desktop.desk;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.Supplier;
import javafx.scene.control.TextField;
import javafx.scene.layout.Region;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.TypedNumber;
import nexa.desktop.parts.Words;

/** Fields of a page in which numbers are shown and typed, with or without their unit. */
public final class NumberFields {
    private final Consumer<String> refused;
    /** The fields, and what each shows. */
    private final Map<TextField, Supplier<String>> fields = new LinkedHashMap<>();

    /** @param refused hears what was typed that is no number, or out of range */
    public NumberFields(Consumer<String> refused) {
        this.refused = refused;
    }

    /**
     * Another one.
     *
     * @param key of its name; its tip has the same with ".tip"
     * @param words what it shows when nobody types
     * @param typed hears a number; refuses it as an {@link IllegalArgumentException}
     */
    public TextField add(String id, String key, int columns, Supplier<String> words, DoubleConsumer typed) {
        TextField text = Parts.numberField(id, columns, Words.get(key), Words.get(key + ".tip"), this::refill);
        text.setMinWidth(Region.USE_PREF_SIZE);
        text.setOnAction(event -> {
            try {
                typed.accept(TypedNumber.read(text.getText()));
            } catch (IllegalArgumentException e) {
                refused.accept(text.getText());
            }
            refill();
        });
        fields.put(text, words);
        return text;
    }

    /** Shows what is so now, but for the one being typed in. */
    public void show() {
        fields.forEach((text, words) -> {
            if (!text.isFocused()) {
                text.setText(words.get());
            }
        });
    }

    private void refill() {
        fields.forEach((text, words) -> text.setText(words.get()));
    }

    public void clear() {
        fields.keySet().forEach(TextField::clear);
    }
}
