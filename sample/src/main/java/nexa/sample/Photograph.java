package nexa.sample;

import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.WritableRaster;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * One photo to be taken.
 *
 * @param name the file's name without its ending
 * @param width pixels
 * @param height pixels
 */
record Photograph(String name, int width, int height, Camera camera, Scene scene) {
    /** Of the sensor, in parts of the brightest, as the picture stores it. */
    private static final double NOISE = 0.004;

    /** The same with sides so many times smaller, and even. */
    Photograph smaller(int part) {
        return new Photograph(name, width / part / 2 * 2, height / part / 2 * 2, camera, scene);
    }

    /** Draws the photo, {@code samples} squared rays a pixel. The same photo always comes out the same. */
    BufferedImage take(int samples) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        IntStream.range(0, height).parallel().forEach(row -> {
            SplittableRandom random = new SplittableRandom(name.hashCode() * 31L + row);
            int[] line = new int[width];
            for (int column = 0; column < width; column++) {
                line[column] = develop(light(column, row, samples, random), column, row, random);
            }
            image.setRGB(0, row, width, 1, line, 0, width);
        });
        return image;
    }

    /** As {@link #take}, with 16 bits a channel. */
    BufferedImage takeDeep(int samples) {
        ComponentColorModel model = new ComponentColorModel(
                ColorSpace.getInstance(ColorSpace.CS_sRGB), false, false, Transparency.OPAQUE, DataBuffer.TYPE_USHORT);
        WritableRaster raster = model.createCompatibleWritableRaster(width, height);
        IntStream.range(0, height).parallel().forEach(row -> {
            SplittableRandom random = new SplittableRandom(name.hashCode() * 31L + row);
            for (int column = 0; column < width; column++) {
                Vec light = light(column, row, samples, random).times(exposure(column, row));
                raster.setPixel(column, row, new int[] {deep(light.x()), deep(light.y()), deep(light.z())});
            }
        });
        return new BufferedImage(model, raster, false, null);
    }

    /**
     * What the sensor of the camera sees of the photo, a stop below what the picture shows, so that its lights are kept: one
     * sample a pixel, in the order in which they are stored.
     *
     * @param orientation the EXIF orientation it is stored with: 1 upright, 3, 6 or 8
     */
    byte[] sensor(int samples, int orientation) {
        byte[] sensor = new byte[width * height];
        int storedWidth = orientation == 6 || orientation == 8 ? height : width;
        IntStream.range(0, height).parallel().forEach(row -> {
            SplittableRandom random = new SplittableRandom(name.hashCode() * 31L + row);
            for (int column = 0; column < width; column++) {
                Vec light = light(column, row, samples, random).times(exposure(column, row) / 2);
                double noise = NOISE * (random.nextDouble() + random.nextDouble() - 1);
                int x = orientation == 6 ? row : orientation == 8 ? height - 1 - row : column;
                int y = orientation == 6 ? width - 1 - column : orientation == 8 ? column : row;
                if (orientation == 3) {
                    x = width - 1 - column;
                    y = height - 1 - row;
                }
                double seen = Dng.camera(light)[x % 2 + y % 2];
                sensor[y * storedWidth + x] = Dng.sample(Math.sqrt(seen) + noise);
            }
        });
        return sensor;
    }

    private Vec light(int column, int row, int samples, SplittableRandom random) {
        double half = Math.max(width, height) / 2.0;
        Vec sum = Vec.ZERO;
        Sampler sampler = new Sampler(random, samples);
        for (int i = 0; i < samples * samples; i++) {
            sampler.start(i);
            double x = (column + sampler.rayX() - width / 2.0) / half;
            double y = (row + sampler.rayY() - height / 2.0) / half;
            double[] lens = sampler.spread(0);
            double reach = Math.sqrt(lens[0]);
            double turn = 2 * Math.PI * lens[1];
            Vec[] ray = camera.ray(x, y, reach * Math.cos(turn), reach * Math.sin(turn));
            Vec seen = scene.seen(ray[0], ray[1], sampler);
            // A lone very bright ray would show as a white dot.
            sum = sum.plus(new Vec(Math.min(seen.x(), 4), Math.min(seen.y(), 4), Math.min(seen.z(), 4)));
        }
        return sum.times(1.0 / (samples * samples));
    }

    /** Exposure, a soft shoulder for the highlights, the lens's fall-off and a little sensor noise. */
    private int develop(Vec light, int column, int row, SplittableRandom random) {
        double exposure = exposure(column, row);
        double noise = NOISE * (random.nextDouble() + random.nextDouble() - 1);
        return channel(light.x() * exposure, noise) << 16
                | channel(light.y() * exposure, noise) << 8
                | channel(light.z() * exposure, noise);
    }

    private double exposure(int column, int row) {
        double half = Math.max(width, height) / 2.0;
        double away = Math.hypot(column - width / 2.0, row - height / 2.0) / half;
        return 1.5 * (1 - 0.16 * away * away);
    }

    private static int channel(double linear, double noise) {
        return (int) Math.round(255 * Math.max(0, Math.min(1, encoded(linear) + noise)));
    }

    private static int deep(double linear) {
        return (int) Math.round(65535 * Math.max(0, Math.min(1, encoded(linear))));
    }

    private static double encoded(double linear) {
        double shoulder = linear < 0.5 ? linear : 0.5 + 0.5 * (1 - Math.exp(-(linear - 0.5) / 0.5));
        return shoulder <= 0.0031308 ? 12.92 * shoulder : 1.055 * Math.pow(shoulder, 1 / 2.4) - 0.055;
    }
}
