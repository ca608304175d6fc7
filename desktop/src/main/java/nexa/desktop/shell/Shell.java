package nexa.desktop.shell;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Stage;
import nexa.desktop.easel.EaselView;
import nexa.desktop.formats.FormatEditor;
import nexa.desktop.handover.HandOverView;
import nexa.desktop.lineup.LineUpView;
import nexa.desktop.parts.View;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Autosave;
import nexa.desktop.session.Deliveries;
import nexa.desktop.session.RunningDelivery;
import nexa.desktop.session.ShootSession;
import nexa.desktop.sheet.SheetView;
import nexa.store.KeptFormats;
import nexa.store.PhotoFiles;
import nexa.store.Preferences;
import nexa.store.RecentShoots;
import nexa.store.ShootFolder;
import nexa.store.ShootProblem;
import nexa.store.UserData;

/** What fills the window: the welcome page, or the top bar and one of the views of the shoot that is open. */
public final class Shell extends StackPane {
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

    private final Stage stage;
    private final UserData userData;
    private final Optional<Supplier<CompletableFuture<Path>>> sample;
    private final RecentShoots recent;
    private final BorderPane frame = new BorderPane();
    private final MessageBar messages = new MessageBar();
    private Preferences preferences;
    private KeptFormats kept;
    private final Set<KeyCode> held = EnumSet.noneOf(KeyCode.class);
    private ShootSession session;
    private Optional<Views> views = Optional.empty();
    private View front;
    private TopBar topBar;
    private boolean toldApart;
    private final OverlayLayer overlays = new OverlayLayer(this);
    private final Deliveries deliveries = new Deliveries(Words::say);
    private CompletableFuture<Void> opening = CompletableFuture.completedFuture(null);
    private List<Path> openingWhat = List.of();
    private boolean closesWhenDelivered;

    /**
     * The window's contents.
     *
     * @param sample makes the sample shoot's folder ready, if there is a sample
     * @param openFolder shows a folder outside of this program
     */
    public Shell(
            Stage stage,
            UserData userData,
            Optional<Supplier<CompletableFuture<Path>>> sample,
            Consumer<Path> openFolder) {
        this.stage = stage;
        this.userData = userData;
        this.sample = sample;
        this.recent = new RecentShoots(userData);
        new DeliveryNews(deliveries, messages, openFolder);
        getStyleClass().add("shell");
        frame.setBottom(messages);
        getChildren().add(frame);
        // A key let go of in another window is not heard of here.
        stage.focusedProperty().addListener((observed, before, now) -> held.clear());
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        addEventFilter(KeyEvent.KEY_RELEASED, this::released);
        showWelcome();
    }

