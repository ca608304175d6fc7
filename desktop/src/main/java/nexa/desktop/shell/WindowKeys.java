package nexa.desktop.shell;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/** The window's keys: those that every view has, and the rest for the view in front. */
final class WindowKeys {
    private static final KeyCombination UNDO = new KeyCodeCombination(KeyCode.Z, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination REDO =
            new KeyCodeCombination(KeyCode.Z, KeyCombination.SHORTCUT_DOWN, KeyCombination.SHIFT_DOWN);

    /** The keys that go on while they are held. */
    private static final Set<KeyCode> REPEATING = EnumSet.of(
            KeyCode.LEFT,
            KeyCode.RIGHT,
            KeyCode.UP,
            KeyCode.DOWN,
            KeyCode.PAGE_UP,
            KeyCode.PAGE_DOWN,
            KeyCode.PLUS,
            KeyCode.EQUALS,
            KeyCode.ADD,
            KeyCode.MINUS,
            KeyCode.SUBTRACT,
            KeyCode.COMMA,
            KeyCode.PERIOD,
            KeyCode.LESS,
            KeyCode.GREATER,
            KeyCode.TAB,
            KeyCode.Z);

    private final StackPane window;
    private final Supplier<Optional<OpenShoot>> open;
    private final Runnable showKeys;
    private final Set<KeyCode> held = EnumSet.noneOf(KeyCode.class);

    /**
     * Listens to the keys once the window has its scene, which it keeps.
     *
     * @param window whatever covers its first child keeps the keys to itself
     * @param showKeys shows the page of all keys
     */
    WindowKeys(Stage stage, StackPane window, Supplier<Optional<OpenShoot>> open, Runnable showKeys) {
        this.window = window;
        this.open = open;
        this.showKeys = showKeys;
        // A key let go of in another window is not heard of here.
        stage.focusedProperty().addListener((observed, before, now) -> held.clear());
        // Of the scene: until something else has the focus of a button that went away, keys are the scene's alone.
        window.sceneProperty().addListener((observed, before, scene) -> {
            scene.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
            scene.addEventFilter(KeyEvent.KEY_RELEASED, this::released);
        });
    }

    private void pressed(KeyEvent key) {
        // A key held down a moment too long must not mark ten photos done, or turn a crop back and forth.
        boolean isRepeated = !held.add(key.getCode());
        boolean isTyping = key.getTarget() instanceof TextInputControl;
        boolean isCovered = window.getChildren().size() > 1;
        if (isTyping || isCovered) {
            return;
        }
        open.get().ifPresent(shoot -> {
            if (isRepeated && !goesOn(key) && !(key.getTarget() instanceof ButtonBase)
                    || forAnyView(key, shoot)
                    || shoot.front().pressed(key)) {
                key.consume();
            }
        });
    }

    /** Whether a key goes on while it is held. Quarter turns do not, or four of them would come to nothing. */
    private static boolean goesOn(KeyEvent key) {
        boolean isQuarterTurn = key.isShortcutDown() && key.getCode().isArrowKey();
        return REPEATING.contains(key.getCode()) && !isQuarterTurn;
    }

    private void released(KeyEvent key) {
        held.remove(key.getCode());
        if (open.get().filter(shoot -> shoot.front().released(key)).isPresent()) {
            key.consume();
        }
    }

    private boolean forAnyView(KeyEvent key, OpenShoot shoot) {
        if (UNDO.match(key)) {
            shoot.undo();
        } else if (REDO.match(key)) {
            shoot.redo();
        } else {
            switch (key.getCode()) {
                case F1 -> showKeys.run();
                case F5 -> shoot.go("sheet");
                case F6 -> shoot.go("easel");
                case F7 -> shoot.go("lineup");
                case F8 -> shoot.go("handover");
                default -> {
                    return false;
                }
            }
        }
        return true;
    }
}
