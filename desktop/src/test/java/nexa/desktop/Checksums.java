package nexa.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import nexa.store.shoot.PhotoFiles;

/** Checksums of the photos of a folder. */
final class Checksums {
    private Checksums() {}

    static Map<String, Long> of(Path folder) throws IOException {
        Map<String, Long> sums = new TreeMap<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(
                            one -> PhotoFiles.isPhoto(one.getFileName().toString()))
                    .toList()) {
                CRC32 sum = new CRC32();
                sum.update(Files.readAllBytes(file));
                sums.put(file.getFileName() + " " + Files.getLastModifiedTime(file), sum.getValue());
            }
        }
        return sums;
    }
}
