package nexa.core;

import java.util.Random;
import java.util.stream.Stream;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;

/** Seeded photos, angles and crops. The same seed always gives the same case. */
public final class RandomCases {
    private static final int[][] PHOTOS = {{6000, 4000}, {4000, 6000}, {3000, 3000}, {9000, 1000}, {1, 1}, {20000, 50}};

    private RandomCases() {}

    /** A photo and a crop inside it. */
    public record Case(long seed, Outline outline, Crop crop, Random random) {
        @Override
        public String toString() {
            return "seed " + seed + ", " + outline + ", " + crop;
        }
    }

    public static Stream<Case> of(int count) {
        return Stream.iterate(1L, seed -> seed + 1).limit(count).map(RandomCases::of);
    }

    private static Case of(long seed) {
        Random random = new Random(seed);
        int[] sides = PHOTOS[random.nextInt(PHOTOS.length)];
        double degrees = random.nextInt(3) == 0 ? 0 : (random.nextDouble() * 2 - 1) * Angle.MOST;
        Outline outline = new Outline(new Size(sides[0], sides[1]), new Angle(degrees));
        double ratio = Math.exp(random.nextDouble() * 3 - 1.5);
        Size size = outline.largest(ratio).times(0.2 + 0.8 * random.nextDouble());
        return new Case(seed, outline, outline.settle(new Crop(anywhere(outline, random), size)), random);
    }

    /** A point in the photo or somewhat around it. */
    public static Point anywhere(Outline outline, Random random) {
        Size photo = outline.photo();
        return new Point(
                (random.nextDouble() * 1.6 - 0.3) * photo.width(), (random.nextDouble() * 1.6 - 0.3) * photo.height());
    }
}
