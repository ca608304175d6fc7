package nexa.imaging.deliver;

import com.google.common.hash.Hashing;
import com.google.common.io.ByteStreams;
import com.google.common.io.MoreFiles;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.util.List;
import java.util.Optional;
import nexa.core.format.DeliveredFile;
import nexa.core.format.DeliveredLines;
import nexa.files.LineFile;
import nexa.files.RegularFile;
import nexa.files.TemporaryFile;

/**
 * What was delivered into a folder before, and from where, so that finished files are recognised after a stop or a crash. A
 * line is written before its file gets its name and one when it has it: a file is ours if its contents are those of either,
 * and somebody else's without a line, or with one of another shoot. Contents are compared by their SHA-256; length and time
 * only save the reading.
 */
final class DeliveredFiles {
    private final Path destination;
    private final String source;
    private final DeliveredLines lines;

    private DeliveredFiles(Path destination, String source, DeliveredLines lines) {
        this.destination = destination;
        this.source = source;
        this.lines = lines;
    }

    /**
     * A file that was delivered and lies there as it was made.
     *
     * @param path where it lies
     * @param line what is known of it
     */
    record Delivered(Path path, DeliveredFile line) {
        /** Whether it was made of this, by whatever versions of the steps. */
        boolean isMadeOf(String contentKey) {
            return line.contentKey().equals(contentKey);
        }

        /** The versions of the steps it was made by. */
        String steps() {
            return line.contents().map(DeliveredFile.Contents::steps).orElse("");
        }
    }

    /**
     * Reads the list of a destination. Lines that are none, or were cut off by a crash, count for nothing.
     *
     * @param destination its real path
     * @param photos the real path of their folder
     * @throws RegularFile.Refused if there is something of the list's name that is no regular file
     */
    static DeliveredFiles in(Path destination, Path photos) throws IOException {
        Path list = destination.resolve(DeliveredFile.LIST);
        RegularFile.requireRegular(list, "destination.notRegular");
        return new DeliveredFiles(destination, source(destination, photos), read(list));
    }

    private static DeliveredLines read(Path list) throws IOException {
        if (!Files.exists(list)) {
            return new DeliveredLines();
        }
        try (BufferedReader text = new BufferedReader(new InputStreamReader(
                ByteStreams.limit(Files.newInputStream(list), DeliveredFile.LARGEST_LIST), StandardCharsets.UTF_8))) {
            return DeliveredLines.of(text.lines()::iterator);
        }
    }

    /** The folder of the photos: from the destination if that lies in it, so that both can be moved together. */
    private static String source(Path destination, Path photos) {
        if (destination.equals(photos)) {
            return DeliveredFile.SAME_FOLDER;
        }
        return destination.startsWith(photos)
                ? destination.relativize(photos).toString()
                : photos.toUri().toString();
    }

    /**
     * The file delivered under a name before, made of whatever, if nobody has changed it since. A line of an earlier version,
     * which does not say whose it is, counts only if the file would be made of the same again.
     */
    synchronized Optional<Delivered> own(String name, String contentKey) throws IOException {
        for (String file : lines.filesOf(name)) {
            List<DeliveredFile> own = lines.ofFile(file).stream()
                    .filter(line -> line.name().equals(name) && isOwn(line, contentKey))
                    .toList();
            Optional<Delivered> there = lying(file).filter(delivered -> own.contains(delivered.line()));
            if (there.isPresent() || own.stream().anyMatch(DeliveredFile::isDone)) {
                // Taken away since, or changed: then what was delivered before it is not asked for either.
                return there;
            }
        }
        return Optional.empty();
    }

    private boolean isOwn(DeliveredFile line, String contentKey) {
        return line.source().map(source::equals).orElse(line.contentKey().equals(contentKey));
    }

    /** What is known of the contents that a file has now; empty if they are none that were delivered. */
    private Optional<Delivered> lying(String file) throws IOException {
        Path path = destination.resolve(file).normalize();
        // A list that somebody tampered with must not lead out of the destination.
        if (!Files.isRegularFile(path, LinkOption.NOFOLLOW_LINKS)
                || !path.toRealPath().startsWith(destination)) {
            return Optional.empty();
        }
        BasicFileAttributes now = Files.readAttributes(path, BasicFileAttributes.class);
        List<DeliveredFile> likely = lines.ofFile(file).stream()
                .filter(line -> line.length() == now.size())
                .toList();
        List<DeliveredFile> sameTime = likely.stream()
                .filter(line -> line.contents()
                        .filter(known -> known.modified().equals(words(now.lastModifiedTime())))
                        .isPresent())
                .toList();
        if (sameTime.size() == 1) {
            return Optional.of(new Delivered(path, sameTime.get(0)));
        }
        boolean isReadable = likely.stream().anyMatch(line -> line.contents().isPresent());
        String digest = isReadable ? digest(path) : "";
        return likely.stream()
                .filter(line -> line.contents()
                        .map(known -> known.digest().equals(digest))
                        .orElse(true))
                .findFirst()
                .map(line -> new Delivered(path, line));
    }

    private static String words(FileTime modified) {
        return modified.toInstant().toString();
    }

    private static String digest(Path file) throws IOException {
        return MoreFiles.asByteSource(file).hash(Hashing.sha256()).toString();
    }

    /** Keeps with a file that turned out to be finished what was only in part known of it. */
    synchronized void settle(Delivered finished, PixelOrigin origin) throws IOException {
        DeliveredFile line = finished.line();
        String modified = words(Files.getLastModifiedTime(finished.path()));
        boolean isKnown = line.isDone()
                && line.contents()
                        .filter(known -> known.modified().equals(modified))
                        .isPresent();
        if (!isKnown) {
            String digest = line.contents().isPresent() ? line.contents().get().digest() : digest(finished.path());
            note(new DeliveredFile(
                    line.name(),
                    line.file(),
                    line.contentKey(),
                    line.length(),
                    Optional.of(source),
                    Optional.of(new DeliveredFile.Contents(
                            DeliveredFile.Phase.DONE,
                            MakingStep.versions(),
                            digest,
                            modified,
                            line.contents().map(DeliveredFile.Contents::pixels).orElse(origin.words()),
                            line.contents().map(DeliveredFile.Contents::look).orElse("")))));
        }
    }

    /**
     * What will be known of a file that is whole and has no name yet.
     *
     * @param name the name that was asked for
     * @param file where it goes
     */
    DeliveredFile line(String name, Path file, String contentKey, TemporaryFile written, PixelOrigin origin)
            throws IOException {
        DeliveredFile.Contents contents = new DeliveredFile.Contents(
                DeliveredFile.Phase.COMING,
                MakingStep.versions(),
                written.digest(),
                words(Files.getLastModifiedTime(written.path())),
                origin.words(),
                origin.differenceWords());
        return new DeliveredFile(
                name,
                destination.relativize(file).toString(),
                contentKey,
                written.length(),
                Optional.of(source),
                Optional.of(contents));
    }

    /** Notes a file that is about to get its name, or has it. */
    synchronized void note(DeliveredFile line) throws IOException {
        lines.add(line);
        // Without a line on disk the file that comes would be somebody else's.
        LineFile.add(destination.resolve(DeliveredFile.LIST), line.line(), !line.isDone());
    }
}
