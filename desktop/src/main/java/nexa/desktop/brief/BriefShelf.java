package nexa.desktop.brief;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.Format;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Background;
import nexa.store.document.BriefDocument;
import nexa.store.document.ShootProblem;
import nexa.store.user.KeptBriefs;
import nexa.store.user.KeptFormats;
import nexa.store.user.KeptTerms;
import nexa.store.user.Preferences;

/** The briefs that are at hand, the photographer's own and those that lie beside photos. Files are read and written in the background. */
public final class BriefShelf {
    private final Background background;
    private final KeptBriefs own;
    private final KeptFormats formats;
    private final Preferences preferences;

    /**
     * A shelf.
     *
     * @param own those that are kept
     * @param formats those that are kept one by one
     * @param preferences which hold the terms of delivery
     */
    public BriefShelf(Background background, KeptBriefs own, KeptFormats formats, Preferences preferences) {
        this.background = background;
        this.own = own;
        this.formats = formats;
        this.preferences = preferences;
    }

    /**
     * What there is.
     *
     * @param own those that are kept
     * @param beside those that lie beside the photos
     */
    record Contents(List<KeptBriefs.Kept> own, List<KeptBriefs.Kept> beside) {
        /** All of them, the kept ones first. */
        List<KeptBriefs.Kept> all() {
            List<KeptBriefs.Kept> all = new ArrayList<>(own);
            all.addAll(beside);
            return all;
        }

        /** The one of a name, if it can be used. */
        Optional<KeptBriefs.Kept> named(String name) {
            return all().stream().filter(kept -> kept.isOf(name)).findFirst();
        }
    }

    /** Reads what there is. Not for the JavaFX thread. */
    Contents read(Path photos) {
        return new Contents(own.list(), new KeptBriefs(photos).list());
    }

    /** Formats that are kept one by one. */
    List<Format> formats() {
        return formats.list();
    }

    DeliveryTerms terms() {
        return KeptTerms.read(preferences);
    }

    void setTerms(DeliveryTerms terms) {
        KeptTerms.keep(preferences, terms);
    }

    /** Something that may not come off. */
    private interface Work {
        /** Does it, and gives what comes then on the JavaFX thread. */
        Runnable done() throws ShootProblem;
    }

    /**
     * Keeps a brief, in place of one of the same name.
     *
     * @param kept hears that it is kept
     * @param failed hears why it is not
     */
    void keep(BriefDocument document, Runnable kept, Consumer<String> failed) {
        work(failed, () -> {
            own.keep(document);
            return kept;
        });
    }

    /**
     * Keeps the brief of a file that somebody sent, beside one of the same name that is kept already.
     *
     * @param taken hears which it is
     * @param failed hears why it is not taken
     */
    public void take(Path file, Consumer<BriefDocument> taken, Consumer<String> failed) {
        work(failed, () -> {
            BriefDocument document = own.keepBeside(BriefDocument.read(file));
            return () -> taken.accept(document);
        });
    }

    /** Writes a brief into a file, to be sent; see {@link KeptBriefs#write}. */
    void write(BriefDocument document, Path file, boolean replaces, Runnable written, Consumer<String> failed) {
        work(failed, () -> {
            KeptBriefs.write(document, file, replaces);
            return written;
        });
    }

    /** Forgets a brief that is kept. */
    void forget(KeptBriefs.Kept kept, Runnable forgotten, Consumer<String> failed) {
        work(failed, () -> {
            own.forget(kept);
            return forgotten;
        });
    }

    private void work(Consumer<String> failed, Work work) {
        background.workers().execute(() -> {
            try {
                Platform.runLater(work.done());
            } catch (ShootProblem e) {
                Platform.runLater(() -> failed.accept(Words.say(e)));
            }
        });
    }
}
