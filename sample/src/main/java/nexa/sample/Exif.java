package nexa.sample;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What the made-up camera writes into a photo: an EXIF block with orientation, time, camera, lens, exposure, subject. */
final class Exif {
    /** Leads to the directory of {@link #taken}. */
    static final int BELOW = 0x8769;

    private static final byte[] HEAD = "Exif\0\0".getBytes(StandardCharsets.US_ASCII);

    private Exif() {}

    /** The block for a shot whose pixels are stored at this size. */
    static byte[] of(Shot shot, int width, int height) {
        List<Tiff.Entry> main = new ArrayList<>(camera(shot));
        List<Tiff.Entry> exif = taken(shot, width, height);
        main.add(Tiff.longs(BELOW, 0));
        int[] places = Tiff.places(List.of(main, exif));
        main.set(main.size() - 1, Tiff.longs(BELOW, places[1]));
        return Tiff.block(List.of(main, exif));
    }

    private static boolean isFirst(Shot shot) {
        return shot.photo().width() * shot.photo().height() > 3_000_000;
    }

    /** The camera, and how it was held. */
    static List<Tiff.Entry> camera(Shot shot) {
        return List.of(
                Tiff.text(0x010F, "Kilnaro"),
                Tiff.text(0x0110, isFirst(shot) ? "Kilnaro K2" : "Kilnaro Pocket"),
                Tiff.shorts(0x0112, shot.orientation()));
    }

    /** When and how the shot was taken. */
    static List<Tiff.Entry> taken(Shot shot, int width, int height) {
        boolean isFirst = isFirst(shot);
        List<Tiff.Entry> exif = new ArrayList<>();
        exif.add(Tiff.rational(0x829A, 1, isFirst ? 60 : 125));
        exif.add(Tiff.rational(0x829D, isFirst ? 80 : 56, 10));
        exif.add(Tiff.shorts(0x8827, isFirst ? 200 : 400));
        exif.add(Tiff.text(0x9003, shot.taken().format(DateTimeFormatter.ofPattern("yyyy:MM:dd HH:mm:ss"))));
        double angle = Math.toRadians(shot.photo().camera().fieldOfView());
        exif.add(Tiff.rational(0x920A, (int) Math.round(10 * 18 / Math.tan(angle / 2)), 10));
        if (shot.tellsSubject()) {
            double[] seen = shot.subjectPlace().orElseThrow();
            double[] stored = stored(seen[0], seen[1], shot.orientation());
            exif.add(
                    Tiff.shorts(0x9214, (int) Math.round(stored[0] * width), (int) Math.round(stored[1] * height), (int)
                            Math.round(2 * seen[2] * Math.min(width, height))));
        }
        exif.add(Tiff.longs(0xA002, width));
        exif.add(Tiff.longs(0xA003, height));
        exif.add(Tiff.text(0xA434, isFirst ? "Fernlight 50 mm f/2" : "Fernlight 35 mm f/2.8"));
        return exif;
    }

    /** Where a place of the photo as seen lies in the pixels as stored: EXIF tells places before turning. */
    private static double[] stored(double x, double y, int orientation) {
        return switch (orientation) {
            case 3 -> new double[] {1 - x, 1 - y};
            case 6 -> new double[] {y, 1 - x};
            case 8 -> new double[] {1 - y, x};
            default -> new double[] {x, y};
        };
    }

    /** A JPEG with the block, and a colour profile if there is one, right after its start. */
    static byte[] intoJpeg(byte[] jpeg, byte[] block, byte[] profile) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        segment(out, 0xE1, HEAD, block);
        if (profile.length > 0) {
            segment(out, 0xE2, "ICC_PROFILE\0\1\1".getBytes(StandardCharsets.ISO_8859_1), profile);
        }
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    private static void segment(ByteArrayOutputStream out, int marker, byte[] head, byte[] contents) {
        int length = 2 + head.length + contents.length;
        if (length > 0xFFFF) {
            throw new IllegalArgumentException(String.format(Locale.ROOT, "a segment of %d bytes is too long", length));
        }
        out.writeBytes(new byte[] {(byte) 0xFF, (byte) marker, (byte) (length >> 8), (byte) length});
        out.writeBytes(head);
        out.writeBytes(contents);
    }
}
