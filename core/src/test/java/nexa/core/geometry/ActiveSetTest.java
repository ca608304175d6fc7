package nexa.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The short search finds what the long one finds. */
class ActiveSetTest {
    private static final Tightest.Row WHOLLY = new Tightest.Row(0, 0, 1, 1);

    /** Edges about a circle, some of them the same way round, as rows of crops that reach differently far. */
    private static List<Tightest.Row> edges(Random random) {
        int count = 4 + random.nextInt(14);
        boolean isEven = random.nextBoolean();
        List<Tightest.Row> rows = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double way = 2 * Math.PI * (isEven ? i : i + random.nextDouble()) / count;
            double reach = 0.2 + 0.8 * (isEven ? 0.5 : random.nextDouble());
            rows.add(new Tightest.Row(
                    Math.cos(way), Math.sin(way), reach, isEven ? 1 : 0.6 + 0.4 * random.nextDouble()));
        }
        return rows;
    }

    @Test
    void theLargestIsAsLarge() {
        Random random = new Random(5);
        int found = 0;
        for (int i = 0; i < 500; i++) {
            List<Tightest.Row> rows = edges(random);
            Tightest.Row right = new Tightest.Row(1, 0, 0, 3);
            Tightest.Row left = new Tightest.Row(-1, 0, 0, 3);
            Tightest.Row below = new Tightest.Row(0, 1, 0, 3);
            Tightest.Row above = new Tightest.Row(0, -1, 0, 3);
            Tightest.Row most = new Tightest.Row(0, 0, 1, 100);
            Tightest.Answer answer = new ActiveSet(new Tightest.Largest(), rows).from(List.of(right, below, most));
            Tightest.Answer expected =
                    new Tightest(new Tightest.Largest(), rows).from(List.of(right, left, below, above, most));
            if (answer != null) {
                assertThat(answer.t()).as("case " + i).isCloseTo(expected.t(), within(1e-9));
                found++;
            }
        }
        assertThat(found).isGreaterThan(400);
    }

    @Test
    void theNearestIsAsNear() {
        Random random = new Random(6);
        int found = 0;
        for (int i = 0; i < 500; i++) {
            List<Tightest.Row> rows = edges(random);
            rows.add(WHOLLY);
            Tightest.Near wish = new Tightest.Near(
                    3 * random.nextDouble() - 1.5, 3 * random.nextDouble() - 1.5, 0.2 + random.nextDouble(), 4);
            Tightest.Answer answer = new ActiveSet(wish, rows).from(List.of(WHOLLY));
            Tightest.Answer expected = new Tightest(wish, rows).from(List.of(WHOLLY));
            if (answer != null) {
                assertThat(answer.t()).as("case " + i).isCloseTo(expected.t(), within(1e-8));
                assertThat(Math.hypot(answer.x() - expected.x(), answer.y() - expected.y()))
                        .as("case " + i)
                        .isLessThan(1e-8);
                found++;
            }
        }
        assertThat(found).isGreaterThan(400);
    }
}
