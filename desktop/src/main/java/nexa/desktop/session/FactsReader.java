package nexa.desktop.session;

import java.util.List;
import java.util.function.Consumer;
import nexa.core.shoot.Photo;
import nexa.imaging.facts.PhotoFolder;
import nexa.imaging.facts.ShootReading;

/**
 * Reads what a shoot's photos say of themselves, a few at a time, whenever no picture is wanted. Tells it in ever larger
 * parts, the first screen soon, the views not stirred too often, and waits until each has been shown: reading on would take
 * the time that showing needs.
 */
final class FactsReader {
    private static final int FIRST_PART = 48;
    private static final int AT_A_TIME = 12;

    /** Hears of each part, on a background thread. */
    interface Told {
        /**
         * A part is read.
         *
         * @param goOn to be called when it has been shown
         */
        void read(ShootReading part, boolean isLast, Runnable goOn);
    }

    private final PhotoFolder folder;
    private final List<Photo> photos;
    private final Consumer<Runnable> whenIdle;
    private final Told told;
    private ShootReading part = ShootReading.none();
    private int read;
    private int inPart;
    private int partSize = FIRST_PART;
    private volatile boolean isStopped;

    /**
     * A reader that has not begun.
     *
     * @param whenIdle does something when no picture is wanted
     * @param told hears each part and whether it is the last, on a background thread
     */
    FactsReader(PhotoFolder folder, List<Photo> photos, Consumer<Runnable> whenIdle, Told told) {
        this.folder = folder;
        this.photos = photos;
        this.whenIdle = whenIdle;
        this.told = told;
    }

    void begin() {
        if (!photos.isEmpty()) {
            whenIdle.accept(this::readOn);
        }
    }

    void stop() {
        isStopped = true;
    }

    /** Runs on one thread after another, never on two at once: each run asks for the next one when it is done. */
    private synchronized void readOn() {
        if (isStopped) {
            return;
        }
        int to = Math.min(photos.size(), read + AT_A_TIME);
        part = part.plus(ShootReading.of(photos.subList(read, to), folder));
        inPart += to - read;
        read = to;
        boolean isLast = read == photos.size();
        if (isLast || inPart >= partSize) {
            ShootReading finished = part;
            part = ShootReading.none();
            inPart = 0;
            partSize *= 3;
            told.read(finished, isLast, isLast ? () -> {} : this::begin);
        } else {
            whenIdle.accept(this::readOn);
        }
    }
}
