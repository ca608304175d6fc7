package nexa.desktop.shell;

import java.nio.file.Path;
import java.util.function.Consumer;
import javafx.collections.ListChangeListener;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Deliveries;
import nexa.desktop.session.RunningDelivery;
import nexa.imaging.deliver.Delivery;

/** Says what came of each delivery, whatever is in front then, and offers to open the folder. */
final class DeliveryNews {
    private static final int LONG = 90;

    private final MessageBar messages;
    private final Consumer<Path> openFolder;

    DeliveryNews(Deliveries deliveries, MessageBar messages, Consumer<Path> openFolder) {
        this.messages = messages;
        this.openFolder = openFolder;
        deliveries.all().addListener((ListChangeListener<RunningDelivery>) change -> {
            while (change.next()) {
                change.getAddedSubList().forEach(this::listen);
            }
        });
    }

    private void listen(RunningDelivery delivery) {
        delivery.outcomeProperty()
                .addListener((observed, before, now) -> now.ifPresent(outcome -> tell(delivery, outcome)));
    }

    private void tell(RunningDelivery delivery, RunningDelivery.Outcome outcome) {
        if (outcome.problem().isPresent()) {
            messages.keep(Words.say(outcome.problem().get()));
        } else {
            outcome.result().ifPresent(result -> tell(delivery, result, outcome.files()));
        }
    }

    private void tell(RunningDelivery delivery, Delivery.Result result, int asked) {
        int there = result.written().size() + result.kept().size();
        boolean isWhole = there == asked;
        String words = Words.get(
                isWhole ? "delivered.all" : "delivered.some",
                delivery.title(),
                there,
                asked,
                time(delivery.seconds()),
                delivery.destination());
        messages.offer("delivered.open", words, () -> openFolder.accept(delivery.destination()));
    }

    private static String time(double seconds) {
        long whole = Math.round(seconds);
        return whole >= LONG
                ? Words.get("time.minutes", whole / 60, whole % 60)
                : Words.get("time.seconds", Words.number(seconds, seconds < 10 ? 1 : 0));
    }
}
