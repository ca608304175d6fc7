package nexa.imaging.find;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;

/** The trained models that come with the program. */
enum ModelFile {
    /** Persons, animals and things. */
    THINGS(List.of(), "nanodet.onnx.1", "nanodet.onnx.2"),
    /** Faces of any size. */
    FACES(List.of("reshaped_classifier_face_4", "reshaped_regressor_face_4"), "face-full.tflite"),
    /** Faces that fill much of a picture. */
    NEAR_FACES(List.of("classificators", "regressors"), "face-short.tflite");

    private final List<String> layers;
    private final List<String> parts;

    ModelFile(List<String> layers, String... parts) {
        this.layers = layers;
        this.parts = List.of(parts);
    }

    /** The layers that answer, in their order; none for the last ones. */
    List<String> layers() {
        return layers;
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
