package nexa.desktop.sheet;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.util.StringConverter;
import nexa.core.format.Format;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.FormatWords;
import nexa.desktop.shell.Parts;
import nexa.desktop.shell.Subscriptions;
import nexa.desktop.shell.Words;

/** Above the sheet: which format's crops are shown, and how many prints go across. */
final class SheetTools {
    private static final int FEWEST = 3;
    private static final int MOST = 12;

    private final ShootSession session;
    private final HBox node = new HBox(8);
    private final ComboBox<Format> formats = new ComboBox<>();
    private final Label count = Parts.label("", "number");
    private final Button fewer;
    private final Button more;
    private final Runnable acrossChanged;
    private final Subscriptions subscriptions = new Subscriptions();
    private int across = 6;

    SheetTools(ShootSession session, Runnable acrossChanged) {
        this.session = session;
        this.acrossChanged = acrossChanged;
        node.getStyleClass().add("tools");
        node.setAlignment(Pos.CENTER_LEFT);
        formats.setId("sheet-format");
        formats.setConverter(new StringConverter<>() {
            @Override
            public String toString(Format format) {
                return format == null ? "" : format.name() + "   " + FormatWords.ratio(format);
            }

            @Override
            public Format fromString(String text) {
                throw new UnsupportedOperationException("formats are chosen, not typed");
            }
        });
        formats.setTooltip(Parts.tooltip(Words.get("sheet.format.tip")));
        formats.setAccessibleText(Words.get("sheet.format"));
        formats.setOnAction(event -> {
            if (formats.getValue() != null) {
                session.formatProperty().set(formats.getValue().id());
            }
        });
        fewer = Parts.button("sheet.fewer", () -> setAcross(across - 1), "flat");
        more = Parts.button("sheet.more", () -> setAcross(across + 1), "flat");
        HBox stepper = new HBox(fewer, count, more);
        stepper.getStyleClass().add("stepper");
        stepper.setAlignment(Pos.CENTER);
        node.getChildren()
                .addAll(
                        Parts.label(Words.get("sheet.format"), "quiet"),
                        formats,
                        Parts.spacer(),
                        Parts.label(Words.get("sheet.across"), "quiet"),
                        stepper);
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.formatProperty(), this::refresh);
        refresh();
        count.setText(String.valueOf(across));
    }

    Node node() {
        return node;
    }

    int across() {
        return across;
    }

    /** Chooses the format with this number, if there is one. */
    boolean choose(String digit) {
        int number = digit.isEmpty() ? 0 : digit.charAt(0) - '0';
        boolean isThere = number >= 1 && number <= session.shoot().formats().size();
        if (isThere) {
            session.formatProperty()
                    .set(session.shoot().formats().get(number - 1).id());
        }
        return isThere;
    }

    private void setAcross(int wanted) {
        across = Math.max(FEWEST, Math.min(MOST, wanted));
        count.setText(String.valueOf(across));
        fewer.setDisable(across == FEWEST);
        more.setDisable(across == MOST);
        acrossChanged.run();
    }

    private void refresh() {
        if (!formats.getItems().equals(session.shoot().formats())) {
            formats.getItems().setAll(session.shoot().formats());
        }
        if (!session.format().equals(formats.getValue())) {
            formats.setValue(session.format());
        }
    }

    void dispose() {
        subscriptions.dispose();
    }
}
