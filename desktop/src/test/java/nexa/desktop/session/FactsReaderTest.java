package nexa.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.stream.IntStream;
import nexa.core.shoot.Photo;
import nexa.imaging.facts.PhotoFolder;
import org.junit.jupiter.api.Test;

/** Facts are read when nothing else is to be done, in ever larger parts, each shown before the next is read. */
class FactsReaderTest {
    private final Deque<Runnable> whenIdle = new ArrayDeque<>();
    private final List<Integer> parts = new ArrayList<>();
    private final List<Boolean> last = new ArrayList<>();
    private final Deque<Runnable> goOn = new ArrayDeque<>();

    private FactsReader reader(int photos) {
        List<Photo> all = IntStream.range(0, photos)
                .mapToObj(i -> Photo.untouched("gone" + i + ".jpg"))
                .toList();
        return new FactsReader(new PhotoFolder(Path.of("nowhere")), all, whenIdle::add, (part, isLast, next) -> {
            parts.add(part.problems().size());
            last.add(isLast);
            goOn.add(next);
        });
    }

    private void idle() {
        while (!whenIdle.isEmpty()) {
            whenIdle.poll().run();
        }
    }

    @Test
    void itReadsAllInEverLargerParts() {
        reader(500).begin();
        while (last.isEmpty() || !last.get(last.size() - 1)) {
            idle();
            goOn.removeLast().run();
        }
        assertThat(parts.stream().mapToInt(part -> part).sum()).isEqualTo(500);
        assertThat(parts.get(0)).isLessThan(parts.get(1));
        assertThat(last).endsWith(true).filteredOn(isLast -> isLast).hasSize(1);
    }

    @Test
    void itWaitsUntilAPartHasBeenShown() {
        reader(500).begin();
        idle();
        assertThat(parts).hasSize(1);
        goOn.removeLast().run();
        idle();
        assertThat(parts).hasSize(2);
    }

    @Test
    void stoppedItReadsNoFurther() {
        FactsReader reader = reader(500);
        reader.begin();
        whenIdle.poll().run();
        reader.stop();
        idle();
        assertThat(parts).isEmpty();
    }

    @Test
    void thereIsNothingToTellOfNoPhotos() {
        reader(0).begin();
        idle();
        assertThat(parts).isEmpty();
    }
}
