package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.Collection;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import nexa.core.format.DeliveredFile;
import nexa.files.TemporaryFile;

/** Writes the files of a delivery. Anything that is there and not known as delivered is never replaced, a source photo least. */
final class FileWriting {
    private final Path destination;
    private final Path source;
    private final Set<String> photos;
    private final boolean replacesOwn;
    private final DeliveredFiles delivered;

    /**
     * Nothing is written yet.
     *
     * @param destination a real path, as is {@code source}, so that a link cannot make one place look like two
     * @param photos the files of the source that are photos, in letters
     * @param replacesOwn whether files of an earlier delivery are replaced; else new ones are numbered
     */
    FileWriting(Path destination, Path source, Set<String> photos, boolean replacesOwn, DeliveredFiles delivered) {
        this.destination = destination;
        this.source = source;
        this.photos = photos;
        this.replacesOwn = replacesOwn;
        this.delivered = delivered;
    }

    /** Clears the folders of these files: what a crash left half written is of no use to anybody. */
    void clearLeftovers(Collection<String> names) throws IOException {
        Set<Path> folders = names.stream()
                .map(name -> destination.resolve(name).getParent())
                .filter(Files::isDirectory)
                .collect(Collectors.toSet());
        for (Path folder : folders) {
            try (DirectoryStream<Path> left = Files.newDirectoryStream(folder, TemporaryFile.PATTERN_OF_DELIVERED)) {
                for (Path file : left) {
                    if (Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
                        Files.deleteIfExists(file);
                    }
                }
            }
        }
    }

    /**
     * Writes a file in place of the one of an earlier delivery, or under a free name; whole or not at all.
     *
     * @param name where it goes inside the destination, with / between folders
     * @param contentKey what it is made of; see {@link DeliveryItem#contentKey}
     */
    Path write(String name, String contentKey, byte[] bytes, PixelOrigin origin) throws IOException {
        Path target = destination.resolve(name);
        Files.createDirectories(target.getParent());
        try (TemporaryFile written = TemporaryFile.toDeliver(target.getParent(), bytes)) {
            Optional<Path> earlier = delivered.own(name, contentKey).map(DeliveredFiles.Delivered::path);
            if (replacesOwn && earlier.isPresent() && !isSource(earlier.get())) {
                DeliveredFile line = delivered.line(name, earlier.get(), contentKey, written, origin);
                delivered.note(line);
                written.replaceAnyway(earlier.get());
                delivered.note(line.at(DeliveredFile.Phase.DONE));
                return earlier.get();
            }
            return moveToFreeName(name, contentKey, written, origin, target);
        }
    }

    private boolean isSource(Path file) throws IOException {
        Path real = file.toRealPath();
        return real.startsWith(source)
                && photos.contains(source.relativize(real).toString());
    }

    /** Gives a finished file its name; where that is taken, by a source photo or anything else, a numbered one. */
    private Path moveToFreeName(String asked, String contentKey, TemporaryFile written, PixelOrigin origin, Path target)
            throws IOException {
        String name = target.getFileName().toString();
        int dot = name.lastIndexOf('.');
        Path free = target;
        for (int i = 2; ; i++) {
            try {
                if (!Files.exists(free, LinkOption.NOFOLLOW_LINKS)) {
                    DeliveredFile line = delivered.line(asked, free, contentKey, written, origin);
                    delivered.note(line);
                    // Not ATOMIC_MOVE: that would replace what is there.
                    Files.move(written.path(), free);
                    delivered.note(line.at(DeliveredFile.Phase.DONE));
                    return free;
                }
            } catch (FileAlreadyExistsException e) {
                // Somebody else was quicker: the next number.
                Thread.onSpinWait();
            }
            free = target.resolveSibling(name.substring(0, dot) + "-" + i + name.substring(dot));
        }
    }
}
