package nexa.desktop.session;

import com.google.common.base.Stopwatch;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import nexa.core.format.DeliveryTerms;
import nexa.core.message.Message;
import nexa.core.series.SureLevels;
import nexa.core.shoot.Shoot;
import nexa.imaging.deliver.DeliveryPlan;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.facts.ShootReading;

/** The deliveries of a window, whatever shoot is open: those under way, and the last one of each shoot. */
public final class Deliveries {
    private final ObservableList<RunningDelivery> all = FXCollections.observableArrayList();
    /** Held, or those who listen to it would hear nothing once it is gone. */
    private final ObservableList<RunningDelivery> shown = FXCollections.unmodifiableObservableList(all);

    private final Function<Message, String> words;

    /** @param words for what the lists of the files tell */
    public Deliveries(Function<Message, String> words) {
        this.words = words;
    }

    /** The latest come last. */
    public ObservableList<RunningDelivery> all() {
        return shown;
    }

    public List<RunningDelivery> running() {
        return all.stream().filter(RunningDelivery::isRunning).toList();
    }

    /** The last delivery of a shoot. */
    public Optional<RunningDelivery> of(Path shoot) {
        return all.stream().filter(one -> one.source().equals(shoot)).reduce((first, second) -> second);
    }

    /**
     * Begins to deliver a shoot as it is now. Photos that have not been read yet, or could not be, are read first: what they
     * are called and how large they come out depends on it.
     */
    public RunningDelivery begin(
            ShootSession session, DeliveryPlan.Choice choice, Path destination, DeliveryTerms terms) {
        Shoot shoot = session.shoot();
        ShootReading reading = session.readingProperty().get();
        SureLevels levels = session.levels();
        PhotoFolder folder = session.photoFolder();
        int unread = unread(shoot, reading).size();
        RunningDelivery.Order order = new RunningDelivery.Order(shoot.title(), folder, destination, terms, words);
        RunningDelivery begun = new RunningDelivery(order, unread, Stopwatch.createUnstarted(), read -> {
            int[] done = new int[1];
            Set<String> waiting = unread(shoot, reading);
            ShootReading complete = reading.completed(
                    shoot.photos().stream()
                            .filter(photo -> waiting.contains(photo.file()))
                            .toList(),
                    folder,
                    () -> read.accept(++done[0]));
            if (!waiting.isEmpty()) {
                Platform.runLater(() -> session.learn(complete));
            }
            return DeliveryPlan.of(complete.appliedTo(shoot), complete, choice, levels);
        });
        all.removeIf(one -> one.source().equals(folder.path()) && !one.isRunning());
        all.add(begun);
        return begun;
    }

    private static Set<String> unread(Shoot shoot, ShootReading reading) {
        return shoot.photos().stream()
                .filter(photo -> !reading.has(photo) || reading.problems().containsKey(photo.file()))
                .map(photo -> photo.file())
                .collect(Collectors.toSet());
    }

    public void stopAll() {
        running().forEach(RunningDelivery::stop);
    }
}
