package nexa.store.lens;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.xml.stream.XMLStreamException;
import nexa.core.lens.KnownCamera;
import nexa.core.lens.KnownLens;
import nexa.core.lens.LensBook;
import nexa.core.message.Message;
import nexa.core.message.Telling;
import nexa.files.RegularFile;

/**
 * The open lens data, where it is installed: read where it lies, never written. Without it there are no lenses to be known, and
 * everything else works.
 */
public final class LensData {
    /** The system property that puts its folder elsewhere. */
    public static final String PROPERTY = "nexa.lensdata";

    /** Where Debian's package has it. */
    private static final Path INSTALLED = Path.of("/usr/share/lensfun/version_1");

    private static final int LARGEST = 64 * 1024 * 1024;

    private LensData() {}

    /** The folder it lies in, if it is there. */
    public static Path folder() {
        String set = System.getProperty(PROPERTY);
        return set == null ? INSTALLED : Path.of(set);
    }

    /** All of it, but for files that cannot be read. Takes about a second, so not for the JavaFX thread. */
    public static ReadLenses read() {
        return read(folder());
    }

    /** As {@link #read()}, of a folder. */
    public static ReadLenses read(Path folder) {
        List<KnownCamera> cameras = new ArrayList<>();
        List<KnownLens> lenses = new ArrayList<>();
        List<Message> told = new ArrayList<>();
        for (Path file : files(folder)) {
            try {
                LensXml.Contents part = LensXml.read(RegularFile.read(file, LARGEST));
                cameras.addAll(part.book().cameras());
                lenses.addAll(part.book().lenses());
                if (part.passedOver() > 0) {
                    told.add(Message.of("lens.passedOver", file, part.passedOver()));
                }
            } catch (IOException | XMLStreamException | RuntimeException | StackOverflowError | OutOfMemoryError e) {
                // The others say what they say all the same; a lens of this one is not known.
                told.add(Message.of("lens.fileNotRead", file, said(e)));
            }
        }
        return new ReadLenses(new LensBook(cameras, lenses), told);
    }

    private static Message said(Throwable thrown) {
        return thrown instanceof XMLStreamException ? Message.of("lens.noXml") : Telling.of(thrown);
    }

    private static List<Path> files(Path folder) {
        List<Path> files = new ArrayList<>();
        try (DirectoryStream<Path> found = Files.newDirectoryStream(folder, "*.xml")) {
            found.forEach(files::add);
        } catch (IOException e) {
            return List.of();
        }
        files.sort(null);
        return files;
    }
}
