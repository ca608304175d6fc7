package nexa.desktop.handover;

import java.nio.file.Path;
import java.util.HashSet;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import nexa.core.format.Format;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Shoot;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.Parts;
import nexa.desktop.shell.View;
import nexa.desktop.shell.Words;
import nexa.imaging.deliver.DeliveryPlan;
import nexa.imaging.read.ShootReading;

/** Hand over: the delivery note, where it goes, and the delivery itself. */
public final class HandOverView extends View {
    private final ShootSession session;
    private final DeliveryNote note;
    private final DeliveryPanel running = new DeliveryPanel();
    private final Label destination = Parts.label("", "destination");
    private final VBox knowledge = new VBox(8);
    private final Button deliver;
    private Path to;
    private long asked;

    public HandOverView(ShootSession session) {
        super("handover");
        this.session = session;
        this.to = session.path().resolve(Words.get("handover.folder"));
        this.note = new DeliveryNote(session, this::setGoes);
        this.deliver = Parts.button("handover.deliver", this::deliver, "main-action");
        deliver.setId("deliver");
        VBox page = new VBox(16, heading(), note.node(), running.node());
        page.getStyleClass().add("note-page");
        ScrollPane scroll = new ScrollPane(page);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        node.setCenter(scroll);
        node.setRight(side());
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.readingProperty(), this::refresh);
        running.onEnd(this::refresh);
        refresh();
    }

    private static Node heading() {
        HBox heading = new HBox(
                10, Parts.label(Words.get("note.title"), "page-title"), Parts.label(Words.get("note.what"), "quiet"));
        heading.getStyleClass().add("baseline");
        return heading;
    }

    private Node side() {
        Button change = Parts.button("handover.change", this::chooseDestination, "flat");
        change.setId("change-destination");
        change.setMinWidth(Region.USE_PREF_SIZE);
        HBox where = new HBox(8, destination, change);
        where.getStyleClass().add("field");
        HBox.setHgrow(destination, Priority.ALWAYS);
        destination.setMaxWidth(Double.MAX_VALUE);
        Label promise = Parts.label(Words.get("handover.promise"), "quiet", "small");
        promise.setWrapText(true);
        VBox side = new VBox(
                9,
                Parts.label(Words.get("handover.where"), "section-title"),
                where,
                promise,
                Parts.label(Words.get("handover.before"), "section-title", "panel-gap"),
                knowledge,
                deliver);
        side.getStyleClass().addAll("side-panel", "side-content", "handover-side");
        return side;
    }

    @Override
    public void shown() {
        refresh();
        deliver.requestFocus();
    }

    private void setGoes(String format, boolean goes) {
        session.edit(
                Edit.Kind.FORMAT,
                shoot -> shoot.withFormats(shoot.formats().stream()
                        .map(one -> one.id().equals(format) ? one.withGoes(goes) : one)
                        .toList()));
    }

    private void chooseDestination() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(Words.get("handover.where"));
        Optional.ofNullable(chooser.showDialog(node.getScene().getWindow()))
                .ifPresent(chosen -> deliverInto(chosen.toPath()));
    }

    /** Sets where the files go. */
    public void deliverInto(Path folder) {
        to = folder;
        refresh();
    }

    private DeliveryPlan.Choice choice() {
        return new DeliveryPlan.Choice(
                new HashSet<>(session.shoot().formats().stream()
                        .filter(Format::goes)
                        .map(Format::id)
                        .toList()),
                false,
                false);
    }

    private void refresh() {
        Shoot shoot = session.shoot();
        ShootReading reading = session.readingProperty().get();
        DeliveryPlan.Choice choice = choice();
        int files = DeliveryPlan.count(shoot, reading, choice);
        standing.set(Words.get("handover.standing", files));
        if (node.getScene() == null) {
            return;
        }
        destination.setText(shortened(to));
        destination.setTooltip(Parts.tooltip(to.toString()));
        deliver.setText(Words.get("handover.deliver.count", files));
        deliver.setDisable(files == 0 || running.isRunning());
        // Working out every crop of a large shoot takes longer than a frame.
        long number = ++asked;
        CompletableFuture.supplyAsync(() -> DeliveryPlan.of(shoot, reading, choice))
                .thenAccept(plan -> Platform.runLater(() -> {
                    if (number == asked) {
                        note.show(plan);
                        tellBefore(plan);
                    }
                }));
    }

    private static String shortened(Path path) {
        String home = System.getProperty("user.home");
        String text = path.toString();
        return text.startsWith(home) ? "~" + text.substring(home.length()) : text;
    }

    private void tellBefore(DeliveryPlan plan) {
        knowledge.getChildren().clear();
        for (Format format : session.shoot().formats()) {
            long few = plan.files().stream()
                    .filter(item -> item.format().id().equals(format.id())
                            && item.crop().hasTooFewPixels())
                    .count();
            if (few > 0) {
                tell(Parts.triangle(), Words.get("before.few", few, format.name()), "look");
            }
        }
        int unreadable = session.readingProperty().get().problems().size();
        if (unreadable > 0) {
            tell(Parts.square(), Words.get("before.unreadable", unreadable), "broken");
        }
        if (knowledge.getChildren().isEmpty()) {
            tell(Parts.tick(), Words.get("before.nothing"), "fine");
        }
    }

    private void tell(Node mark, String words, String style) {
        Label label = Parts.label(words, "small", style);
        label.setGraphic(mark);
        label.setWrapText(true);
        knowledge.getChildren().add(label);
    }

    private void deliver() {
        Shoot shoot = session.shoot();
        ShootReading reading = session.readingProperty().get();
        DeliveryPlan.Choice choice = choice();
        running.start(() -> DeliveryPlan.of(shoot, reading, choice), session.path(), to);
        refresh();
    }

    @Override
    public void dispose() {
        super.dispose();
        running.stop();
    }
}
