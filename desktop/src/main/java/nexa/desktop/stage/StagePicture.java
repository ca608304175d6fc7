package nexa.desktop.stage;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Size;
import nexa.core.shoot.Photo;
import nexa.imaging.pictures.OutsidePicture;
import nexa.imaging.pictures.Picture;
import nexa.imaging.pictures.ScreenRenderer;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;
import nexa.imaging.work.WorkQueue;

/**
 * Draws the photo as it lies on the stage, off the JavaFX thread. The drawing reaches somewhat beyond the stage, so that
 * sliding only has to shift it. Of drawings asked for while one is being made only the latest is made.
 */
final class StagePicture {
    /** How far the drawing reaches beyond the stage on every side, as a share of the stage, while nothing turns. */
    static final double BEYOND = 0.2;

    /**
     * How much is drawn.
     *
     * @param beyond how far it reaches beyond the stage on every side, as a share of the stage, 0 … 1
     * @param density pixels of the drawing along one of the stage's
     */
    record Detail(double beyond, double density) {}

    /** A drawing of a photo, and how it was to lie. */
    record Drawing(Picture picture, Photo photo, Pose lying, Detail detail, Optional<OutsidePicture> around) {
        Projection projection() {
            return lying.projection();
        }

        /** Whether it shows a photo as it is, wherever that lies; its tone may be that of another crop of it. */
        boolean isOf(Photo other) {
            return photo.hasSamePictureAs(other)
                    && photo.hasSamePlaneAs(other)
                    && photo.preparation().tone().equals(other.preparation().tone());
        }

        /**
         * Whether it shows a photo as it is, and of its crop the tone and what lies beyond.
         *
         * @param wanted what the crop shows of what lies outside its photo
         */
        boolean shows(Photo other, Pose target, Optional<OutsidePicture> wanted) {
            boolean isAnyCrop = other.preparation().tone().isSameInEveryCrop() && wanted.isEmpty() && around.isEmpty();
            return isOf(other)
                    && (isAnyCrop || lying.crop().equals(target.crop()))
                    && around.flatMap(OutsidePicture::stretch).isPresent()
                            == wanted.flatMap(OutsidePicture::stretch).isPresent()
                    && filled(around) == filled(wanted);
        }

        private static OutsidePicture.Filled filled(Optional<OutsidePicture> around) {
            return around.flatMap(OutsidePicture::filled).orElse(null);
        }

        double beyond() {
            return detail.beyond();
        }

        double density() {
            return detail.density();
        }
    }

    private final WorkQueue queue = WorkQueue.withThreads("stage picture", 1, Long.MAX_VALUE);
    /** What is being drawn for now, the last one perhaps not begun yet. */
    private final Deque<Ticket> asked = new ArrayDeque<>();

    /**
     * Draws a photo.
     *
     * @param done called on the JavaFX thread, unless a later drawing has been asked for before this one began
     */
    void draw(
            Picture source,
            Photo photo,
            Pose lying,
            Detail detail,
            Optional<OutsidePicture> around,
            Consumer<Drawing> done) {
        if (!asked.isEmpty()) {
            asked.getLast().drop();
        }
        asked.removeIf(Ticket::isCancelled);
        asked.add(queue.add(
                Urgency.NOW,
                WorkQueue.LIGHT,
                ticket -> hear(ticket, drawn(source, photo, lying, detail, around), drawing -> {
                    asked.remove(ticket);
                    done.accept(drawing);
                })));
    }

    /** Draws a photo that is likely to be shown next, when nothing else is to be drawn. */
    void drawAhead(Picture source, Photo photo, Pose lying, double density, Consumer<Drawing> done) {
        queue.add(
                Urgency.AHEAD,
                WorkQueue.LIGHT,
                ticket ->
                        hear(ticket, drawn(source, photo, lying, new Detail(BEYOND, density), Optional.empty()), done));
    }

    private static void hear(Ticket ticket, Drawing drawing, Consumer<Drawing> done) {
        Platform.runLater(() -> {
            if (!ticket.isCancelled()) {
                done.accept(drawing);
            }
        });
    }

    /** Nothing that is being drawn for now is heard of any more. */
    void forget() {
        asked.forEach(Ticket::cancel);
        asked.clear();
    }

    private static Drawing drawn(
            Picture source, Photo photo, Pose target, Detail detail, Optional<OutsidePicture> around) {
        Projection projection = target.projection();
        double larger = (1 + 2 * detail.beyond()) * detail.density();
        int width = (int) Math.ceil(projection.stage().width() * larger);
        int height = (int) Math.ceil(projection.stage().height() * larger);
        double scale = projection.scale() * detail.density();
        Crop part = new Crop(projection.middle(), new Size(width, height).times(1 / scale));
        // While it is being turned, it lies otherwise than the shoot says.
        Photo lying = photo.withAngle(projection.angle());
        Picture picture = ScreenRenderer.render(source, lying, part, target.crop(), around, width, height);
        return new Drawing(picture, lying, target, detail, around);
    }

    void dispose() {
        queue.close();
    }
}
