package nexa.desktop.shell;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;
import nexa.desktop.brief.BriefPanel;
import nexa.desktop.easel.EaselView;
import nexa.desktop.formats.FormatEditor;
import nexa.desktop.handover.HandOverView;
import nexa.desktop.lineup.LineUpView;
import nexa.desktop.parts.View;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Background;
import nexa.desktop.session.Deliveries;
import nexa.desktop.session.RunningDelivery;
import nexa.desktop.session.ShootSession;
import nexa.desktop.sheet.SheetView;
import nexa.store.shoot.ShootFolder;
import nexa.store.user.RecentShoots;
import nexa.store.user.UserData;

/** What fills the window: the welcome page, or the top bar and one of the views of the shoot that is open. */
public final class Shell extends StackPane {
    private final Stage stage;
    private final UserData userData;
    private final Background background;
    private final RecentShoots recent;
    private final OwnThings own;
    private final ShootOpening opening;
    private final Optional<Runnable> sample;
    private final WelcomeActions welcome;
    private final BorderPane frame = new BorderPane();
    private final MessageBar messages = new MessageBar();
    private final OverlayLayer overlays = new OverlayLayer(this);
    private final Deliveries deliveries = new Deliveries(Words::say);
    private final ClosingQuestion closing;
    private Optional<OpenShoot> open = Optional.empty();

    /**
     * The window's contents.
     *
     * @param background works for this window, and ends with it
     * @param sample makes the sample shoot's folder ready, if there is a sample
     * @param openFolder shows a folder outside of this program
     */
    public Shell(
            Stage stage,
            UserData userData,
            Background background,
            Optional<Supplier<Path>> sample,
            Consumer<Path> openFolder) {
        this.stage = stage;
        this.userData = userData;
        this.background = background;
        this.recent = new RecentShoots(userData);
        this.own = new OwnThings(userData);
        this.opening = new ShootOpening(userData, recent, own, background.workers(), new OpeningWindow());
        this.sample = sample.map(copying -> () -> opening.openSample(copying));
        this.welcome = new WelcomeActions(stage, opening, this.sample);
        this.closing = new ClosingQuestion(stage, deliveries, overlays, messages);
        new DeliveryNews(deliveries, messages, openFolder);
        new BriefDrop(this, this::takeBrief);
        new WindowKeys(stage, this, () -> open, this::showKeys);
        getStyleClass().add("shell");
        frame.setBottom(messages);
        getChildren().add(frame);
        showWelcome();
    }

    private void showWelcome() {
        CompletableFuture.supplyAsync(recent::list, background.workers())
                .thenAccept(folders -> Platform.runLater(() -> {
                    if (open.isEmpty()) {
                        frame.setCenter(new Welcome(welcome, folders));
                    }
                }));
        HBox top = new HBox(new DeliveryTag(deliveries, this::showDeliveries));
        top.getStyleClass().add("welcome-top");
        frame.setTop(top);
        frame.setCenter(null);
    }

    /** Those of the open shoot are shown where they were begun, others over the window. */
    private void showDeliveries() {
        List<RunningDelivery> running = deliveries.running();
        boolean isOfOpenShoot = session()
                .filter(session -> running.stream().anyMatch(one -> one.source().equals(session.path())))
                .isPresent();
        if (isOfOpenShoot && running.size() == 1) {
            go("handover");
        } else if (!running.isEmpty()) {
            overlays.show(new DeliveriesPanel(running, overlays::close));
        }
    }

    /** As {@link ShootOpening#open}. */
    public CompletableFuture<Void> open(List<Path> paths) {
        return opening.open(paths);
    }

    /** Opens the sample shoot, if there is one. */
    public void openSample() {
        sample.ifPresent(Runnable::run);
    }

    private final class OpeningWindow implements ShootOpening.Window {
        @Override
        public CompletableFuture<Void> letGoOf(Path path) {
            boolean isOpen =
                    session().filter(session -> path.startsWith(session.path())).isPresent();
            return isOpen ? closeShoot() : CompletableFuture.completedFuture(null);
        }

        @Override
        public void show(ShootFolder folder, List<String> photos) {
            Shell.this.show(folder, photos);
        }

        @Override
        public void say(String words) {
            messages.say(words);
        }
    }

