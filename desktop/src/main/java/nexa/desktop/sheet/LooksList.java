package nexa.desktop.sheet;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.desktop.parts.AskWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.Subscriptions;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.desktop.session.WorkedOut;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.LatestOnly;

/** What needs a look, by reason; each reason opens to its photos. */
final class LooksList {
    private static final int MOST_LISTED = 40;
    /** A reason with so few photos is open at first. */
    private static final int FEW = 3;

    private final ShootSession session;
    private final Consumer<List<String>> choose;
    private final Runnable openEasel;
    private final Label title = Parts.label("", "section-title");
    private final VBox groups = new VBox(3);
    private final VBox node;
    private final Map<LooksByReason.Group, Node> nodes = new HashMap<>();
    private final Map<LooksByReason.Why, Boolean> opened = new HashMap<>();
    private final LatestOnly<LooksByReason> looking;
    private final Subscriptions subscriptions = new Subscriptions();
    private LooksByReason shown = new LooksByReason(List.of());

    /**
     * The list of a shoot.
     *
     * @param choose takes the files of a reason to be chosen on the sheet
     * @param openEasel opens the photo worked on, on the easel
     * @param find finds the levels of photos that are not done
     */
    LooksList(ShootSession session, Consumer<List<String>> choose, Runnable openEasel, Runnable find) {
        this.session = session;
        this.looking = session.background().latest(this::show);
        this.choose = choose;
        this.openEasel = openEasel;
        Button levels = Parts.smallButton("panel.find", "panel-find", find, "flat");
        HBox head = Parts.row(5, title, Parts.spacer(), levels);
        this.node = new VBox(6, head, groups);
        subscriptions.listen(session.workedOutProperty(), this::refresh);
    }

    Node node() {
        return node;
    }

    /** Shows the present state; nothing while the sheet is not in front. */
    void refresh() {
        if (node.getScene() != null) {
            WorkedOut known = session.workedOutProperty().get();
            looking.ask(() -> LooksByReason.of(known));
        }
    }

    private void show(LooksByReason found) {
        if (!found.equals(shown) || groups.getChildren().isEmpty()) {
            shown = found;
            title.setText(Words.get("panel.looks.count", found.count()));
            // Groups that stay as they are keep their nodes: one of them may be about to be clicked on.
            nodes.keySet().retainAll(found.groups());
            found.groups().forEach(group -> nodes.computeIfAbsent(group, this::group));
            groups.getChildren().setAll(found.groups().stream().map(nodes::get).toList());
        }
        node.setVisible(!found.groups().isEmpty());
    }

    private Node group(LooksByReason.Group group) {
        boolean isOpen = opened.getOrDefault(group.why(), group.files().size() <= FEW);
        VBox photos = new VBox(1);
        photos.getStyleClass().add("look-photos");
        ToggleButton heading = new ToggleButton();
        String reason = words(group.why());
        Label count = Parts.label(String.valueOf(group.files().size()), "number");
        count.setMinWidth(Label.USE_PREF_SIZE);
        HBox content = Parts.row(
                7,
                Parts.fold(heading.selectedProperty()),
                mark(group.reason()),
                Parts.label(reason),
                Parts.spacer(),
                count);
        heading.setGraphic(content);
        heading.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        content.prefWidthProperty().bind(heading.widthProperty().subtract(10));
        heading.setId("look-" + group.why().id());
        heading.getStyleClass().addAll("flat", "look-heading");
        heading.setMaxWidth(Double.MAX_VALUE);
        heading.setMinWidth(0);
        Parts.explain(heading, Words.get("look.group.tip"));
        heading.setAccessibleText(
                Words.get("look.group.text", reason, group.files().size()));
        heading.setSelected(isOpen);
        heading.setOnAction(event -> {
            opened.put(group.why(), heading.isSelected());
            fill(photos, group, heading.isSelected());
        });
        fill(photos, group, isOpen);
        return new VBox(heading, photos);
    }

    private void fill(VBox photos, LooksByReason.Group group, boolean isOpen) {
        photos.getChildren().clear();
        photos.setVisible(isOpen);
        photos.setManaged(isOpen);
        if (!isOpen) {
            return;
        }
        group.entries().stream()
                .limit(MOST_LISTED)
                .forEach(entry -> photos.getChildren().add(photo(entry, group)));
        int more = group.files().size() - MOST_LISTED;
        if (more > 0) {
            photos.getChildren().add(Parts.label(Words.get("panel.more", more), "small", "quiet"));
        }
        if (group.files().size() > 1) {
            Button all = Parts.button("look.choose", () -> choose.accept(group.files()), "flat", "tiny", "lane-choose");
            all.setText(Words.get("look.choose", group.files().size()));
            photos.getChildren().add(all);
        }
    }

    /** What a reason is called: of what is not as asked, the thing that was asked. */
    private static String words(LooksByReason.Why why) {
        return why.asked()
                .map(ask -> Words.get("look.group.not_as_asked", Words.of("ask.name", ask)))
                .or(() -> why.unknown().map(outcome -> Words.of("look.unknown", outcome)))
                .orElseGet(() -> Words.of("look.group", why.reason()));
    }

    private Button photo(LooksByReason.Entry entry, LooksByReason.Group group) {
        String file = entry.file();
        Optional<PhotoProblem> problem = session.shoot()
                .find(file)
                .flatMap(session::problem)
                .filter(found -> group.reason().isProblem());
        Button button = Parts.named(problem.map(Words::say).orElse(PhotoNames.base(file)));
        entry.check().filter(check -> check.outcome().isKnown()).ifPresent(check -> {
            String numbers = AskWords.numbers(check);
            Label name = Parts.name();
            name.setText(button.getText());
            button.setGraphic(new VBox(name, Parts.label(numbers, "small", "quiet")));
            button.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
            button.setAccessibleText(PhotoNames.base(file) + ": " + numbers);
        });
        button.getStyleClass().addAll("flat", "look-entry");
        button.setWrapText(problem.isPresent());
        button.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        button.setAlignment(Pos.TOP_LEFT);
        button.setMaxWidth(Double.MAX_VALUE);
        Parts.explain(button, Words.get("panel.look.tip", file));
        button.setOnAction(event -> {
            session.goTo(Optional.of(file));
            openEasel.run();
        });
        return button;
    }

    private static Node mark(LooksByReason.Reason reason) {
        return reason.isProblem() ? Parts.square() : Parts.triangle();
    }

    void dispose() {
        looking.forget();
        subscriptions.dispose();
    }
}
