package nexa.desktop.session;

import static nexa.desktop.session.SessionFixture.await;
import static nexa.desktop.session.SessionFixture.on;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import nexa.imaging.work.LatestOnly;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxToolkit;

/** What is worked out in the background keeps its turn, and of several things asked for the last is heard. */
class TurnsTest {
    private final Background background = new Background();
    private final Turns turns = new Turns(background.workers());
    private final List<String> done = new ArrayList<>();

    @BeforeAll
    static void startToolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
    }

    @AfterEach
    void stop() {
        background.close();
    }

    private void onWindowThread(Runnable action) throws Exception {
        on(() -> {
            action.run();
            return null;
        });
    }

    private static String after(CountDownLatch latch, String what) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        return what;
    }

    @Test
    void whatComesLaterWaitsAndBeginsWithWhatTheOneBeforeCameTo() throws Exception {
        CountDownLatch first = new CountDownLatch(1);
        onWindowThread(() -> {
            turns.take(() -> () -> after(first, "many"), done::add);
            turns.now(() -> done.add("one after " + done));
            turns.take(
                    () -> {
                        String seen = "more after " + done.size();
                        return () -> seen;
                    },
                    done::add);
        });
        assertThat(on(() -> List.copyOf(done))).isEmpty();
        first.countDown();
        await(() -> done.size() == 3);
        assertThat(done).containsExactly("many", "one after [many]", "more after 2");
    }

    @Test
    void settlingWaitsForEverythingThatIsUnderWay() throws Exception {
        CountDownLatch first = new CountDownLatch(1);
        onWindowThread(() -> {
            turns.take(() -> () -> after(first, "many"), done::add);
            turns.now(() -> done.add("one"));
            first.countDown();
            turns.settle();
            assertThat(done).containsExactly("many", "one");
        });
    }

    @Test
    void ofSeveralThingsAskedForOnlyTheLastIsHeardAndThoseBetweenAreNotEvenWorkedOut() throws Exception {
        CountDownLatch first = new CountDownLatch(1);
        List<String> worked = new ArrayList<>();
        LatestOnly<String> latest = background.latest(done::add);
        onWindowThread(() -> {
            latest.ask(() -> after(first, "first"));
            for (String next : List.of("second", "third")) {
                latest.ask(() -> {
                    worked.add(next);
                    return next;
                });
            }
        });
        first.countDown();
        await(() -> done.contains("third"));
        assertThat(done).containsExactly("third");
        assertThat(worked).doesNotContain("second");
    }

    @Test
    void whatIsForgottenIsNeverHeardOf() throws Exception {
        CountDownLatch first = new CountDownLatch(1);
        LatestOnly<String> latest = background.latest(done::add);
        onWindowThread(() -> {
            latest.ask(() -> after(first, "put away"));
            latest.forget();
            latest.ask(() -> "asked again");
        });
        first.countDown();
        await(() -> !done.isEmpty());
        assertThat(done).containsExactly("asked again");
    }
}
