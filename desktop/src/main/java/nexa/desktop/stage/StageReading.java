package nexa.desktop.stage;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.pictures.Picture;
import nexa.imaging.pictures.PictureLevel;
import nexa.imaging.pictures.PictureLibrary;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;

/** Reads the pictures of the photo on the stage, from coarse to fine, and those of its neighbours. */
final class StageReading {
    /** Hears what comes of it. */
    interface Listener {
        /** A finer picture is there. */
        void finer();

        /** The photo cannot be read. */
        void failed(PhotoProblem problem);
    }

    private final PictureLibrary library;
    private final Listener listener;
    private final List<Ticket> asked = new ArrayList<>();
    /** By file. */
    private final Map<String, Ticket> askedAhead = new HashMap<>();

    private Optional<Photo> photo = Optional.empty();
    private Sources sources = Sources.NONE;
    private boolean hasAskedForFull;

    StageReading(PictureLibrary library, Listener listener) {
        this.library = library;
        this.listener = listener;
    }

    /** What there is of the photo so far. */
    Sources sources() {
        return sources;
    }

    /** Turns to another photo; what was asked for before is not waited for any more. */
    void turnTo(Photo next) {
        stop();
        photo = Optional.of(next);
        sources = library.finestReady(next).map(Sources.NONE::with).orElse(Sources.NONE);
    }

    /** Reads as much of the photo as the stage shows. */
    void readPreview() {
        photo.ifPresent(shown -> read(shown, PictureLevel.PREVIEW));
    }

    /** A picture of the photo that was read elsewhere. */
    void add(Picture read) {
        sources = sources.with(read);
    }

    /** There is no photo any more. */
    void stop() {
        // What nobody waits for any more would keep others waiting, and take the memory of what is wanted next.
        asked.forEach(Ticket::cancel);
        asked.clear();
        askedAhead.values().forEach(Ticket::cancel);
        askedAhead.clear();
        photo = Optional.empty();
        sources = Sources.NONE;
        hasAskedForFull = false;
    }

    /**
     * Reads all of the photo's pixels if fewer would be seen to be too few.
     *
     * @param width of the whole photo on the screen, in its pixels
     */
    void readFinerFor(double width) {
        Photo shown = photo.orElseThrow();
        Picture finest = sources.finest().orElseThrow();
        boolean isWhole = finest.width() >= shown.size().width();
        boolean isPreview = Math.max(finest.width(), finest.height()) > PictureLevel.PRINT.longSide();
        if (sources.isTooCoarseFor(width) && isPreview && !isWhole && !hasAskedForFull) {
            hasAskedForFull = true;
            read(shown, PictureLevel.FULL);
        }
    }

    private void read(Photo of, PictureLevel level) {
        asked.add(library.photo(of, level, Urgency.NOW, new PictureLibrary.Listener() {
            @Override
            public void ready(Picture read) {
                take(of, read);
            }

            @Override
            public void failed(PhotoProblem problem) {
                if (isAt(of)) {
                    listener.failed(problem);
                }
            }
        }));
    }

    private boolean isAt(Photo other) {
        return photo.map(shown -> shown.hasSamePictureAs(other)).orElse(false);
    }

    private void take(Photo of, Picture read) {
        boolean isFiner =
                sources.finest().map(now -> now.width() < read.width()).orElse(true);
        if (isAt(of) && isFiner) {
            add(read);
            listener.finer();
        }
    }

    /**
     * Reads the preview of a photo that is likely to be shown next.
     *
     * @param ready is given it at once, if it is there already, or when it has been read, if it is still likely then
     */
    void readAhead(Photo next, Consumer<Picture> ready) {
        Optional<Picture> preview = library.ifReady(next, PictureLevel.PREVIEW);
        if (preview.isPresent()) {
            ready.accept(preview.get());
        } else {
            askedAhead.computeIfAbsent(
                    next.file(),
                    file -> library.readAhead(next, PictureLevel.PREVIEW, () -> {
                        // The photo may have been left behind while it was read.
                        if (askedAhead.remove(next.file()) != null && photo.isPresent()) {
                            readAhead(next, ready);
                        }
                    }));
        }
    }
}
