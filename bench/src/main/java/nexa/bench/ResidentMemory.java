package nexa.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** What Linux says of this process's memory. */
final class ResidentMemory {
    private ResidentMemory() {}

    /**
     * Of a field of the process's status.
     *
     * @return −1 if it is not told
     */
    static long megabytes(String field) throws IOException {
        return Files.readAllLines(Path.of("/proc/self/status")).stream()
                .filter(line -> line.startsWith(field))
                .mapToLong(line -> Long.parseLong(line.replaceAll("[^0-9]", "")) / 1024)
                .findFirst()
                .orElse(-1);
    }
}
