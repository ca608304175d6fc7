package nexa.desktop.session;

import static nexa.desktop.session.SessionFixture.await;
import static nexa.desktop.session.SessionFixture.on;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.common.base.Stopwatch;
import com.google.common.base.Ticker;
import com.google.common.util.concurrent.Uninterruptibles;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Stream;
import nexa.core.format.DeliveryTerms;
import nexa.core.message.Message;
import nexa.desktop.parts.Words;
import nexa.imaging.deliver.DeliveryPlan;
import nexa.imaging.facts.PhotoFolder;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Deliveries that go on whatever becomes of the shoot they are of. */
class DeliveriesTest {
    @TempDir
    Path temporary;

    private Path folder;
    private Path out;
    private final Deliveries deliveries = new Deliveries(Message::toString);

    @BeforeEach
    void makePhotos() throws Exception {
        folder = SessionFixture.photos(Files.createDirectory(temporary.resolve("shoot")));
        out = temporary.resolve("out");
    }

    private static DeliveryPlan.Choice own(Optional<Set<String>> only) {
        return new DeliveryPlan.Choice(Set.of("own"), false, false, only);
    }

    private RunningDelivery begin(SessionFixture fixture, Optional<Set<String>> only) throws Exception {
        return on(() -> deliveries.begin(fixture.session(), own(only), out, DeliveryTerms.USUAL.withList(false)));
    }

    private List<String> files() throws Exception {
        try (Stream<Path> files = Files.walk(out)) {
            return files.filter(Files::isRegularFile)
                    .map(file -> file.getFileName().toString())
                    .filter(name -> !name.startsWith("."))
                    .toList();
        }
    }

    @Test
    void aDeliveryBegunBeforeReadingHasEndedReadsFirstAndLeavesNothingOut() throws Exception {
        SessionFixture fixture = SessionFixture.begin(folder, temporary.resolve("data"));
        RunningDelivery delivery = begin(fixture, Optional.empty());
        // The shoot is put away at once; the delivery goes on.
        fixture.close();
        await(() -> !delivery.isRunning());
        RunningDelivery.Outcome outcome =
                on(() -> delivery.outcomeProperty().get().orElseThrow());
        assertThat(outcome.result().orElseThrow().failures()).isEmpty();
        assertThat(files()).hasSize(6);
        assertThat(on(() -> deliveries.of(folder.toRealPath()))).contains(delivery);
        assertThat(on(deliveries::running)).isEmpty();
    }

    @Test
    void aPhotoWhoseProblemHasPassedIsDelivered() throws Exception {
        Path away = Files.move(folder.resolve("w1.png"), temporary.resolve("w1.png"));
        try (SessionFixture fixture = SessionFixture.open(folder, temporary.resolve("data"))) {
            Files.writeString(folder.resolve("w2.png"), "no photo");
            on(() -> {
                fixture.session().readAgain(Set.of("w2.png"));
                return null;
            });
            await(() -> fixture.session().hasProblem(fixture.session().shoot().photo("w2.png")));
            Files.copy(away, folder.resolve("w2.png"), StandardCopyOption.REPLACE_EXISTING);
            RunningDelivery delivery = begin(fixture, Optional.empty());
            await(() -> !delivery.isRunning());
            assertThat(files()).contains("w2.jpg").hasSize(5);
        }
    }

    @Test
    void ofPhotosOpenedAloneOnlyTheseAreDelivered() throws Exception {
        try (SessionFixture fixture = SessionFixture.open(folder, temporary.resolve("data"))) {
            RunningDelivery delivery = begin(fixture, Optional.of(Set.of("w1.png", "t2.png")));
            await(() -> !delivery.isRunning());
            assertThat(files()).containsExactlyInAnyOrder("w1.jpg", "t2.jpg");
        }
    }

    private RunningDelivery.Order order() {
        return new RunningDelivery.Order(
                "Firing", new PhotoFolder(folder), out, DeliveryTerms.USUAL, Message::toString);
    }

    @Test
    void aFaultEndsADeliveryWithWordsAndTheNextOneCanBegin() throws Exception {
        RunningDelivery faulty = on(() -> new RunningDelivery(order(), 0, Stopwatch.createUnstarted(), read -> {
            throw new IllegalStateException("a fault");
        }));
        await(() -> !faulty.isRunning());
        assertThat(on(() -> faulty.outcomeProperty().get().orElseThrow().problem()))
                .map(Words::say)
                .hasValueSatisfying(said -> assertThat(said).contains("inside Nexa"));
        try (SessionFixture fixture = SessionFixture.open(folder, temporary.resolve("data"))) {
            RunningDelivery next = begin(fixture, Optional.empty());
            await(() -> !next.isRunning());
            assertThat(files()).hasSize(6);
        }
    }

    @Test
    void theTimeItWorkedIsToldWithoutThatInWhichItWasPaused() throws Exception {
        AtomicLong seconds = new AtomicLong();
        Ticker clock = new Ticker() {
            @Override
            public long read() {
                return TimeUnit.SECONDS.toNanos(seconds.get());
            }
        };
        CountDownLatch reading = new CountDownLatch(1);
        RunningDelivery delivery = on(() -> new RunningDelivery(order(), 0, Stopwatch.createUnstarted(clock), read -> {
            Uninterruptibles.awaitUninterruptibly(reading);
            return new DeliveryPlan(List.of(), Set.of());
        }));
        seconds.addAndGet(5);
        on(() -> {
            delivery.setPaused(true);
            seconds.addAndGet(100);
            delivery.setPaused(false);
            return null;
        });
        seconds.addAndGet(2);
        assertThat(on(delivery::seconds)).isEqualTo(7.0);
        reading.countDown();
        await(() -> !delivery.isRunning());
    }

    @Test
    void whatCannotBeginSaysWhyAndCanBeBegunAgain() throws Exception {
        Files.writeString(out, "a file");
        try (SessionFixture fixture = SessionFixture.open(folder, temporary.resolve("data"))) {
            RunningDelivery refused = begin(fixture, Optional.empty());
            await(() -> !refused.isRunning());
            assertThat(on(() -> refused.outcomeProperty().get().orElseThrow().problem()))
                    .map(Words::say)
                    .hasValueSatisfying(words -> assertThat(words).contains("is a file, not a folder"));
            Files.delete(out);
            RunningDelivery again = begin(fixture, Optional.empty());
            await(() -> !again.isRunning());
            assertThat(files()).hasSize(6);
        }
    }
}