    private void show(ShootFolder folder, List<String> photos) {
        closeShoot();
        messages.clear();
        ShootNews news = new ShootNews(messages, folder.path(), userData.folder());
        ShootSession session = new ShootSession(folder, news, background);
        news.tellOpened(folder, session);
        news.showOnly(photos, session);
        LinkedHashMap<String, Supplier<View>> makers = views(session);
        TopBar topBar = new TopBar(session, deliveries, List.copyOf(makers.keySet()), new TopBarActions());
        Views views = new Views(makers, topBar::tell);
        stage.setTitle(Words.get("app.title", session.shoot().title()));
        photos.stream().findFirst().ifPresent(photo -> session.goTo(Optional.of(photo)));
        String first = photos.size() == 1 ? "easel" : "sheet";
        open = Optional.of(new OpenShoot(session, news, views, topBar, frame, first));
    }

    /** How the views are made, in the order of the top bar. */
    private LinkedHashMap<String, Supplier<View>> views(ShootSession session) {
        LinkedHashMap<String, Supplier<View>> makers = new LinkedHashMap<>();
        Runnable toEasel = () -> go("easel");
        Runnable briefs = () -> showBriefs(session, Optional.empty());
        makers.put(
                "sheet",
                () -> new SheetView(
                        session, own.kept(), overlays, briefs, messages::say, toEasel, below -> open(List.of(below))));
        makers.put(
                "easel", () -> new EaselView(session, own.preferences(), own.kept(), overlays, briefs, messages::say));
        makers.put("lineup", () -> new LineUpView(session, own.preferences(), toEasel));
        makers.put(
                "handover",
                () -> new HandOverView(
                        session,
                        deliveries,
                        own.preferences(),
                        id -> overlays.show(new FormatEditor(session, own.kept(), id, overlays::close)),
                        this::go));
        return makers;
    }

    /** @param first the name of the brief that is shown first */
    private void showBriefs(ShootSession session, Optional<String> first) {
        open.ifPresent(shoot -> shoot.front().finish());
        BriefPanel.open(session, own.briefs(background), overlays, first);
    }

    /** A brief that is dropped is kept, whatever is open, and shown where it can be used. */
    private void takeBrief(Path file) {
        CompletableFuture.runAsync(own::load, background.workers())
                .thenRun(() -> Platform.runLater(() -> own.briefs(background)
                        .take(file, taken -> tellTaken(taken.brief().name()), messages::say)));
    }

    private void tellTaken(String brief) {
        session()
                .ifPresentOrElse(
                        session -> showBriefs(session, Optional.of(brief)),
                        () -> messages.say(Words.get("brief.taken", brief)));
    }

    /** Whether the window may close now; if a delivery goes on, it asks first, and closes itself when it may. */
    public boolean mayClose() {
        return closing.mayClose();
    }

    private final class TopBarActions implements TopBar.Actions {
        @Override
        public void go(String view) {
            Shell.this.go(view);
        }

        @Override
        public void undo() {
            open.ifPresent(OpenShoot::undo);
        }

        @Override
        public void redo() {
            open.ifPresent(OpenShoot::redo);
        }

        @Override
        public void close() {
            closeShoot();
            messages.clear();
            stage.setTitle(Words.get("app.name"));
            showWelcome();
        }

        @Override
        public void keys() {
            showKeys();
        }

        @Override
        public void deliveries() {
            showDeliveries();
        }
    }

    /** Puts the shoot away; done when everything is saved. */
    public CompletableFuture<Void> closeShoot() {
        open.ifPresent(shoot -> shoot.front().finish());
        overlays.close();
        Optional<OpenShoot> closed = open;
        open = Optional.empty();
        return closed.map(OpenShoot::close).orElse(CompletableFuture.completedFuture(null));
    }

    /** Puts everything away at the end of the program; done when everything is saved. */
    public CompletableFuture<Void> close() {
        CompletableFuture<Void> saved = closeShoot();
        own.close();
        background.close();
        return saved;
    }

    /** Brings a view to the front, by its key. */
    public void go(String key) {
        open.ifPresent(shoot -> shoot.go(key));
    }

    /** The shoot that is open. */
    public Optional<ShootSession> session() {
        return open.map(OpenShoot::session);
    }

    private void showKeys() {
        Node before = getScene().getFocusOwner();
        KeysPage[] page = new KeysPage[1];
        page[0] = new KeysPage(() -> {
            getChildren().remove(page[0]);
            Optional.ofNullable(before).ifPresent(Node::requestFocus);
        });
        getChildren().add(page[0]);
        page[0].requestFocus();
    }
}
