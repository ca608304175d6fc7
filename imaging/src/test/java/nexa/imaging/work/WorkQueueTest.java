package nexa.imaging.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class WorkQueueTest {
    /** What the queue hands to its workers; run by hand, on one thread. */
    private final Deque<Runnable> workers = new ArrayDeque<>();

    private final List<String> done = new ArrayList<>();
    private final WorkQueue queue = new WorkQueue(workers::add, 1, 100);

    private Ticket add(Urgency urgency, String name) {
        return queue.add(urgency, WorkQueue.LIGHT, ticket -> done.add(name));
    }

    private void runAll() {
        while (!workers.isEmpty()) {
            workers.poll().run();
        }
    }

    @Test
    void theUrgentComesFirstThenTheLatestAndTheIdleInTheOrderAsked() {
        add(Urgency.IDLE, "idle 1");
        add(Urgency.SOON, "soon 1");
        add(Urgency.AHEAD, "ahead");
        add(Urgency.IDLE, "idle 2");
        add(Urgency.SOON, "soon 2");
        add(Urgency.NOW, "now");
        runAll();
        assertThat(done).containsExactly("now", "soon 2", "soon 1", "ahead", "idle 1", "idle 2");
    }

    @Test
    void whatIsCancelledIsNotDoneAndWhatIsDroppedOnlyIfItHasBegun() {
        List<Boolean> wanted = new ArrayList<>();
        Ticket[] own = new Ticket[1];
        own[0] = queue.add(Urgency.NOW, WorkQueue.LIGHT, ticket -> {
            own[0].drop();
            wanted.add(!ticket.isCancelled());
            own[0].cancel();
            wanted.add(!ticket.isCancelled());
        });
        add(Urgency.SOON, "cancelled").cancel();
        add(Urgency.SOON, "dropped").drop();
        add(Urgency.SOON, "left");
        runAll();
        assertThat(wanted).containsExactly(true, false);
        assertThat(done).containsExactly("left");
    }

    @Test
    void whatWeighsTooMuchBesideTheOthersWaitsForThem() {
        WorkQueue two = new WorkQueue(workers::add, 2, 100);
        two.add(Urgency.NOW, 70, ticket -> {
            done.add("first begins");
            // Another worker looks for work meanwhile.
            two.add(Urgency.NOW, 60, heavy -> done.add("heavy"));
            runAll();
            done.add("first ends");
        });
        runAll();
        assertThat(done).containsExactly("first begins", "first ends", "heavy");
    }

    @Test
    void whatFitsIsWorkedOnBesideTheOthersAndWhatNeverFitsAlone() {
        WorkQueue two = new WorkQueue(workers::add, 2, 100);
        two.add(Urgency.NOW, 70, ticket -> {
            done.add("first begins");
            two.add(Urgency.NOW, 30, light -> done.add("light"));
            runAll();
            done.add("first ends");
        });
        two.add(Urgency.IDLE, 1000, ticket -> done.add("huge"));
        runAll();
        assertThat(done).containsExactly("first begins", "light", "first ends", "huge");
    }

    @Test
    void aFaultEndsOnlyItsOwnWork() {
        queue.add(Urgency.NOW, 50, ticket -> {
            throw new IllegalStateException("a fault");
        });
        add(Urgency.SOON, "the next");
        assertThatThrownBy(this::runAll).hasMessage("a fault");
        runAll();
        assertThat(done).containsExactly("the next");
    }

    @Test
    void aClosedQueueDoesNothingMore() {
        Ticket waiting = add(Urgency.NOW, "waiting");
        queue.close();
        runAll();
        assertThat(add(Urgency.NOW, "late").isCancelled()).isTrue();
        runAll();
        assertThat(waiting.isCancelled()).isTrue();
        assertThat(done).isEmpty();
    }

    @Test
    void manyThreadsDoAllOfIt() throws Exception {
        int many = 500;
        CountDownLatch left = new CountDownLatch(many);
        try (WorkQueue threads = WorkQueue.withThreads("test", 4, 10)) {
            for (int i = 0; i < many; i++) {
                threads.add(Urgency.values()[i % 4], i % 7, ticket -> left.countDown());
            }
            assertThat(left.await(1, TimeUnit.MINUTES)).isTrue();
        }
    }

    @Test
    void ofWhatIsAskedForOnlyTheLatestIsWorkedOutAndHeard() {
        Deque<Runnable> hearing = new ArrayDeque<>();
        LatestOnly<String> latest = new LatestOnly<>(workers::add, hearing::add, done::add);
        for (String next : List.of("first", "second", "third")) {
            latest.ask(() -> next + " worked out");
        }
        runAll();
        assertThat(hearing).hasSize(1);
        latest.ask(() -> "asked meanwhile");
        runAll();
        hearing.forEach(Runnable::run);
        assertThat(done).containsExactly("asked meanwhile");
        latest.ask(() -> "forgotten");
        latest.forget();
        runAll();
        assertThat(done).hasSize(1);
    }
}
