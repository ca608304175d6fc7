package nexa.desktop.tool.guide;

import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.stage.MatKind;

/** How the easel looks and holds: what holds still, the mat, its strength, the surround. */
final class AroundSection {
    private static final int WEAKEST = 20;

    private final VBox node = new VBox(5);
    private final Slider strength;

    AroundSection(EaselSettings settings) {
        ToggleButton crop = Parts.toggle("holds.crop", "choice", "tiny");
        ToggleButton photo = Parts.toggle("holds.photo", "choice", "tiny");
        crop.setId("holds-crop");
        photo.setId("holds-photo");
        crop.setOnAction(event -> hold(settings, crop, photo, false));
        photo.setOnAction(event -> hold(settings, crop, photo, true));
        settings.holdsPhoto().addListener((observed, before, now) -> mark(crop, photo, now));
        mark(crop, photo, settings.holdsPhoto().get());
        strength = new Slider(WEAKEST, 100, settings.strength().get());
        strength.setAccessibleText(Words.get("mat.strength"));
        strength.setTooltip(Parts.tooltip(Words.get("mat.strength")));
        strength.getStyleClass().add("strength");
        strength.valueProperty()
                .addListener((observed, before, now) -> settings.strength().set(now.intValue()));
        node.getChildren()
                .addAll(
                        row("around.holds", crop, photo, Parts.label("Q", "key-cap")),
                        row(
                                "around.mat",
                                choices("mat", MatKind.values(), settings.mat()),
                                Parts.label("M", "key-cap")),
                        row("around.strength", strength),
                        row("around.surround", choices("surround", SurroundKind.values(), settings.surround())));
    }

    private static void hold(EaselSettings settings, ToggleButton crop, ToggleButton photo, boolean holdsPhoto) {
        settings.holdsPhoto().set(holdsPhoto);
        mark(crop, photo, holdsPhoto);
    }

    private static void mark(ToggleButton crop, ToggleButton photo, boolean holdsPhoto) {
        crop.setSelected(!holdsPhoto);
        photo.setSelected(holdsPhoto);
    }

    private static HBox row(String key, Node... parts) {
        Label label = Parts.label(Words.get(key), "small", "quiet", "around-label");
        HBox row = Parts.row(3, label);
        row.getChildren().addAll(parts);
        return row;
    }

    private static <E extends Enum<E>> MenuButton choices(String prefix, E[] kinds, ObjectProperty<E> chosen) {
        MenuButton button = new MenuButton(Words.of(prefix, chosen.get()));
        button.setId(prefix);
        button.setAccessibleText(Words.get("around." + prefix));
        button.setTooltip(Parts.tooltip(Words.get("around." + prefix + ".tip")));
        for (E kind : kinds) {
            MenuItem item = new MenuItem(Words.of(prefix, kind));
            item.setOnAction(event -> chosen.set(kind));
            button.getItems().add(item);
        }
        chosen.addListener((observed, before, now) -> button.setText(Words.of(prefix, now)));
        return button;
    }

    Node node() {
        return node;
    }
}
