package nexa.desktop.easel;

import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.application.Platform;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Size;
import nexa.imaging.read.Picture;
import nexa.imaging.render.ScreenRenderer;

/**
 * Draws the photo as it lies in the room, off the JavaFX thread. The drawing reaches somewhat beyond the room, so that
 * sliding only has to shift it. Of drawings asked for while one is being made only the latest is made.
 */
final class RoomPicture {
    /** How far the drawing reaches beyond the room on every side, as a share of the room, while nothing turns. */
    static final double BEYOND = 0.2;

    /** What to draw, and who is to hear when it is done. */
    private record Job(Picture source, Size photo, Projection projection, Detail detail, Consumer<Drawing> done) {}

    /**
     * How much is drawn.
     *
     * @param beyond how far it reaches beyond the room on every side, as a share of the room, 0 … 1
     * @param density pixels of the drawing along one of the room's
     */
    record Detail(double beyond, double density) {}

    /** A drawing and the projection it was made for. */
    record Drawing(Picture picture, Projection projection, Detail detail) {
        double beyond() {
            return detail.beyond();
        }

        double density() {
            return detail.density();
        }
    }

    private final AtomicReference<Job> waiting = new AtomicReference<>();
    /** What is asked for after the room was put away is wanted by nobody. */
    private final ExecutorService thread = new ThreadPoolExecutor(
            1,
            1,
            0,
            TimeUnit.SECONDS,
            new LinkedBlockingQueue<>(),
            task -> {
                Thread worker = new Thread(task, "room picture");
                worker.setDaemon(true);
                return worker;
            },
            new ThreadPoolExecutor.DiscardPolicy());

    /**
     * Draws a photo.
     *
     * @param done called on the JavaFX thread, unless a later drawing has been asked for before this one began
     */
    void draw(Picture source, Size photo, Projection projection, Detail detail, Consumer<Drawing> done) {
        if (waiting.getAndSet(new Job(source, photo, projection, detail, done)) == null) {
            thread.execute(this::drawLatest);
        }
    }

    /** Draws a photo that is likely to be shown next, when nothing else is to be drawn. */
    void drawAhead(Picture source, Size photo, Projection projection, double density, Consumer<Drawing> done) {
        thread.execute(() -> draw(new Job(source, photo, projection, new Detail(BEYOND, density), done)));
    }

    private void drawLatest() {
        Optional.ofNullable(waiting.getAndSet(null)).ifPresent(RoomPicture::draw);
    }

    private static void draw(Job job) {
        Projection projection = job.projection();
        double larger = (1 + 2 * job.detail().beyond()) * job.detail().density();
        int width = (int) Math.ceil(projection.room().width() * larger);
        int height = (int) Math.ceil(projection.room().height() * larger);
        double scale = projection.scale() * job.detail().density();
        Crop part = new Crop(projection.middle(), new Size(width, height).times(1 / scale));
        Picture picture = ScreenRenderer.render(job.source(), job.photo(), part, projection.angle(), width, height);
        Platform.runLater(() -> job.done().accept(new Drawing(picture, projection, job.detail())));
    }

    void dispose() {
        thread.shutdownNow();
    }
}
