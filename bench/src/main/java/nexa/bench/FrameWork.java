package nexa.bench;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadInfo;
import java.lang.management.ThreadMXBean;
import java.util.Arrays;
import java.util.function.Consumer;
import javafx.animation.AnimationTimer;

/**
 * How long the JavaFX thread works in each frame: the processor time it takes from one pulse to the next, events, layout and
 * handing over to the renderer included. Waiting for the next pulse is not counted, so this does not depend on how often
 * frames come. Made on the JavaFX thread.
 */
final class FrameWork {
    private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

    private final long window = Thread.currentThread().getId();
    private final long renderer;
    private final Consumer<Frame> heard;
    private long windowBefore = -1;
    private long rendererBefore;

    /**
     * A frame.
     *
     * @param work of the JavaFX thread, in milliseconds
     * @param rendering of the thread that draws, in milliseconds
     */
    record Frame(double work, double rendering) {}

    private final AnimationTimer timer = new AnimationTimer() {
        @Override
        public void handle(long now) {
            long windowNow = THREADS.getThreadCpuTime(window);
            long rendererNow = Math.max(0, THREADS.getThreadCpuTime(renderer));
            if (windowBefore >= 0) {
                heard.accept(new Frame((windowNow - windowBefore) / 1e6, (rendererNow - rendererBefore) / 1e6));
            }
            windowBefore = windowNow;
            rendererBefore = rendererNow;
        }
    };

    FrameWork(Consumer<Frame> heard) {
        this.heard = heard;
        this.renderer = Arrays.stream(THREADS.getThreadInfo(THREADS.getAllThreadIds()))
                .filter(info -> info != null && info.getThreadName().startsWith("QuantumRenderer"))
                .mapToLong(ThreadInfo::getThreadId)
                .findFirst()
                .orElse(window);
    }

    void start() {
        timer.start();
    }

    void stop() {
        timer.stop();
    }
}
