package nexa.bench;

import java.io.IOException;
import java.nio.file.Path;

/** The command-line tools of libvips, as a peer to measure beside; Debian has them in {@code libvips-tools}. */
final class Vips {
    private Vips() {}

    static boolean isThere() {
        try {
            run("vips", "--version");
            return true;
        } catch (IOException e) {
            return false;
        }
    }

    static void thumbnail(Path photo, int side) throws IOException {
        Path out = photo.resolveSibling("vips-out.jpg");
        run("vipsthumbnail", photo.toString(), "--size", side + "x" + side, "-o", out.toString());
    }

    /**
     * Turns, crops, resizes and encodes a photo.
     *
     * @param crop left, top, width and height in the turned picture, whose corners reach beyond the photo's
     * @param scale of the result
     */
    static void deliver(Path photo, double degrees, int[] crop, double scale, Path out) throws IOException {
        Path turned = out.resolveSibling("turned.v");
        Path cut = out.resolveSibling("cut.v");
        run(
                "vips",
                "similarity",
                photo.toString(),
                turned.toString(),
                "--angle",
                String.valueOf(degrees),
                "--interpolate",
                "bicubic");
        run(
                "vips",
                "crop",
                turned.toString(),
                cut.toString(),
                String.valueOf(crop[0]),
                String.valueOf(crop[1]),
                String.valueOf(crop[2]),
                String.valueOf(crop[3]));
        run("vips", "resize", cut.toString(), out + "[Q=90,no-subsample]", String.valueOf(scale));
    }

    /** A PNG with a profile put into it. */
    static void tag(Path png, Path profile, Path out) throws IOException {
        run("vips", "copy", png.toString(), out + "[profile=" + profile + "]");
    }

    static void toSrgb(Path png, Path out) throws IOException {
        run("vips", "icc_transform", png.toString(), out.toString(), "srgb", "--embedded", "--intent", "perceptual");
    }

    private static void run(String... command) throws IOException {
        try {
            Process process = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            if (process.waitFor() != 0) {
                throw new IllegalStateException(String.join(" ", command) + " failed");
            }
        } catch (InterruptedException e) {
            throw new IllegalStateException("interrupted", e);
        }
    }
}
