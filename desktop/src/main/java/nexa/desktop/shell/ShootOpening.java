package nexa.desktop.shell;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.function.Supplier;
import javafx.application.Platform;
import nexa.core.shoot.Shoot;
import nexa.desktop.parts.Words;
import nexa.store.document.ShootProblem;
import nexa.store.shoot.ShootFolder;
import nexa.store.user.RecentShoots;
import nexa.store.user.UserData;

/**
 * Opens a folder, or the folder of a photo at that photo, in the background. One at a time: what is being opened already is not
 * opened again, and anything else waits for it.
 */
final class ShootOpening {
    /** The window that shows what is opened. */
    interface Window {
        /** Lets go of the shoot that is open if a path lies in it: only one window may write a shoot. Done when it is saved. */
        CompletableFuture<Void> letGoOf(Path path);

        /** @param photos the photos that were opened; several are shown alone, one is gone to, none is the whole shoot */
        void show(ShootFolder folder, List<String> photos);

        void say(String words);
    }

    private final UserData userData;
    private final RecentShoots recent;
    private final OwnThings own;
    private final Executor workers;
    private final Window window;
    private CompletableFuture<Void> opening = CompletableFuture.completedFuture(null);
    private List<Path> what = List.of();

    ShootOpening(UserData userData, RecentShoots recent, OwnThings own, Executor workers, Window window) {
        this.userData = userData;
        this.recent = recent;
        this.own = own;
        this.workers = workers;
        this.window = window;
    }

    /** Done when it is shown, or when it is told why it is not. */
    CompletableFuture<Void> open(List<Path> paths) {
        if (paths.isEmpty() || (!opening.isDone() && paths.equals(what))) {
            return opening;
        }
        what = List.copyOf(paths);
        CompletableFuture<Void> shown = new CompletableFuture<>();
        CompletableFuture<Void> before = opening;
        opening = shown;
        before.thenRun(() -> onWindowThread(() -> openNow(paths, shown)));
        return shown;
    }

    /** Opens the sample shoot when its folder is ready. */
    void openSample(Supplier<Path> copying) {
        CompletableFuture.supplyAsync(copying, workers)
                .thenAccept(folder -> Platform.runLater(() -> open(List.of(folder))))
                .exceptionally(problem -> {
                    Platform.runLater(() -> window.say(Words.get("message.sample", Words.say(problem))));
                    return null;
                });
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
        window.letGoOf(first)
                .thenRunAsync(() -> readAndShow(paths, first, shown), workers)
                .exceptionally(problem -> {
                    notShown(first + ": " + Words.say(problem), shown);
                    return null;
                });
    }

    /** The next one may be opened all the same. */
    private void notShown(String why, CompletableFuture<Void> shown) {
        Platform.runLater(() -> {
            window.say(why);
            shown.complete(null);
        });
    }

    private void readAndShow(List<Path> paths, Path first, CompletableFuture<Void> shown) {
        try {
            boolean isPhoto = Files.isRegularFile(first);
            ShootFolder folder = ShootFolder.open(isPhoto ? first.getParent() : first, userData);
            remember(folder.path());
            own.load();
            List<String> photos = isPhoto ? photos(folder.shoot(), beside(first, paths)) : List.of();
            Platform.runLater(() -> {
                window.show(folder, photos);
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

    /** The photos that files belong to. */
    private static List<String> photos(Shoot shoot, List<String> files) {
        Map<String, String> byRaw = new HashMap<>();
        shoot.photos().forEach(photo -> photo.raw().ifPresent(raw -> byRaw.put(raw, photo.file())));
        return files.stream()
                .map(file -> byRaw.getOrDefault(file, file))
                .distinct()
                .toList();
    }

    private void remember(Path folder) {
        try {
            recent.add(folder);
        } catch (IOException e) {
            Platform.runLater(() -> window.say(Words.get("message.recent", Words.say(e))));
        }
    }
}
