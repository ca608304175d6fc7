package nexa.imaging.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import nexa.core.find.FoundSubject;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The models that come with the program: they are there, held no longer than needed, and can be done without. */
class TrainedModelsTest {
    private static final Path SAMPLE = Path.of("..", "sample", "photos", "fern-0159.jpg");

    private final AtomicLong now = new AtomicLong();

    private TrainedModels models(ModelFile.Resources resources) {
        return new TrainedModels(resources, now::get);
    }

    private static InputStream own(String name) {
        return TrainedModels.class.getResourceAsStream(name);
    }

    @ParameterizedTest
    @CsvSource({
        "face-full.tflite, 99bf9494d84f50acc6617d89873f71bf6635a841ea699c17cb3377f9507cfec3",
        "face-short.tflite, 3bc182eb9f33925d9e58b5c8d59308a760f4adea8f282370e428c51212c26633",
        "nanodet.onnx.1, fe2a1e546df5a6b82ea8c227c1abda1dddbbb3a0e103b52b4fc608777b9be2af",
        "nanodet.onnx.2, d1b607ed091b35b5f2c5239a669d6b1de5f317e022a3894250a0222764c91e9f"
    })
    void eachIsTheOneThatWasMeasured(String name, String digest) throws Exception {
        try (InputStream in = own(name)) {
            assertThat(in).as(name).isNotNull();
            byte[] contents = in.readAllBytes();
            assertThat(contents.length).isLessThan(4 * 1024 * 1024);
            assertThat(HexFormat.of()
                            .formatHex(MessageDigest.getInstance("SHA-256").digest(contents)))
                    .isEqualTo(digest);
        }
    }

    @Test
    void nothingOfAToolkitIsLoadedForThem() throws Exception {
        found(TrainedModels.OWN);
        assertThat(TrainedModels.OWN.areComplete()).isTrue();
        Path maps = Path.of("/proc/self/maps");
        if (Files.exists(maps)) {
            List<String> loaded = Files.readAllLines(maps);
            assertThat(loaded).anyMatch(line -> line.contains("opencv_dnn"));
            assertThat(loaded).noneMatch(line -> line.contains("opencv_highgui"));
        }
    }

    @ParameterizedTest
    @EnumSource(ModelFile.class)
    void whereOneIsMissingOrBrokenTheFinderDoesWithout(ModelFile missing) {
        FoundSubject withAll = found(models(TrainedModelsTest::own));
        TrainedModels without = models(name -> missing.parts().contains(name) ? null : own(name));
        assertThat(found(without).subject()).isEqualTo(withAll.subject());
        assertThat(without.areComplete()).isFalse();
        TrainedModels broken =
                models(name -> missing.parts().contains(name) ? new ByteArrayInputStream(new byte[999]) : own(name));
        assertThat(found(broken).subject()).isEqualTo(withAll.subject());
        assertThat(broken.areComplete()).isFalse();
    }

    /** In a picture without persons, animals and things that the models know. */
    private static FoundSubject found(TrainedModels models) {
        try (Mat bgr = opencv_imgcodecs.imread(SAMPLE.toString(), opencv_imgcodecs.IMREAD_COLOR)) {
            models.faces(FaceModel.NEAR, bgr);
            return SubjectFinder.find(bgr, models, () -> false).orElseThrow();
        }
    }

    @Test
    void theyAreLetGoWhenNobodyAskedForTwoMinutes() {
        TrainedModels models = models(TrainedModelsTest::own);
        try (Scalar grey = Scalar.all(90);
                Mat plain = new Mat(200, 300, opencv_core.CV_8UC3, grey)) {
            models.things(plain);
            now.addAndGet(TimeUnit.SECONDS.toNanos(119));
            models.letGo();
            assertThat(models.isHeld()).isTrue();
            models.faces(FaceModel.ANY, plain);
            now.addAndGet(TimeUnit.SECONDS.toNanos(119));
            models.letGo();
            assertThat(models.isHeld()).as("asked meanwhile").isTrue();
            now.addAndGet(TimeUnit.SECONDS.toNanos(2));
            models.letGo();
            assertThat(models.isHeld()).isFalse();
            assertThat(models.things(plain)).as("read again").isNotNull();
            assertThat(models.isHeld()).isTrue();
        }
    }
}