    private void showWelcome() {
        CompletableFuture.supplyAsync(recent::list)
                .thenAccept(folders -> Platform.runLater(() -> {
                    if (session == null) {
                        frame.setCenter(new Welcome(new ShellActions(), folders));
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
        boolean isOfOpenShoot =
                session != null && running.stream().anyMatch(one -> one.source().equals(session.path()));
        if (isOfOpenShoot && running.size() == 1) {
            go("handover");
        } else if (!running.isEmpty()) {
            overlays.show(new DeliveriesPanel(running, overlays::close));
        }
    }

    private final class ShellActions implements Welcome.Actions {
        @Override
        public void chooseFolder() {
            DirectoryChooser chooser = new DirectoryChooser();
            chooser.setTitle(Words.get("welcome.folder"));
            Optional.ofNullable(chooser.showDialog(stage)).ifPresent(chosen -> open(List.of(chosen.toPath())));
        }

        @Override
        public void choosePhotos() {
            FileChooser chooser = new FileChooser();
            chooser.setTitle(Words.get("welcome.photos"));
            chooser.getExtensionFilters()
                    .add(new FileChooser.ExtensionFilter(
                            Words.get("welcome.photos.kind"),
                            PhotoFiles.ENDINGS.stream()
                                    .map(ending -> "*." + ending)
                                    .toList()));
            List<File> chosen = chooser.showOpenMultipleDialog(stage);
            if (chosen != null) {
                open(chosen.stream().map(File::toPath).toList());
            }
        }

        @Override
        public void open(List<Path> paths) {
            Shell.this.open(paths);
        }

        @Override
        public Optional<Runnable> sample() {
            return sample.map(copying -> () -> openSample(copying));
        }
    }

    /**
     * Opens a folder, or the folder of a photo at that photo, in the background. One at a time: what is being opened already
     * is not opened again, and anything else waits for it.
     */
    public CompletableFuture<Void> open(List<Path> paths) {
        if (paths.isEmpty() || (!opening.isDone() && paths.equals(openingWhat))) {
            return opening;
        }
        openingWhat = List.copyOf(paths);
        CompletableFuture<Void> shown = new CompletableFuture<>();
        CompletableFuture<Void> before = opening;
        opening = shown;
        before.thenRun(() -> onWindowThread(() -> openNow(paths, shown)));
        return shown;
    }

    private static void onWindowThread(Runnable action) {
        if (Platform.isFxApplicationThread()) {
            action.run();
        } else {
            Platform.runLater(action);
        }
    }

    private void openNow(List<Path> paths, CompletableFuture<Void> shown) {
        Path first = paths.get(0).toAbsolutePath().normalize();
        // A shoot is let go of before it is opened again: only one window may write it.
        boolean isOpen = session != null && first.startsWith(session.path());
        CompletableFuture<Void> free = isOpen ? closeShoot() : CompletableFuture.completedFuture(null);
        free.thenRunAsync(() -> readAndShow(paths, first, shown)).exceptionally(problem -> {
            notShown(first + ": " + Words.say(problem), shown);
            return null;
        });
    }

    /** The next one may be opened all the same. */
    private void notShown(String why, CompletableFuture<Void> shown) {
        Platform.runLater(() -> {
            messages.say(why);
            shown.complete(null);
        });
    }

    private void readAndShow(List<Path> paths, Path first, CompletableFuture<Void> shown) {
        try {
            boolean isPhoto = Files.isRegularFile(first);
            ShootFolder folder = ShootFolder.open(isPhoto ? first.getParent() : first, userData);
            remember(folder.path());
            loadOwnThings();
            List<String> photos = isPhoto ? beside(first, paths) : List.of();
            Platform.runLater(() -> {
                show(folder, photos);
                shown.complete(null);
            });
        } catch (ShootProblem e) {
            notShown(Words.say(e), shown);
        }
    }

    /** The names of the paths that lie in the folder of the first. */
    private static List<String> beside(Path first, List<Path> paths) {
        return paths.stream()
                .map(path -> path.toAbsolutePath().normalize())
                .filter(path -> first.getParent().equals(path.getParent()))
                .map(path -> path.getFileName().toString())
                .toList();
    }

    /** What is the photographer's and not a shoot's; read once, off the JavaFX thread. */
    private synchronized void loadOwnThings() {
        if (preferences == null) {
            preferences = Preferences.load(userData);
            kept = KeptFormats.load(userData);
        }
    }

    private void openSample(Supplier<CompletableFuture<Path>> copying) {
        copying.get()
                .thenAccept(folder -> Platform.runLater(() -> open(List.of(folder))))
                .exceptionally(problem -> {
                    Platform.runLater(() -> messages.say(Words.get("message.sample", Words.say(problem))));
                    return null;
                });
    }

    private void remember(Path folder) {
        try {
            recent.add(folder);
        } catch (IOException e) {
            Platform.runLater(() -> messages.say(Words.get("message.recent", Words.say(e))));
        }
    }

    /** @param photos the photos that were opened; several are shown alone, one is gone to, none is the whole shoot */
    private void show(ShootFolder folder, List<String> photos) {
        closeShoot();
        messages.clear();
        session = new ShootSession(folder, new Saving());
        folder.notices().forEach(notice -> messages.keep(Words.say(notice)));
        offerWhatComes(session);
        if (session.setAside().isPresent()) {
            messages.offer("aside.take", Words.get("aside.what"), session::goOnWithSetAside);
        }
        session.onRefused(() -> messages.say(Words.get("message.readOnly", folder.path())));
        if (session.isReadOnly()) {
            messages.say(Words.get("message.readOnly", folder.path()));
        }
        if (photos.size() > 1) {
            session.showOnly(Set.copyOf(photos));
            messages.say(Words.get("message.only", photos.size(), folder.path()));
        }
        LinkedHashMap<String, Supplier<View>> makers = new LinkedHashMap<>();
        makers.put(
                "sheet",
                () -> new SheetView(
                        session, overlays, messages::say, () -> go("easel"), below -> open(List.of(below))));
        makers.put("easel", () -> new EaselView(session, preferences, kept, overlays, messages::say));
        makers.put("lineup", () -> new LineUpView(session, preferences, () -> go("easel")));
        makers.put(
                "handover",
                () -> new HandOverView(
                        session,
                        deliveries,
                        preferences,
                        id -> overlays.show(new FormatEditor(session, kept, id, overlays::close)),
                        this::go));
        topBar = new TopBar(session, deliveries, List.copyOf(makers.keySet()), new TopBarActions());
        views = Optional.of(new Views(makers, topBar::tell));
        frame.setTop(topBar);
        stage.setTitle(Words.get("app.title", session.shoot().title()));
        if (!photos.isEmpty()) {
            session.goTo(Optional.of(photos.get(0)));
        }
        if (photos.size() == 1) {
            go("easel");
        } else {
            go("sheet");
        }
    }

    /** Photos that come into the folder, and photos that have other names now. */
    private void offerWhatComes(ShootSession of) {
        of.freshProperty().addListener((observed, before, now) -> {
            if (of == session && !now.isEmpty()) {
                messages.offer("fresh.add", Words.get("fresh.what", now.size()), of::addFresh);
            } else {
                messages.drop("fresh.add");
            }
        });
        of.renamedProperty().addListener((observed, before, now) -> {
            if (of == session && !now.isEmpty() && !of.isReadOnly()) {
                messages.offer("renamed.take", Words.get("renamed.what", now.size()), of::takeRenamedAlong);
            } else {
                messages.drop("renamed.take");
            }
        });
    }

    /** Whether the window may close now; if a delivery goes on, it asks first, and closes itself when it may. */
    public boolean mayClose() {
        List<RunningDelivery> running = deliveries.running();
        if (running.isEmpty()) {
            return true;
        }
        int files = running.stream()
                .mapToInt(one -> one.progressProperty().get().total())
                .sum();
        int finished = running.stream()
                .mapToInt(one -> one.progressProperty().get().finished())
                .sum();
        overlays.show(new ClosingPanel(files, finished, new ClosingActions()));
        return false;
    }

    private final class ClosingActions implements ClosingPanel.Actions {
        @Override
        public void stay() {
            closesWhenDelivered = false;
            overlays.close();
        }

        @Override
        public void closeWhenDone() {
            closesWhenDelivered = true;
            overlays.close();
            messages.say(Words.get("closing.waits"));
            closeIfDelivered();
        }

        @Override
        public void stopAndClose() {
            closeWhenDone();
            deliveries.stopAll();
        }
    }

    private void closeIfDelivered() {
        List<RunningDelivery> running = deliveries.running();
        if (closesWhenDelivered && running.isEmpty()) {
            stage.close();
        } else if (closesWhenDelivered) {
            running.get(0).outcomeProperty().addListener((observed, before, now) -> closeIfDelivered());
        }
    }

    private final class TopBarActions implements TopBar.Actions {
        @Override
        public void go(String view) {
            Shell.this.go(view);
        }

        @Override
        public void undo() {
            Shell.this.undo();
        }

        @Override
        public void redo() {
            Shell.this.redo();
        }

        @Override
        public void close() {
            backToWelcome();
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

    private final class Saving implements Autosave.Listener {
        @Override
        public void saved(boolean apart) {
            Platform.runLater(() -> {
                if (apart && !toldApart && session != null) {
                    messages.keep(Words.get("message.apart", session.path(), userData.folder()));
                }
                toldApart = apart;
            });
        }

        @Override
        public void failed(ShootProblem problem) {
            Platform.runLater(() -> messages.keep(Words.say(problem)));
        }
    }

    private void backToWelcome() {
        closeShoot();
        messages.clear();
        stage.setTitle(Words.get("app.name"));
        showWelcome();
    }

    /** Puts the shoot away; done when everything is saved. */
    public CompletableFuture<Void> closeShoot() {
        Optional.ofNullable(front).ifPresent(View::finish);
        overlays.close();
        views.ifPresent(Views::dispose);
        views = Optional.empty();
        front = null;
        ShootSession closing = session;
        session = null;
        toldApart = false;
        return closing == null ? CompletableFuture.completedFuture(null) : closing.close();
    }

    /** Puts everything away at the end of the program; done when everything is saved. */
    public CompletableFuture<Void> close() {
        CompletableFuture<Void> saved = closeShoot();
        closeOwnThings();
        return saved;
    }

    private synchronized void closeOwnThings() {
        if (preferences != null) {
            preferences.close();
            kept.close();
        }
    }

    /** Brings a view to the front, by its key. */
    public void go(String key) {
        views.map(all -> all.get(key)).ifPresent(this::go);
    }

    private void go(View view) {
        Optional.ofNullable(front).ifPresent(View::finish);
        front = view;
        topBar.mark(view);
        frame.setCenter(view.node());
        view.shown();
    }

    /** The shoot that is open. */
    public Optional<ShootSession> session() {
        return Optional.ofNullable(session);
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

    private void pressed(KeyEvent key) {
        // A key held down a moment too long must not mark ten photos done, or turn a crop back and forth.
        boolean isRepeated = !held.add(key.getCode());
        boolean isTyping = key.getTarget() instanceof TextInputControl;
        boolean isCovered = getChildren().size() > 1;
        if (session == null || isTyping || isCovered) {
            return;
        }
        if (isRepeated && !goesOn(key) && !(key.getTarget() instanceof ButtonBase)
                || forAnyView(key)
                || front.pressed(key)) {
            key.consume();
        }
    }

    /** Whether a key goes on while it is held. Quarter turns do not, or four of them would come to nothing. */
    private static boolean goesOn(KeyEvent key) {
        boolean isQuarterTurn = key.isShortcutDown() && key.getCode().isArrowKey();
        return REPEATING.contains(key.getCode()) && !isQuarterTurn;
    }

    private void released(KeyEvent key) {
        held.remove(key.getCode());
        if (front != null && front.released(key)) {
            key.consume();
        }
    }

    private void undo() {
        front.finish();
        session.undo();
    }

    private void redo() {
        front.finish();
        session.redo();
    }

    private boolean forAnyView(KeyEvent key) {
        if (UNDO.match(key)) {
            undo();
        } else if (REDO.match(key)) {
            redo();
        } else if (key.getCode() == KeyCode.F1) {
            showKeys();
        } else if (key.getCode() == KeyCode.F5) {
            go("sheet");
        } else if (key.getCode() == KeyCode.F6) {
            go("easel");
        } else if (key.getCode() == KeyCode.F7) {
            go("lineup");
        } else if (key.getCode() == KeyCode.F8) {
            go("handover");
        } else {
            return false;
        }
        return true;
    }
}
