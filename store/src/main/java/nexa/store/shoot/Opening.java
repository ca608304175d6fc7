package nexa.store.shoot;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.message.Message;
import nexa.core.shoot.Shoot;
import nexa.files.Digest;
import nexa.files.RegularFile;
import nexa.store.document.ShootDocument;
import nexa.store.document.ShootProblem;
import nexa.store.document.Stand;
import nexa.store.document.StandardFormats;
import nexa.store.json.ValidationError;

/**
 * Tells what of all that lies about a shoot is its present state. There is one rule: every document and every line of a
 * journal says which edit it is and which document <em>beside the photos</em> it continues.
 *
 * <ul>
 *   <li>What continues the document that lies beside the photos now, with a higher edit number, is newer: a document kept
 *       apart opens, and lines are laid over.
 *   <li>What continues the same document as that one does, with no higher number, is contained in it.
 *   <li>Everything else belongs to another document, one that was replaced, restored or changed outside meanwhile. It is
 *       never laid over this one, but kept under another name.
 * </ul>
 *
 * No clock decides anything.
 */
final class Opening {
    private final String folderName;
    private final Path apartFile;
    private final List<Journal> journals;
    private Optional<ShootDocument> apart = Optional.empty();
    private ShootDocument present;
    private Path presentFile;
    /** Which document beside the photos the present state continues. */
    private String lineage = Digest.NOTHING;

    private String besideNow = Digest.NOTHING;

    private int replayed;
    private final Leftovers leftovers;
    private final List<Message> notices = new ArrayList<>();

    private Opening(String folderName, Path apartFile, List<Journal> journals) {
        this.folderName = folderName;
        this.apartFile = apartFile;
        this.journals = journals;
        this.leftovers = new Leftovers(folderName, apartFile, journals);
    }

    /**
     * Reads everything, and changes nothing on disk.
     *
     * @param journals in both places
     * @throws ShootProblem if the document that counts cannot be read or does not fit
     */
    static Opening of(TwoPlaces places, List<Journal> journals, String folderName) throws ShootProblem, IOException {
        Opening opening = new Opening(folderName, places.document(false), journals);
        opening.choose(places.document(true));
        opening.layLinesOver();
        return opening;
    }

    private void choose(Path besideFile) throws ShootProblem {
        Optional<byte[]> beside = ShootDocument.find(besideFile);
        besideNow = beside.map(Digest::of).orElse(Digest.NOTHING);
        readApart(beside.isPresent());
        boolean opensApart = apart.isPresent()
                && (beside.isEmpty()
                        || (apart.get().stand().continues().equals(besideNow)
                                && !isOlderThan(besideFile, beside.get())));
        if (opensApart) {
            present = apart.get();
            presentFile = apartFile;
            lineage = present.stand().continues();
        } else if (beside.isPresent()) {
            present = ShootDocument.read(besideFile, beside.get(), folderName);
            presentFile = besideFile;
            lineage = besideNow;
            judgeApart();
        } else {
            present = ShootDocument.of(Shoot.of(folderName, Shoot.Order.TIME, StandardFormats.waiting(), List.of()));
            presentFile = besideFile;
        }
    }

    private boolean isOlderThan(Path besideFile, byte[] besideBytes) {
        try {
            ShootDocument document = ShootDocument.read(besideFile, besideBytes, folderName);
            return apart.orElseThrow().stand().edit() < document.stand().edit();
        } catch (ShootProblem e) {
            // The one apart was made of these very bytes, so it is what there is of the shoot.
            return false;
        }
    }

    private void readApart(boolean hasBeside) throws ShootProblem {
        try {
            Optional<byte[]> contents = ShootDocument.find(apartFile);
            if (contents.isPresent()) {
                apart = Optional.of(ShootDocument.read(apartFile, contents.get(), folderName));
            }
        } catch (ShootProblem e) {
            if (!hasBeside) {
                throw e;
            }
            notices.add(e.told());
        }
    }

