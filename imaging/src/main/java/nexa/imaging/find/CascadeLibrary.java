package nexa.imaging.find;

import java.io.File;
import java.io.IOException;
import java.net.URL;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.bytedeco.javacpp.ClassProperties;
import org.bytedeco.javacpp.Loader;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.global.opencv_photo;
import org.bytedeco.opencv.opencv_objdetect.CascadeClassifier;
import org.bytedeco.opencv.presets.opencv_objdetect;

/**
 * Loads OpenCV's cascades without its windows. The usual way loads all that any module of theirs inherits, windows of a toolkit
 * among it that ends the process beside JavaFX; the cascades themselves use none of it.
 */
final class CascadeLibrary {
    private static final String SWITCH = "org.bytedeco.javacpp.loadlibraries";
    private static final Set<String> UNWANTED = Set.of("opencv_highgui", "opencv_videoio");
    private static final boolean IS_LOADED = load();

    private CascadeLibrary() {}

    /**
     * A cascade that comes with OpenCV.
     *
     * @return empty where it is not to be had on this system
     */
    static Optional<CascadeClassifier> cascade(String name) {
        if (!IS_LOADED) {
            return Optional.empty();
        }
        try {
            String resource = String.format(
                    Locale.ROOT,
                    "/org/bytedeco/opencv/%s/share/opencv4/haarcascades/%s.xml",
                    Loader.getPlatform(),
                    name);
            File file = Loader.cacheResource(CascadeClassifier.class, resource);
            CascadeClassifier cascade = file == null ? null : new CascadeClassifier(file.getPath());
            return Optional.ofNullable(cascade).filter(read -> !read.empty());
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    private static boolean load() {
        try {
            // Whatever else is used is loaded before, so that nobody misses anything while loading is switched off.
            for (Class<?> used :
                    List.of(opencv_core.class, opencv_imgproc.class, opencv_imgcodecs.class, opencv_photo.class)) {
                Class.forName(used.getName());
            }
            ClassProperties properties = Loader.loadProperties(opencv_objdetect.class, Loader.loadProperties(), true);
            String before = System.setProperty(SWITCH, "false");
            try {
                Class.forName(CascadeClassifier.class.getName());
            } finally {
                if (before == null) {
                    System.clearProperty(SWITCH);
                } else {
                    System.setProperty(SWITCH, before);
                }
            }
            for (String library : properties.get("platform.link")) {
                if (!UNWANTED.contains(library.replaceAll("@.*", ""))) {
                    load(properties, library);
                }
            }
            load(properties, properties.get("platform.library").get(0));
            return true;
        } catch (ClassNotFoundException | UnsatisfiedLinkError | RuntimeException e) {
            return false;
        }
    }

    private static void load(ClassProperties properties, String library) {
        URL[] places = Loader.findLibrary(opencv_objdetect.class, properties, library, false);
        Loader.loadLibrary(opencv_objdetect.class, places, library);
    }
}
