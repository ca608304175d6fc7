package nexa.desktop.formats;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.util.StringConverter;
import nexa.core.format.Format;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Subscriptions;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;

/** Chooses the format worked in, from a list or by its number. */
public final class FormatChooser {
    private final ShootSession session;
    private final ComboBox<Format> node = new ComboBox<>();
    private final Subscriptions subscriptions = new Subscriptions();

    public FormatChooser(ShootSession session) {
        this.session = session;
        node.setConverter(new StringConverter<>() {
            @Override
            public String toString(Format format) {
                return format == null ? "" : format.name() + "   " + FormatWords.shape(format);
            }

            @Override
            public Format fromString(String text) {
                throw new UnsupportedOperationException("formats are chosen, not typed");
            }
        });
        node.setTooltip(Parts.tooltip(Words.get("sheet.format.tip")));
        node.setAccessibleText(Words.get("sheet.format"));
        node.setOnAction(event -> {
            if (node.getValue() != null) {
                session.formatProperty().set(node.getValue().id());
            }
        });
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.formatProperty(), this::refresh);
        refresh();
    }

    public Node node() {
        return node;
    }

    /** Chooses the format with this number, if there is one. */
    public boolean choose(String digit) {
        int number = digit.isEmpty() ? 0 : digit.charAt(0) - '0';
        Optional<String> format = session.formatNumbered(number);
        format.ifPresent(session.formatProperty()::set);
        return format.isPresent();
    }

    private void refresh() {
        if (!node.getItems().equals(session.shoot().formats())) {
            node.getItems().setAll(session.shoot().formats());
        }
        if (!session.format().equals(node.getValue())) {
            node.setValue(session.format());
        }
    }

    public void dispose() {
        subscriptions.dispose();
    }
}
