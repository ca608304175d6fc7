package nexa.desktop.easel;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.PixelSize;
import nexa.core.shoot.FileIdentity;
import nexa.imaging.decode.ExifOrientation;
import nexa.imaging.decode.PhotoKind;
import nexa.imaging.decode.StoredPixels;
import nexa.imaging.facts.CameraData;
import nexa.imaging.facts.CaptureTime;
import nexa.imaging.facts.PhotoFacts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CameraWordsTest {
    private static PhotoFacts facts(Optional<LocalDateTime> time, CameraData camera) {
        return new PhotoFacts(
                PhotoKind.JPEG,
                new StoredPixels(new PixelSize(6000, 4000), 3),
                ExifOrientation.UPRIGHT,
                time.map(local -> new CaptureTime(local, Optional.empty())),
                camera,
                Optional.empty(),
                new FileIdentity(1, "x"),
                Optional.empty(),
                false,
                false);
    }

    private static CameraData exposed(double seconds) {
        return new CameraData(
                Optional.of("Kilnaro"),
                Optional.of("Kilnaro 2"),
                Optional.of("Long 52 mm"),
                Optional.of(52.0),
                OptionalDouble.of(52),
                Optional.of(5.6),
                Optional.empty(),
                Optional.of(seconds),
                Optional.of(1600));
    }

    @Test
    void timeCameraAndLensAreSaidAsFarAsTheyAreKnown() {
        LocalDateTime time = LocalDateTime.of(2026, 3, 9, 14, 5, 7);
        assertThat(CameraWords.gear(facts(Optional.of(time), exposed(0.01))))
                .isEqualTo("9 Mar 2026, 14:05:07   Kilnaro 2   Long 52 mm");
        assertThat(CameraWords.gear(facts(Optional.empty(), CameraData.NONE))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0.016666666, 1/60 s", "0.0005, 1/2 000 s", "0.25, 1/4 s", "0.5, 0.5 s", "30, 30.0 s"})
    void theExposureIsSaidAsCamerasSayIt(double seconds, String words) {
        assertThat(CameraWords.exposure(facts(Optional.empty(), exposed(seconds)))
                        .replace('\u2009', ' '))
                .isEqualTo("52 mm   f/5.6   " + words + "   ISO 1600");
    }

    @Test
    void aPhotoThatSaysNothingHasNoExposure() {
        assertThat(CameraWords.exposure(facts(Optional.empty(), CameraData.NONE)))
                .isEmpty();
    }
}
