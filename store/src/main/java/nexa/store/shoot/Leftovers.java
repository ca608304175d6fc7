package nexa.store.shoot;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.message.Message;
import nexa.core.shoot.Shoot;
import nexa.files.Disk;
import nexa.store.document.ShootDocument;

/**
 * What lies about a shoot besides its present state: what is contained in it and can go, and what belongs to another document
 * and is kept under another name.
 */
final class Leftovers {
    private final String folderName;
    private final Path apartFile;
    private final List<Journal> journals;
    private final List<Journal> contained = new ArrayList<>();
    private final List<Journal> strange = new ArrayList<>();
    private final List<Message> notices = new ArrayList<>();
    private Optional<ShootDocument> strangeApart = Optional.empty();
    private boolean containsApart;
    private Optional<Shoot> setAside = Optional.empty();

    /**
     * None yet.
     *
     * @param apartFile the document kept apart
     * @param journals in both places
     */
    Leftovers(String folderName, Path apartFile, List<Journal> journals) {
        this.folderName = folderName;
        this.apartFile = apartFile;
        this.journals = journals;
    }

    /** The document kept apart is contained in the present one. */
    void addContained() {
        containsApart = true;
    }

    boolean containApart() {
        return containsApart;
    }

    void addContained(Journal journal) {
        contained.add(journal);
    }

    /** The document kept apart belongs to another one than the present. */
    void addStrange(ShootDocument apart) {
        strangeApart = Optional.of(apart);
    }

    void addStrange(Journal journal) {
        strange.add(journal);
    }

    /** No journal is sure to be contained in the present state. */
    void keepAllJournals() {
        strange.addAll(contained);
        contained.clear();
    }

    /**
     * Makes order on disk, once the present state has been saved: what is contained in it goes, what belongs to another
     * document gets another name.
     */
    void tidy(Disk disk) throws IOException {
        if (containsApart) {
            Files.deleteIfExists(apartFile);
        }
        for (Journal journal : contained) {
            journal.clear();
        }
        Optional<KeptAside> otherDocument = Optional.empty();
        if (strangeApart.isPresent()) {
            Path kept = KeptAside.freeName(apartFile.getParent(), KeptAside.DOCUMENT);
            Files.move(apartFile, kept);
            otherDocument = Optional.of(new KeptAside(kept, strangeApart.get()));
        }
        for (Journal journal : strange) {
            keepAside(journal, otherDocument, disk);
        }
        if (otherDocument.isPresent()) {
            Path kept = otherDocument.get().file();
            // Read again, for lines of the journal may have been laid over it.
            setAside = KeptAside.read(kept, folderName).map(KeptAside::document).map(ShootDocument::shoot);
            notices.add(Message.of("aside.documentKept", kept));
        }
    }

    /** Lines of another document are laid over that one, if it is still there. */
    private void keepAside(Journal journal, Optional<KeptAside> otherDocument, Disk disk) throws IOException {
        List<KeptAside> documents = new ArrayList<>();
        otherDocument.ifPresent(documents::add);
        for (Journal each : journals) {
            documents.addAll(KeptAside.in(each.file().getParent(), folderName));
        }
        Journal.Contents contents = journal.read();
        boolean isFolded = contents.broken() == 0
                && documents.stream().anyMatch(document -> document.takes(contents.lines(), folderName, disk));
        if (isFolded) {
            journal.clear();
        } else {
            Path kept = KeptAside.freeName(journal.file().getParent(), KeptAside.JOURNAL);
            Files.move(journal.file(), kept);
            notices.add(Message.of("aside.editsKept", kept));
        }
    }

    /** What belongs to another document than the present one, once {@link #tidy} has given it a name of its own. */
    Optional<Shoot> setAside() {
        return setAside;
    }

    /** What a photographer should know of what was put in order, each a whole sentence. */
    List<Message> notices() {
        return List.copyOf(notices);
    }

    /** What waits to be put in order, where nothing is changed on disk. */
    List<Message> outlook() {
        List<Message> all = new ArrayList<>();
        if (strangeApart.isPresent()) {
            all.add(Message.of("aside.documentLies", apartFile));
        }
        strange.forEach(journal -> all.add(Message.of("aside.editsLie", journal.file())));
        return all;
    }
}
