package nexa.imaging.deliver;

import java.util.Arrays;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.message.Message;

/**
 * What makes a file's bytes, each with a version, which rises when the same photo, crop and format come out as other bytes.
 * Files that were made by another version are made anew, if they were made by that step at all.
 */
enum MakingStep {
    JPEG(1, "delivered.anewJpeg"),
    PNG(1, "delivered.anewPng"),
    /** Since 2 by libtiff: strips that do not become smaller were cut short before. */
    TIFF(2, "delivered.anewTiff"),
    /** What the camera noted. Since 2 built of what may leave; copied and mended before. */
    CAMERA_DATA(2, "delivered.anewCameraData"),
    /** Turned or reshaped pixels. Since 2 by six taps where they keep their size, by sharpened linear ones where they lose much. */
    WARP(2, "delivered.anewWarp"),
    /** Pixels that are neither turned nor reshaped, at another size. Since 2 summed up in another order. */
    RESIZED(2, "delivered.anewResized"),
    /** Light and colour in more than 8 bits. Since 2 worked out between the numbers. */
    DEEP_TONES(2, "delivered.anewDeepTones"),
    /** A colour around a photo with a trimmed border. Since 2 without that border. */
    TRIMMED_FILL(2, "delivered.anewTrimmedFill"),
    /** The raw file's pixels. Since 2 framed over all turns, and only where they are the photo's. */
    RAW(2, "delivered.anewRaw");

    private final int version;
    private final String anew;

    MakingStep(int version, String anew) {
        this.version = version;
        this.anew = anew;
    }

    /** Why files of the version before are made anew. */
    Message anew() {
        return Message.of(anew);
    }

    /** The versions of all steps, as kept with a file. */
    static String versions() {
        return Arrays.stream(values()).map(MakingStep::words).collect(Collectors.joining(", "));
    }

    private String words() {
        return name() + " " + version;
    }

    /** The steps whose version is another one than those kept with a file; nothing kept stands for the first of each. */
    static Set<MakingStep> otherThan(String versions) {
        Set<String> kept = Set.of(versions.split(", "));
        return Stream.of(values())
                .filter(step -> !kept.contains(step.words()))
                .filter(step -> step.version > 1 || kept.stream().anyMatch(one -> one.startsWith(step.name() + " ")))
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
