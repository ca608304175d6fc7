package nexa.imaging.render;

import org.bytedeco.opencv.opencv_core.Mat;

/** Pixels on their way from one stage to the next: closed where a stage throws, for nobody else holds them then. */
public final class ClosedOnThrow {
    private ClosedOnThrow() {}

    /** A stage. */
    public interface Stage<T, E extends Exception> {
        T of(Mat pixels) throws E;
    }

    /** What a stage makes of pixels, which it hands on or closes. */
    public static <T, E extends Exception> T with(Mat pixels, Stage<T, E> stage) throws E {
        boolean isDone = false;
        try {
            T made = stage.of(pixels);
            isDone = true;
            return made;
        } finally {
            if (!isDone) {
                pixels.close();
            }
        }
    }

    /** A new picture that a stage fills. */
    public static <E extends Exception> Mat filled(Mat fresh, Filling<E> filling) throws E {
        return with(fresh, pixels -> {
            filling.fill(pixels);
            return pixels;
        });
    }

    /** What fills a picture. */
    public interface Filling<E extends Exception> {
        void fill(Mat pixels) throws E;
    }
}
