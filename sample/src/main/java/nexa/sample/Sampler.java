package nexa.sample;

import java.util.SplittableRandom;

/**
 * Random numbers for the rays of one pixel, spread evenly: of n × n rays each takes its own square of the window and of
 * the room, so that far fewer rays are needed before the noise is gone.
 */
final class Sampler {
    private final SplittableRandom random;
    private final int side;
    private final int offset;
    private int ray;

    Sampler(SplittableRandom random, int side) {
        this.random = random;
        this.side = side;
        this.offset = random.nextInt(side * side);
    }

    void start(int number) {
        ray = number;
    }

    double next() {
        return random.nextDouble();
    }

    double rayX() {
        return (ray % side + next()) / side;
    }

    double rayY() {
        return (ray / side + next()) / side;
    }

    /** A spread pair from 0 to 1, another order of the squares for each purpose. */
    double[] spread(int purpose) {
        int count = side * side;
        int square = (ray * (2 * purpose + 3) + offset * (purpose + 1)) % count;
        return new double[] {(square % side + next()) / side, (square / side + next()) / side};
    }
}
