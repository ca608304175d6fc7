package nexa.imaging.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.stream.Stream;
import nexa.core.find.Found;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.PhotoFolder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What was found is kept with the finder's number, so whoever finds something else raises it, and notes here what that is. */
class FinderVersionTest {
    private static final Path SAMPLE = Path.of("..", "sample", "photos");

    @Test
    void theAnswersBelowAreThoseOfThisFinder() {
        assertThat(Found.FINDER).isEqualTo(3);
    }

    /** Told in degrees, and in shares of the photo's sides; a hundredth more or less is the same answer. */
    @ParameterizedTest
    @CsvSource({
        "fern-0153.jpg, LEVEL, 1.0948",
        "fern-0153.jpg, TRIM, 0 0 0 0",
        "fern-0153.jpg, SUBJECT, 0.4982 0.5765 0.2323",
        "fern-0169.jpg, LEVEL, 0.6131",
        "fern-0169.jpg, TRIM, 0 0.1117 0 0.1117",
        "fern-0169.jpg, SUBJECT, 0.3238 0.5459 0.1434"
    })
    void anotherAnswerIsAnotherFinder(String file, What what, String answer) throws Exception {
        Photo photo = TestPhotos.photo(SAMPLE.resolve(file));
        double[] told = what.told(photo);
        double[] expected =
                Stream.of(answer.split(" ")).mapToDouble(Double::parseDouble).toArray();
        assertThat(told).as(Arrays.toString(told)).containsExactly(expected, within(0.01));
    }

    private enum What {
        LEVEL {
            @Override
            double[] told(Photo photo) throws Exception {
                return new double[] {find(FoundLevel.class, photo).lean()};
            }
        },
        TRIM {
            @Override
            double[] told(Photo photo) throws Exception {
                Trim trim = find(FoundTrim.class, photo).trim();
                return new double[] {trim.left(), trim.top(), trim.right(), trim.bottom()};
            }
        },
        SUBJECT {
            @Override
            double[] told(Photo photo) throws Exception {
                Subject subject = find(FoundSubject.class, photo).subject().orElseThrow();
                return new double[] {
                    subject.at().x(), subject.at().y(), subject.radius().orElseThrow()
                };
            }
        };

        abstract double[] told(Photo photo) throws Exception;
    }

    private static <T extends Found> T find(Class<T> what, Photo photo) throws Exception {
        return PhotoFinder.find(what, new PhotoFolder(SAMPLE), photo, () -> false)
                .orElseThrow();
    }
}
