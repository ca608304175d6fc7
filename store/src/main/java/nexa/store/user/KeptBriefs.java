package nexa.store.user;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.format.Brief;
import nexa.core.format.NamePattern;
import nexa.core.message.Message;
import nexa.core.message.Telling;
import nexa.files.TemporaryFile;
import nexa.store.document.BriefDocument;
import nexa.store.document.ShootProblem;

/**
 * Briefs that lie in a folder, a file each: those that the photographer keeps for other shoots, or those that came along with
 * photos. None of it is for the JavaFX thread.
 *
 * @param folder may not exist yet
 */
public record KeptBriefs(Path folder) {
    /** So many are told; nobody looks through more. */
    private static final int MOST = 200;

    /** Those of a user. */
    public static KeptBriefs of(UserData userData) {
        return new KeptBriefs(userData.briefs());
    }

    /**
     * A file of a brief.
     *
     * @param document empty if it cannot be used
     * @param problem why not
     */
    public record Kept(Path file, Optional<BriefDocument> document, Optional<ShootProblem> problem) {
        static Kept read(Path file) {
            try {
                return new Kept(file, Optional.of(BriefDocument.read(file)), Optional.empty());
            } catch (ShootProblem e) {
                return new Kept(file, Optional.empty(), Optional.of(e));
            }
        }

        /** Whether it is a brief of a name; one that cannot be read, of a newer Nexa perhaps, is of none. */
        public boolean isOf(String name) {
            return document.filter(read -> read.brief().name().equals(name)).isPresent();
        }

        /** What it is known by: its name, or its file's where it has none. */
        public String name() {
            return document.map(read -> read.brief().name())
                    .orElseGet(() -> file.getFileName().toString().replace(BriefDocument.ENDING, ""));
        }
    }

    /** All of them by name, also those that cannot be used; none if the folder cannot be read. */
    public List<Kept> list() {
        List<Path> files = new ArrayList<>();
        try (Stream<Path> all = Files.list(folder)) {
            all.filter(BriefDocument::isNamedSo).sorted().limit(MOST).forEach(files::add);
        } catch (IOException e) {
            return List.of();
        }
        return files.stream()
                .map(Kept::read)
                .sorted(Comparator.comparing((Kept kept) -> kept.name().toLowerCase(Locale.ROOT)))
                .toList();
    }

    /**
     * Keeps a brief, in place of one of the same name.
     *
     * @throws ShootProblem if it cannot be written; what was kept before is there then
     */
    public void keep(BriefDocument document) throws ShootProblem {
        Path file = file(document.brief().name());
        write(document, file, true);
    }

    /**
     * Keeps a brief that came from elsewhere: where another one of its name is kept, under a name that is free.
     *
     * @return the brief as it is kept
     * @throws ShootProblem if it cannot be written
     */
    public BriefDocument keepBeside(BriefDocument document) throws ShootProblem {
        Map<String, Brief> kept = new HashMap<>();
        list().forEach(each -> each.document().ifPresent(read -> kept.put(each.name(), read.brief())));
        String name = document.brief().name();
        Brief brief = document.brief();
        for (int i = 2;
                kept.containsKey(brief.name()) && !kept.get(brief.name()).equals(brief);
                i++) {
            brief = brief.withName(name + " " + i);
        }
        if (!kept.containsKey(brief.name())) {
            keep(document.with(brief));
        }
        return document.with(brief);
    }

    /** Where the brief of a name is kept, or would be: other names, and files that cannot be read, may have the same file name. */
    private Path file(String name) {
        String plain = NamePattern.clean(name);
        Path file = folder.resolve(plain + BriefDocument.ENDING);
        for (int i = 2;
                Files.exists(file, LinkOption.NOFOLLOW_LINKS)
                        && !Kept.read(file).isOf(name);
                i++) {
            file = folder.resolve(plain + "-" + i + BriefDocument.ENDING);
        }
        return file;
    }

    /**
     * Writes a brief's file.
     *
     * @param replaces whether it may take the place of one that is there
     * @throws ShootProblem if it cannot be written, or is there and may not be replaced
     */
    public static void write(BriefDocument document, Path file, boolean replaces) throws ShootProblem {
        if (!replaces && Files.exists(file, LinkOption.NOFOLLOW_LINKS)) {
            throw new ShootProblem(Message.of("brief.isThere", file));
        }
        try {
            Files.createDirectories(file.toAbsolutePath().getParent());
            TemporaryFile.replace(file, document.bytes());
        } catch (IOException e) {
            throw new ShootProblem(Message.of("brief.cannotWrite", file, Telling.of(e)), e);
        }
    }

    /** @throws ShootProblem if the file cannot be taken away */
    public void forget(Kept kept) throws ShootProblem {
        try {
            Files.deleteIfExists(kept.file());
        } catch (IOException e) {
            throw new ShootProblem(Message.of("brief.cannotForget", kept.file(), Telling.of(e)), e);
        }
    }
}
