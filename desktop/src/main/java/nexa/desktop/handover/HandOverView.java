package nexa.desktop.handover;

import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.format.Going;
import nexa.core.series.SureLevels;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Shoot;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.View;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Deliveries;
import nexa.desktop.session.RunningDelivery;
import nexa.desktop.session.ShootNow;
import nexa.desktop.session.ShootSession;
import nexa.imaging.deliver.DeliveryCheck;
import nexa.imaging.deliver.DeliveryPlan;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.work.LatestOnly;
import nexa.store.user.Preferences;

/** Hand over: the delivery note, where it goes, and the delivery itself. */
public final class HandOverView extends View {
    private final ShootSession session;
    private final Deliveries deliveries;
    private final Consumer<String> go;
    private final DeliveryNote note;
    private final DeliveryPanel running = new DeliveryPanel();
    private final WhichPhotos which;
    private final Destination destination = new Destination(this::deliverInto);
    private final BeforeItGoes before = new BeforeItGoes(this::lookAt);
    private final TermsEditor terms;
    private final Button deliver;
    private Path to;
    private SureLevels levels = SureLevels.NOT_LOOKED;
    private final LatestOnly<Integer> counting;
    private final LatestOnly<Foreseen> foreseeing;

    /**
     * Hand over of a shoot.
     *
     * @param change opens a format to be changed
     * @param go brings the view of a key to the front
     */
    public HandOverView(
            ShootSession session,
            Deliveries deliveries,
            Preferences preferences,
            Consumer<String> change,
            Consumer<String> go) {
        super("handover");
        this.session = session;
        this.foreseeing = session.background().latest(this::show);
        this.counting = session.background().latest(this::tellCount);
        this.deliveries = deliveries;
        this.go = go;
        this.which = new WhichPhotos(session, this::refresh);
        this.terms = new TermsEditor(preferences);
        this.to = session.path().resolve(Words.get("handover.folder"));
        this.note = new DeliveryNote(session, this::setGoes, change);
        this.deliver = Parts.button("handover.deliver", this::deliver, "main-action");
        deliver.setId("deliver");
        VBox page = new VBox(16, heading(), note.node(), running.node());
        page.getStyleClass().add("note-page");
        node.setCenter(Parts.scroll(page));
        node.setRight(side());
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.readingProperty(), this::refresh);
        subscriptions.listen(session.workedOutProperty(), this::learnLevels);
        subscriptions.listen(session.looksLeftProperty(), this::showLooksLeft);
        showDelivery();
        refresh();
    }

    private static Node heading() {
        HBox heading = new HBox(
                10, Parts.label(Words.get("note.title"), "page-title"), Parts.label(Words.get("note.what"), "quiet"));
        heading.getStyleClass().add("baseline");
        return heading;
    }

    private Node side() {
        Label promise = Parts.label(Words.get("handover.promise"), "quiet", "small");
        promise.setWrapText(true);
        VBox side = new VBox(
                8,
                Parts.label(Words.get("handover.which"), "section-title"),
                which.node(),
                Parts.label(Words.get("handover.where"), "section-title", "panel-gap"),
                destination.node(),
                Parts.label(Words.get("handover.before"), "section-title", "panel-gap"),
                before.node(),
                Parts.label(Words.get("terms.title"), "section-title", "panel-gap"),
                terms.node(),
                promise);
        side.getStyleClass().add("side-content");
        ScrollPane scroll = Parts.scroll(side);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        HBox foot = new HBox(deliver);
        foot.getStyleClass().add("handover-foot");
        BorderPane panel = new BorderPane(scroll);
        panel.setBottom(foot);
        panel.getStyleClass().addAll("side-panel", "handover-side");
        return panel;
    }

    @Override
    public void shown() {
        terms.refresh();
        refresh();
        deliver.requestFocus();
    }

    private void setGoes(String format, boolean goes) {
        session.edit(
                Edit.Kind.FORMAT,
                shoot -> shoot.withFormats(shoot.formats().stream()
                        .map(one -> one.id().equals(format) ? one.withGoing(goes ? Going.GOES : Going.STAYS) : one)
                        .toList()));
    }

    /** Sets where the files go. */
    private void deliverInto(Path folder) {
        to = folder;
        refresh();
    }

    private void refresh() {
        Shoot shoot = session.shoot();
        ShootReading reading = session.readingProperty().get();
        DeliveryPlan.Choice choice = which.choice();
        // The top bar tells it, whichever view is in front.
        counting.ask(() -> DeliveryPlan.count(shoot, reading, choice));
        if (node.getScene() == null) {
            return;
        }
        which.show();
        destination.show(to);
        ShootNow now = session.now();
        Path into = to;
        foreseeing.ask(() -> Foreseen.of(now, choice, into));
    }

    /** How photos lie level is looked for in the background. */
    private void learnLevels() {
        if (levels != session.levels()) {
            levels = session.levels();
            refresh();
        }
    }

    private void tellCount(int files) {
        standing.set(Words.get("handover.standing", files));
        deliver.setText(Words.get("handover.deliver.count", files));
        deliver.setDisable(files == 0 || isDelivering());
    }

    private void showLooksLeft() {
        before.showLooksLeft(session.looksLeftProperty().get());
    }

    private void show(Foreseen known) {
        note.show(known.plan());
        destination.showRoom(known.room());
        session.lookAtPixels(known.toLookAt(), known.formats());
        before.show(known, session.shoot().formats());
    }

    /**
     * One photo is shown on the easel, several are chosen on the sheet, in the format of the first; what has to do with the
     * lead is shown in the line-up.
     */
    private void lookAt(List<DeliveryCheck.Finding> found) {
        DeliveryCheck.Finding first = found.get(0);
        if (!first.format().isEmpty()) {
            session.formatProperty().set(first.format());
        }
        Set<String> files = found.stream()
                .filter(finding -> finding.format().equals(first.format()))
                .map(DeliveryCheck.Finding::file)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        session.goTo(Optional.of(first.file()));
        session.chosenProperty().set(files);
        boolean isOfLead =
                first.kind() == DeliveryCheck.Kind.OUT_OF_STEP || first.kind() == DeliveryCheck.Kind.NOT_LOOKED_AT;
        go.accept(isOfLead ? "lineup" : files.size() > 1 ? "sheet" : "easel");
    }

    private void deliver() {
        // Counting the files comes a moment later.
        deliver.setDisable(true);
        deliveries.begin(session, which.choice(), to, terms.get());
        showDelivery();
        refresh();
    }

    private void showDelivery() {
        Optional<RunningDelivery> delivery = deliveries.of(session.path());
        running.show(delivery);
        delivery.filter(RunningDelivery::isRunning)
                .ifPresent(begun -> subscriptions.listen(begun.outcomeProperty(), this::refresh));
    }

    private boolean isDelivering() {
        return deliveries.of(session.path()).map(RunningDelivery::isRunning).orElse(false);
    }

    @Override
    public void dispose() {
        super.dispose();
        counting.forget();
        foreseeing.forget();
        running.show(Optional.empty());
    }
}
