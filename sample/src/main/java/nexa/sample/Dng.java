package nexa.sample;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A raw photo of the made-up camera as a DNG (version 1.4): the samples of its sensor, red, green, green and blue, packed
 * without loss; the camera's own JPEG in full size; a small picture first.
 */
public final class Dng {
    /** From XYZ (D65) to the camera's colours; of no camera there is. */
    private static final double[][] CAMERA = {{0.62, 0.05, -0.04}, {-0.30, 1.10, 0.22}, {-0.02, 0.12, 0.58}};
    /** Linear sRGB to XYZ (D65), by IEC 61966-2-1. */
    private static final double[][] SRGB_TO_XYZ = {
        {0.4124, 0.3576, 0.1805}, {0.2126, 0.7152, 0.0722}, {0.0193, 0.1192, 0.9505}
    };

    private static final int WHITE_LEVEL = 16_383;
    /** So fine that they are lost in the noise, and no finer. */
    private static final int LEVELS = 180;

    private static final int SMALL = 120;

    private Dng() {}

    /** The camera's colours of light, as parts of what white light of the same strength gives in each. */
    static double[] camera(Vec light) {
        double[] seen = times(light);
        double[] white = times(new Vec(1, 1, 1));
        // The sensor sees less red and blue of white than green; that is told as the neutral, and left in.
        return new double[] {seen[0] / white[1], seen[1] / white[1], seen[2] / white[1]};
    }

    private static double[] times(Vec light) {
        double[] xyz = new double[3];
        double[] seen = new double[3];
        for (int i = 0; i < 3; i++) {
            double[] row = SRGB_TO_XYZ[i];
            xyz[i] = row[0] * light.x() + row[1] * light.y() + row[2] * light.z();
        }
        for (int i = 0; i < 3; i++) {
            seen[i] = CAMERA[i][0] * xyz[0] + CAMERA[i][1] * xyz[1] + CAMERA[i][2] * xyz[2];
        }
        return seen;
    }

    /**
     * A sample as it is stored.
     *
     * @param root of the part that it is of the brightest light: noise is about alike in it everywhere
     */
    static byte sample(double root) {
        return (byte) Math.round(LEVELS * Math.max(0, Math.min(1, root)));
    }

    /**
     * The file of a picture that is there already, as if its light had come from it: for benches, where it need not be drawn.
     *
     * @param seen in sRGB; sides are even
     * @param jpeg the camera's own, of the same size
     */
    public static byte[] of(BufferedImage seen, byte[] jpeg) {
        int width = seen.getWidth();
        byte[] sensor = new byte[width * seen.getHeight()];
        for (int i = 0; i < sensor.length; i++) {
            int x = i % width;
            int y = i / width;
            sensor[i] = sample(Math.sqrt(camera(Vec.srgb(seen.getRGB(x, y) & 0xFFFFFF))[x % 2 + y % 2]));
        }
        List<Tiff.Entry> camera =
                List.of(Tiff.text(0x010F, "Kilnaro"), Tiff.text(0x0110, "Kilnaro K2"), Tiff.shorts(0x0112, 1));
        return file(camera, List.of(Tiff.shorts(0x8827, 200)), sensor, jpeg, seen);
    }

    /**
     * The file.
     *
     * @param sensor samples as {@link #sample} has them, as stored; sides are even
     * @param jpeg the camera's own, of the same size, as stored
     * @param seen what is on it
     */
    static byte[] of(Shot shot, byte[] sensor, byte[] jpeg, BufferedImage seen) {
        return file(Exif.camera(shot), Exif.taken(shot, seen.getWidth(), seen.getHeight()), sensor, jpeg, seen);
    }

    private static byte[] file(
            List<Tiff.Entry> camera, List<Tiff.Entry> taken, byte[] sensor, byte[] jpeg, BufferedImage seen) {
        int width = seen.getWidth();
        int height = seen.getHeight();
        byte[] packed = LosslessJpeg.encode(sensor, width, height);
        BufferedImage small = small(seen);
        byte[] thumb = plain(small);
        List<byte[]> pictures = List.of(thumb, jpeg, packed);
        int[] at = new int[3];
        byte[] head = Tiff.block(directories(camera, taken, seen, small, pictures, at));
        at[0] = head.length;
        at[1] = at[0] + thumb.length + thumb.length % 2;
        at[2] = at[1] + jpeg.length + jpeg.length % 2;
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        file.writeBytes(Tiff.block(directories(camera, taken, seen, small, pictures, at)));
        for (byte[] picture : pictures) {
            file.writeBytes(picture);
            file.writeBytes(new byte[picture.length % 2]);
        }
        return file.toByteArray();
    }

