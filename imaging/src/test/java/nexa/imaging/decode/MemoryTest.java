package nexa.imaging.decode;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import nexa.core.format.PixelSize;
import nexa.core.message.Telling;
import nexa.imaging.TestPhotos;
import org.junit.jupiter.api.Test;

class MemoryTest {
    private static final RuntimeException BY_OPENCV =
            new IllegalStateException("OpenCV(4) /home/builder/alloc.cpp:73: error: (-4:Insufficient memory) Failed to"
                    + " allocate 777600000 bytes in function 'OutOfMemoryError'");

    @Test
    void whoeverTellsThatThereIsNoMemoryIsToldOfInOurOwnWords() {
        for (Throwable thrown :
                new Throwable[] {BY_OPENCV, new OutOfMemoryError("x"), new RuntimeException(BY_OPENCV)}) {
            assertThat(Memory.isShort(thrown)).isTrue();
            PhotoProblem problem = PhotoProblem.of("a.jpg", thrown);
            assertThat(problem.reason()).isEqualTo(PhotoProblem.Reason.NO_MEMORY);
            assertThat(TestPhotos.WORDS.say(problem))
                    .startsWith("a.jpg needs more memory than there is")
                    .doesNotContain("/home");
        }
        assertThat(Memory.isShort(new RuntimeException("(-5:Bad argument)"))).isFalse();
    }

    @Test
    void aFaultSaysNothingOfItsInsides() {
        assertThat(TestPhotos.WORDS.say(Telling.of(new IllegalStateException("/home/builder/x.cpp:12"))))
                .contains("inside Nexa")
                .doesNotContain("/home");
    }

    @Test
    void pixelsThatFindNoRoomAreTold() {
        Memory.require(new PixelSize(100, 100));
        assertThatExceptionOfType(OutOfMemoryError.class)
                .isThrownBy(() -> Memory.require(new PixelSize(2_000_000_000, 2_000_000_000)));
    }
}