    private void judgeApart() {
        if (apart.isPresent()) {
            Stand kept = apart.get().stand();
            boolean isContained = kept.continues().equals(present.stand().continues())
                    && kept.edit() > 0
                    && kept.edit() <= present.stand().edit();
            if (isContained) {
                leftovers.addContained();
            } else {
                leftovers.addStrange(apart.get());
            }
        }
    }

    private void layLinesOver() throws IOException, ShootProblem {
        List<Journal.Line> newer = new ArrayList<>();
        for (Journal journal : journals) {
            Journal.Contents contents;
            try {
                contents = journal.read();
            } catch (RegularFile.Refused e) {
                notices.add(Message.of("journal.unusable", journal.file(), e.told()));
                continue;
            }
            boolean isStrange = contents.broken() > 0;
            for (Journal.Line line : contents.lines()) {
                if (isNewer(line, journal)) {
                    newer.add(line);
                } else if (!isContained(line)) {
                    isStrange = true;
                }
            }
            if (contents.broken() > 0) {
                int kept = contents.lines().size();
                notices.add(Message.of("journal.broken", journal.file(), kept, kept + contents.broken()));
            }
            if (isStrange) {
                leftovers.addStrange(journal);
            } else if (!journal.isEmpty()) {
                leftovers.addContained(journal);
            }
        }
        newer.sort(Comparator.comparingLong(Journal.Line::edit));
        layOver(newer);
    }

    /** A line of an earlier version says nothing of itself: it belongs to the document in its own place. */
    private boolean isNewer(Journal.Line line, Journal journal) {
        if (line.continues().isEmpty()) {
            return journal.file().getParent().equals(presentFile.getParent());
        }
        return line.continues().get().equals(lineage)
                && line.edit() > present.stand().edit();
    }

    private boolean isContained(Journal.Line line) {
        boolean isOfPresent = line.continues().isPresent()
                && (line.continues().get().equals(present.stand().continues())
                        || line.continues().get().equals(lineage));
        return isOfPresent && line.edit() <= present.stand().edit();
    }

    private void layOver(List<Journal.Line> lines) throws ShootProblem {
        int good = lines.size();
        Optional<ShootDocument> laid = laidOver(lines);
        if (laid.isEmpty()) {
            // Each line fits, but not all of them together: as many as do.
            int from = 0;
            while (from < good - 1) {
                int middle = (from + good) / 2;
                if (laidOver(lines.subList(0, middle)).isPresent()) {
                    from = middle;
                } else {
                    good = middle;
                }
            }
            good = from;
            laid = laidOver(lines.subList(0, good));
            notices.add(Message.of("journal.misfit", good, lines.size()));
            leftovers.keepAllJournals();
        }
        replayed = good;
        present = laid.orElse(present);
    }

    /** The present document with lines laid over it; empty if they do not fit together. */
    private Optional<ShootDocument> laidOver(List<Journal.Line> lines) {
        if (lines.isEmpty()) {
            return Optional.of(present);
        }
        ObjectNode tree = present.written();
        Journal.replay(lines, tree);
        long edit =
                Math.max(present.stand().edit() + 1, lines.get(lines.size() - 1).edit());
        try {
            return Optional.of(ShootDocument.of(tree, folderName)
                    .with(new Stand(edit, present.stand().continues())));
        } catch (ValidationError e) {
            return Optional.empty();
        }
    }

    /** The shoot as it was left. */
    Opened opened() {
        boolean isApart = presentFile.equals(apartFile) || leftovers.containApart();
        return new Opened(present, besideNow, lineage, isApart);
    }

    /** Whether the present state is not in any one document yet. */
    boolean isScattered() {
        return replayed > 0;
    }

    /** What lies about besides the present state, to be put in order. */
    Leftovers leftovers() {
        return leftovers;
    }

    /** What a photographer should know of it, each a whole sentence. */
    List<Message> notices() {
        return List.copyOf(notices);
    }
}