    private static List<List<Tiff.Entry>> directories(
            List<Tiff.Entry> camera,
            List<Tiff.Entry> taken,
            BufferedImage seen,
            BufferedImage small,
            List<byte[]> pictures,
            int[] at) {
        int width = seen.getWidth();
        int height = seen.getHeight();
        List<Tiff.Entry> jpeg = new ArrayList<>(List.of(Tiff.longs(254, 1), Tiff.shorts(258, 8, 8, 8)));
        jpeg.addAll(strip(width, height, 7, 6, 3, at[1], pictures.get(1).length));
        List<Tiff.Entry> raw = raw(width, height);
        raw.addAll(strip(width, height, 7, 32_803, 1, at[2], pictures.get(2).length));
        List<Tiff.Entry> first = new ArrayList<>(camera);
        first.addAll(colours(first.get(1)));
        first.addAll(strip(small.getWidth(), small.getHeight(), 1, 2, 3, at[0], pictures.get(0).length));
        int[] places = Tiff.places(List.of(sized(first, 2), taken, jpeg, raw));
        first.add(Tiff.longs(Exif.BELOW, places[1]));
        first.add(Tiff.longs(330, places[2], places[3]));
        return List.of(inOrder(first), taken, inOrder(jpeg), inOrder(raw));
    }

    /** As many entries as there are going to be. */
    private static List<Tiff.Entry> sized(List<Tiff.Entry> entries, int more) {
        List<Tiff.Entry> sized = new ArrayList<>(entries);
        for (int i = 0; i < more; i++) {
            sized.add(Tiff.longs(0, 0));
        }
        return sized;
    }

    private static List<Tiff.Entry> inOrder(List<Tiff.Entry> entries) {
        return entries.stream().sorted(Comparator.comparing(Tiff.Entry::tag)).toList();
    }

    /** Where one picture's samples lie, and how. */
    private static List<Tiff.Entry> strip(
            int width, int height, int compression, int meaning, int samples, int at, int length) {
        return List.of(
                Tiff.longs(256, width),
                Tiff.longs(257, height),
                Tiff.shorts(259, compression),
                Tiff.shorts(262, meaning),
                Tiff.longs(273, at),
                Tiff.shorts(277, samples),
                Tiff.longs(278, height),
                Tiff.longs(279, length),
                Tiff.shorts(284, 1));
    }

    private static List<Tiff.Entry> colours(Tiff.Entry model) {
        double[] white = times(new Vec(1, 1, 1));
        double[] matrix = new double[9];
        for (int i = 0; i < 9; i++) {
            matrix[i] = CAMERA[i / 3][i % 3];
        }
        return List.of(
                Tiff.longs(254, 1),
                Tiff.shorts(258, 8, 8, 8),
                Tiff.bytes(50_706, 1, 4, 0, 0),
                Tiff.bytes(50_707, 1, 1, 0, 0),
                new Tiff.Entry(50_708, model.type(), model.count(), model.value()),
                Tiff.fractions(50_721, true, matrix),
                Tiff.fractions(50_728, false, white[0] / white[1], 1, white[2] / white[1]),
                Tiff.fractions(50_730, true, 0),
                Tiff.shorts(50_778, 21));
    }

    private static List<Tiff.Entry> raw(int width, int height) {
        int[] table = new int[LEVELS + 1];
        for (int i = 0; i < table.length; i++) {
            table[i] = (int) Math.round(WHITE_LEVEL * Math.pow((double) i / LEVELS, 2));
        }
        return new ArrayList<>(List.of(
                Tiff.longs(254, 0),
                Tiff.shorts(258, 8),
                Tiff.shorts(33_421, 2, 2),
                Tiff.bytes(33_422, 0, 1, 1, 2),
                Tiff.bytes(50_710, 0, 1, 2),
                Tiff.shorts(50_711, 1),
                Tiff.shorts(50_712, table),
                Tiff.shorts(50_713, 1, 1),
                Tiff.longs(50_714, 0),
                Tiff.longs(50_717, WHITE_LEVEL),
                Tiff.fractions(50_718, false, 1, 1),
                Tiff.longs(50_719, 0, 0),
                Tiff.longs(50_720, width, height),
                Tiff.longs(50_829, 0, 0, height, width)));
    }

    private static BufferedImage small(BufferedImage seen) {
        double factor = (double) SMALL / Math.max(seen.getWidth(), seen.getHeight());
        int width = (int) Math.round(seen.getWidth() * factor);
        int height = (int) Math.round(seen.getHeight() * factor);
        BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                small.setRGB(x, y, seen.getRGB((int) ((x + 0.5) / factor), (int) ((y + 0.5) / factor)));
            }
        }
        return small;
    }

    private static byte[] plain(BufferedImage image) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        for (int i = 0; i < image.getWidth() * image.getHeight(); i++) {
            int rgb = image.getRGB(i % image.getWidth(), i / image.getWidth());
            bytes.write(rgb >> 16);
            bytes.write(rgb >> 8);
            bytes.write(rgb);
        }
        return bytes.toByteArray();
    }
}
