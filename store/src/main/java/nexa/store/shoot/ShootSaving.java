package nexa.store.shoot;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.format.Format;
import nexa.core.message.Message;
import nexa.core.message.Telling;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.files.Digest;
import nexa.files.Disk;
import nexa.store.document.ShootDocument;
import nexa.store.document.ShootProblem;
import nexa.store.document.Stand;

/** Records and saves a shoot in one of its {@linkplain TwoPlaces two places}. */
final class ShootSaving {
    private final TwoPlaces places;
    private final Disk disk;
    private final List<Journal> journals;
    private ShootDocument document;
    private long edit;
    /** What lies beside the photos, as it was read or saved last, to notice when something else has changed it. */
    private String besideDigest;
    /** The document beside the photos that what is done now continues: that one, or the last one there was. */
    private String lineage;
    /** Whether the document kept apart, if there is one, is a state of this shoot's that may be replaced. */
    private boolean ownsApart;
    /** What was found at opening, as long as it could not be put in order. */
    private Optional<Leftovers> unordered = Optional.empty();
    /** Where the shoot is kept once its document was changed by something else. */
    private Optional<Path> aside = Optional.empty();

    /** What was found at opening is what is saved next. */
    ShootSaving(TwoPlaces places, Disk disk, List<Journal> journals, Opened opened) {
        this.places = places;
        this.disk = disk;
        this.journals = journals;
        this.document = opened.document();
        this.edit = document.stand().edit();
        this.besideDigest = opened.besideDigest();
        this.lineage = opened.lineage();
        this.ownsApart = opened.isApart();
    }

    Shoot shoot() {
        return document.shoot();
    }

    /** Saves this from now on. */
    void set(Shoot shoot) {
        document = document.with(shoot);
    }

    /** Writes what was scattered into one document, and puts the rest in order; what kept it from that, if anything did. */
    Optional<Message> makeOrder(boolean isScattered, Leftovers leftovers) {
        try {
            if (isScattered) {
                writeDocument();
            }
            leftovers.tidy(disk);
            return Optional.empty();
        } catch (IOException | ShootProblem e) {
            // Nothing is lost by that: it all lies where it was and is found again.
            unordered = Optional.of(leftovers);
            return Optional.of(Telling.of(e));
        }
    }

    /**
     * Records how photos and formats are now, so that it outlives a crash.
     *
     * @param formats empty if they are as they were
     */
    void record(List<Photo> photos, Optional<List<Format>> formats) throws ShootProblem {
        long number = edit + 1;
        Stand stand = new Stand(number, lineage);
        places.write(isBeside -> journals.get(isBeside ? 0 : 1).append(stand, photos, formats, document));
        edit = number;
    }

    /** Saves the shoot where it can be, and not over what something else has written meanwhile. */
    void save(Shoot shoot) throws ShootProblem {
        document = document.with(shoot);
        if (aside.isPresent()) {
            saveAside(aside.get());
        } else if (isChangedOutside()) {
            keepAside();
        } else {
            saveDocument();
        }
    }

    private void saveDocument() throws ShootProblem {
        writeDocument();
        try {
            if (!places.isKeptApart() && ownsApart) {
                Files.deleteIfExists(places.document(false));
            }
            if (unordered.isPresent()) {
                unordered.get().tidy(disk);
                unordered = Optional.empty();
            }
            clearJournals();
        } catch (IOException e) {
            // What is left is contained in what was saved: its number tells so when the shoot is opened.
        }
    }

    private void writeDocument() throws ShootProblem {
        byte[] bytes = stated().bytes();
        places.write(isBeside -> {
            Path file = places.document(isBeside);
            if (!isBeside && !ownsApart && Files.exists(file)) {
                Files.move(file, KeptAside.freeName(file.getParent(), KeptAside.DOCUMENT));
            }
            disk.replace(file, bytes);
        });
        if (places.isKeptApart()) {
            ownsApart = true;
        } else {
            besideDigest = Digest.of(bytes);
            lineage = besideDigest;
        }
    }

    private ShootDocument stated() {
        return document.with(new Stand(edit, lineage));
    }

    /** A document that is gone, with its drive perhaps, is not a changed one. */
    private boolean isChangedOutside() throws ShootProblem {
        return Files.exists(places.document(true), LinkOption.NOFOLLOW_LINKS)
                && !besideDigest.equals(places.digestBeside());
    }

    private void clearJournals() throws IOException {
        for (Journal journal : journals) {
            journal.clear();
        }
    }

    private void keepAside() throws ShootProblem {
        List<Path> made = new ArrayList<>();
        places.write(isBeside -> {
            Path file = KeptAside.freeName(places.home(isBeside), KeptAside.DOCUMENT);
            disk.replace(file, stated().bytes());
            made.add(file);
        });
        aside = Optional.of(made.get(0));
        saveAside(made.get(0));
        throw new ShootProblem(Message.of("shoot.changedOutside", places.document(true), made.get(0)));
    }

    private void saveAside(Path file) throws ShootProblem {
        try {
            disk.replace(file, stated().bytes());
            clearJournals();
        } catch (IOException e) {
            throw places.cannotSave(e, e);
        }
    }
}
