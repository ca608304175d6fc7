package nexa.desktop.handover;

import java.io.IOException;
import java.nio.file.Path;
import java.util.DoubleSummaryStatistics;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.format.ViewingDistance;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.View;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Background;
import nexa.desktop.session.Deliveries;
import nexa.desktop.session.RunningDelivery;
import nexa.desktop.session.ShootNow;
import nexa.desktop.session.ShootSession;
import nexa.imaging.deliver.DeliveryCheck;
import nexa.imaging.deliver.DeliveryPlan;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.work.Latest;
import nexa.store.Preferences;

/** Hand over: the delivery note, where it goes, and the delivery itself. */
public final class HandOverView extends View {
    /** Which photos go. */
    private enum Which {
        ALL_BUT_OUT,
        SELECTS,
        DONE
    }

    private final ShootSession session;
    private final Deliveries deliveries;
    private final Consumer<String> go;
    private final TermsEditor terms;
    private final Label room = Parts.label("", "small", "quiet");
    private final Label only = Parts.label("", "small", "look");
    private Which which = Which.ALL_BUT_OUT;
    private final DeliveryNote note;
    private final DeliveryPanel running = new DeliveryPanel();
    private final Label destination = Parts.label("", "destination");
    private final VBox knowledge = new VBox(8);
    private final Button deliver;
    private Path to;
    private final Latest<Integer> counting = Background.latest(this::tellCount);
    private final Latest<Known> knowing = Background.latest(this::show);

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
        this.deliveries = deliveries;
        this.go = go;
        this.terms = new TermsEditor(preferences);
        this.to = session.path().resolve(Words.get("handover.folder"));
        this.note = new DeliveryNote(session, this::setGoes, change);
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
        only.setId("only-opened");
        only.setWrapText(true);
        only.setGraphic(Parts.triangle());
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
                8,
                Parts.label(Words.get("handover.which"), "section-title"),
                whichRow(),
                only,
                Parts.label(Words.get("handover.where"), "section-title", "panel-gap"),
                where,
                room,
                Parts.label(Words.get("handover.before"), "section-title", "panel-gap"),
                knowledge,
                Parts.label(Words.get("terms.title"), "section-title", "panel-gap"),
                terms.node(),
                promise);
        side.getStyleClass().add("side-content");
        ScrollPane scroll = new ScrollPane(side);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        HBox foot = new HBox(deliver);
        foot.getStyleClass().add("handover-foot");
        BorderPane panel = new BorderPane(scroll);
        panel.setBottom(foot);
        panel.getStyleClass().addAll("side-panel", "handover-side");
        return panel;
    }

    /** Of photos opened alone, only these are delivered. */
    private void tellOnly() {
        only.setText(session.only()
                .map(files -> Words.get("handover.only", files.size()))
                .orElse(""));
        only.setVisible(session.only().isPresent());
        only.setManaged(session.only().isPresent());
    }

    private HBox whichRow() {
        HBox row = new HBox(4);
        ToggleGroup group = new ToggleGroup();
        for (Which each : Which.values()) {
            String key = "which." + each.name().toLowerCase(Locale.ROOT);
            ToggleButton button = Parts.toggle(key, "choice");
            button.setId(key.replace('.', '-'));
            button.setToggleGroup(group);
            button.setSelected(each == which);
            button.setOnAction(event -> {
                button.setSelected(true);
                which = each;
                refresh();
            });
            row.getChildren().add(button);
        }
        return row;
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
                        .map(one -> one.id().equals(format) ? one.withGoing(goes ? Going.GOES : Going.STAYS) : one)
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
                which == Which.SELECTS,
                which == Which.DONE,
                session.only());
    }

    private void refresh() {
        Shoot shoot = session.shoot();
        ShootReading reading = session.readingProperty().get();
        DeliveryPlan.Choice choice = choice();
        counting.ask(() -> DeliveryPlan.count(shoot, reading, choice));
        if (node.getScene() == null) {
            return;
        }
        tellOnly();
        destination.setText(shortened(to));
        destination.setTooltip(Parts.tooltip(to.toString()));
        ShootNow now = session.now();
        Path destinationNow = to;
        knowing.ask(() -> known(now, choice, destinationNow));
    }

    private void tellCount(int files) {
        standing.set(Words.get("handover.standing", files));
        deliver.setText(Words.get("handover.deliver.count", files));
        deliver.setDisable(files == 0 || isDelivering());
    }

    /** What is known before it goes; the room is below 0 where nobody can tell. */
    private record Known(DeliveryPlan plan, List<DeliveryCheck.Finding> findings, long likely, long room) {}

    private static Known known(ShootNow now, DeliveryPlan.Choice choice, Path destination) {
        Shoot shoot = now.shoot();
        ShootReading reading = now.reading();
        Set<String> shown = now.photos().stream().map(Photo::file).collect(Collectors.toSet());
        DeliveryPlan plan = DeliveryPlan.of(shoot, reading, choice);
        long room;
        try {
            room = DeliveryCheck.room(destination);
        } catch (IOException e) {
            room = -1;
        }
        List<DeliveryCheck.Finding> findings = DeliveryCheck.of(shoot, reading, plan).stream()
                .filter(finding -> shown.contains(finding.file()))
                .toList();
        return new Known(plan, findings, DeliveryCheck.likelyBytes(plan), room);
    }

    private static String shortened(Path path) {
        String home = System.getProperty("user.home");
        String text = path.toString();
        return text.startsWith(home) ? "~" + text.substring(home.length()) : text;
    }

    private void show(Known known) {
        note.show(known.plan());
        knowledge.getChildren().clear();
        room.setText(known.room() < 0 ? "" : Words.get("handover.room", bytes(known.room())));
        if (known.room() >= 0 && known.room() < known.likely()) {
            String words = Words.get("before.noRoom", bytes(known.likely()), bytes(known.room()));
            tell(Parts.square(), words, "broken", List.of());
        }
        for (DeliveryCheck.Kind kind : DeliveryCheck.Kind.values()) {
            List<DeliveryCheck.Finding> found = known.findings().stream()
                    .filter(finding -> finding.kind() == kind)
                    .toList();
            if (!found.isEmpty()) {
                boolean isBroken = kind == DeliveryCheck.Kind.UNREADABLE;
                long formats = found.stream()
                        .map(DeliveryCheck.Finding::format)
                        .distinct()
                        .count();
                String words = Words.get("check." + kind.name().toLowerCase(Locale.ROOT), found.size(), formats);
                tell(
                        isBroken ? Parts.square() : Parts.triangle(),
                        kind == DeliveryCheck.Kind.TOO_FEW_PIXELS ? words + onPaper(known.plan()) : words,
                        isBroken ? "broken" : "look",
                        found);
            }
        }
        if (isAllWaiting()) {
            tell(Parts.triangle(), Words.get("before.waits"), "look", List.of());
        } else if (knowledge.getChildren().isEmpty()) {
            tell(Parts.tick(), Words.get("before.nothing"), "fine", List.of());
        } else if (known.findings().stream().noneMatch(finding -> finding.kind() == DeliveryCheck.Kind.SAME_NAME)) {
            tell(Parts.tick(), Words.get("before.names"), "fine", List.of());
        }
    }

    /** Whether nothing goes because nothing was done yet. */
    private boolean isAllWaiting() {
        List<Format> formats = session.shoot().formats();
        return formats.stream().noneMatch(Format::goes)
                && formats.stream().anyMatch(format -> format.going() == Going.WAITS);
    }

    /** What too few pixels mean on paper: the pixels an inch there will be, and from how far that looks sharp. */
    private static String onPaper(DeliveryPlan plan) {
        DoubleSummaryStatistics ppi = DeliveryCheck.ppiOfTooSmall(plan);
        return ppi.getCount() == 0
                ? ""
                : " "
                        + Words.get(
                                "check.onPaper",
                                Words.number(ppi.getMin(), 0),
                                Words.number(ppi.getMax(), 0),
                                Words.number(ViewingDistance.sharpFrom(ppi.getMin()), 0));
    }

    private static String bytes(long bytes) {
        return bytes >= 1e9
                ? Words.get("bytes.giga", Words.number(bytes / 1e9, bytes >= 1e10 ? 0 : 1))
                : Words.get("bytes.mega", Words.number(bytes / 1e6, 0));
    }

    private void tell(Node mark, String words, String style, List<DeliveryCheck.Finding> found) {
        Label label = Parts.label(words, "small", style);
        label.setGraphic(mark);
        label.setWrapText(true);
        label.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(label, Priority.ALWAYS);
        HBox line = new HBox(4, label);
        if (!found.isEmpty()) {
            Button show = Parts.button("before.show", () -> show(found), "flat", "tiny");
            show.setId("show-" + found.get(0).kind().name().toLowerCase(Locale.ROOT));
            show.setMinWidth(Region.USE_PREF_SIZE);
            line.getChildren().add(show);
        }
        knowledge.getChildren().add(line);
    }

    /**
     * One photo is shown on the easel, several are chosen on the sheet, in the format of the first; what has to do with the
     * lead is shown in the line-up.
     */
    private void show(List<DeliveryCheck.Finding> found) {
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
        deliveries.begin(session, choice(), to, terms.get());
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
        knowing.forget();
        running.show(Optional.empty());
    }
}
