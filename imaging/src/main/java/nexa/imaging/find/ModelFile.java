package nexa.imaging.find;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;

/** The trained models that come with the program. */
enum ModelFile {
    /** Persons, animals and things. */
    THINGS("nanodet.onnx.1", "nanodet.onnx.2"),
    /** Faces of any size. */
    FACES("face-full.tflite"),
    /** Faces that fill much of a picture. */
    NEAR_FACES("face-short.tflite");

    private final List<String> parts;

    ModelFile(String... parts) {
        this.parts = List.of(parts);
    }

    /** The resources it is in, which are joined. */
    List<String> parts() {
        return parts;
    }

    /** Where models are read from. */
    interface Resources {
        /** Of a name; {@code null} if there is none. */
        InputStream open(String name) throws IOException;
    }

    /** Whether all of it is there. */
    boolean isIn(Resources resources) {
        for (String part : parts) {
            try (InputStream in = resources.open(part)) {
                if (in == null) {
                    return false;
                }
            } catch (IOException e) {
                return false;
            }
        }
        return true;
    }

    /** All of it; empty if any part cannot be read. */
    Optional<byte[]> read(Resources resources) {
        ByteArrayOutputStream joined = new ByteArrayOutputStream();
        for (String part : parts) {
            try (InputStream in = resources.open(part)) {
                if (in == null) {
                    return Optional.empty();
                }
                in.transferTo(joined);
            } catch (IOException e) {
                return Optional.empty();
            }
        }
        return Optional.of(joined.toByteArray());
    }
}
