package nexa.desktop.lineup;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import nexa.core.format.Format;
import nexa.core.shoot.Edit;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;

/** How far from its lead a crop may be and still be in step: two fields, in per cent. */
final class Tolerances {
    private final ShootSession session;
    private final Runnable typed;
    private final TextField tightness = field("lineup.tolerance.tightness");
    private final TextField position = field("lineup.tolerance.position");

    /** @param typed hears that a tolerance was typed */
    Tolerances(ShootSession session, Runnable typed) {
        this.session = session;
        this.typed = typed;
    }

    List<Node> nodes() {
        return List.of(tightness, position);
    }

    private TextField field(String key) {
        TextField field = new TextField();
        field.setPrefColumnCount(2);
        field.setId(key.replace('.', '-'));
        field.getStyleClass().add("number-field");
        field.setAccessibleText(Words.get(key));
        field.setTooltip(Parts.tooltip(Words.get(key)));
        field.setOnAction(event -> {
            take();
            typed.run();
        });
        field.focusedProperty().addListener((observed, before, now) -> {
            if (!now) {
                take();
            }
        });
        return field;
    }

    /** Takes what is typed where it is a share in per cent; else what was there comes back. */
    private void take() {
        Format.Tolerance now = session.format().tolerance();
        try {
            Format.Tolerance asked =
                    new Format.Tolerance(typed(tightness, now.tightness()), typed(position, now.position()));
            if (!asked.equals(now)) {
                session.edit(
                        Edit.Kind.FORMAT,
                        shoot -> shoot.withFormat(session.format().withTolerance(asked)));
            }
        } catch (IllegalArgumentException e) {
            tightness.setText(TypedShare.words(now.tightness()));
            position.setText(TypedShare.words(now.position()));
        }
    }

    /** What was typed; where nothing was, the value itself, which may be finer than its words. */
    private static double typed(TextField field, double now) {
        return field.getText().strip().equals(TypedShare.words(now)) ? now : TypedShare.read(field.getText());
    }

    void show(Format.Tolerance tolerance) {
        show(tightness, tolerance.tightness());
        show(position, tolerance.position());
    }

    /** What is being typed stays. */
    private static void show(TextField field, double share) {
        if (!field.isFocused()) {
            field.setText(TypedShare.words(share));
        }
    }
}
