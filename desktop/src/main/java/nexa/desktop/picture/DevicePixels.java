package nexa.desktop.picture;

import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.stage.Screen;
import javafx.stage.Window;

/** How many pixels of the screen lie along one of the window's own, which dense screens have more of: 1, 1.5, 2 … */
public final class DevicePixels {
    private DevicePixels() {}

    /** Where a node is shown; while it is nowhere, on the first screen. */
    public static ObservableValue<Double> at(Node node) {
        return node.sceneProperty()
                .flatMap(Scene::windowProperty)
                .flatMap(Window::renderScaleXProperty)
                .map(Number::doubleValue)
                .orElse(Screen.getPrimary().getOutputScaleX());
    }
}
