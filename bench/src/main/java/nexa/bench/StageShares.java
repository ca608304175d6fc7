package nexa.bench;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What share of a delivery's time goes where, by looking again and again at what its threads are doing. */
final class StageShares implements AutoCloseable {
    private static final int MILLIS = 2;
    private static final String DELIVERY = "nexa.imaging.deliver.Delivery";

    private enum Stage {
        DECODE("nexa.imaging.decode."),
        FILL("nexa.imaging.fill."),
        FILTER("nexa.imaging.render.LanczosResampling"),
        WARP("nexa.imaging.render.LanczosWarp", "nexa.imaging.render.SixTaps") {
            @Override
            boolean has(String classAndMethod) {
                return super.has(classAndMethod) || classAndMethod.endsWith("Map.warp");
            }
        },
        TONE("nexa.imaging.tone.", "nexa.imaging.render.GainMap", "nexa.imaging.render.ToneCurve"),
        ENCODE("nexa.imaging.deliver.JpegFile", "nexa.imaging.deliver.PngFile", "nexa.imaging.deliver.TiffFile"),
        OTHER("");

        private final String[] classes;

        Stage(String... classes) {
            this.classes = classes;
        }

        boolean has(String classAndMethod) {
            return Stream.of(classes).anyMatch(classAndMethod::startsWith);
        }

        /** The innermost that a thread is in. */
        static Stage of(StackTraceElement[] stack) {
            return Stream.of(stack)
                    .map(frame -> frame.getClassName() + "." + frame.getMethodName())
                    .flatMap(frame -> Stream.of(values()).filter(stage -> stage != OTHER && stage.has(frame)))
                    .findFirst()
                    .orElse(OTHER);
        }
    }

    private final Map<Stage, Integer> seen = new EnumMap<>(Stage.class);
    private final Thread looking = new Thread(this::look, "looking");
    private volatile boolean isOver;

    StageShares() {
        looking.setDaemon(true);
        looking.start();
    }

    private void look() {
        while (!isOver) {
            Thread.getAllStackTraces().forEach((thread, stack) -> {
                boolean delivers =
                        Stream.of(stack).anyMatch(frame -> frame.getClassName().startsWith(DELIVERY));
                if (delivers && thread.getState() == Thread.State.RUNNABLE) {
                    seen.merge(Stage.of(stack), 1, Integer::sum);
                }
            });
            try {
                Thread.sleep(MILLIS);
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    @Override
    public void close() throws InterruptedException {
        isOver = true;
        looking.join();
    }

    /** Shares in hundredths. */
    String told() {
        double all = seen.values().stream().mapToInt(Integer::intValue).sum();
        return seen.entrySet().stream()
                .map(entry -> String.format(
                        Locale.ROOT,
                        "%s %.0f",
                        entry.getKey().name().toLowerCase(Locale.ROOT),
                        100 * entry.getValue() / all))
                .collect(Collectors.joining(", ", "  of its time in % ", ""));
    }
}
