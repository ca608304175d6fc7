package nexa.bench;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;
import nexa.core.format.PixelSize;
import nexa.core.shoot.Photo;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.pictures.PhotoPixels;
import nexa.imaging.pictures.PictureLevel;
import nexa.imaging.pictures.WantedDepth;
import nexa.imaging.raw.RawCommand;
import nexa.sample.Dng;

/** Raw photos of 24 MP, of our own making: what the camera's picture takes, and the sensor's pixels beside a JPEG's. */
public final class RawBench {
    private static final int ROUNDS = 7;
    private static final int FULL_ROUNDS = 3;

    private RawBench() {}

    public static void main(String[] arguments) throws Exception {
        Path folder = Files.createTempDirectory("nexa-bench");
        try {
            Path jpeg = LargePhotos.of24Megapixels(folder, 1).get(0);
            BufferedImage large = ImageIO.read(jpeg.toFile());
            Path usual = Files.write(folder.resolve("usual.dng"), Dng.of(large, jpeg(large, 1620)));
            Path fullSize = Files.write(folder.resolve("full.dng"), Dng.of(large, Files.readAllBytes(jpeg)));
            pictures("picture of 1620 px inside", usual);
            pictures("picture of 24 MP inside", fullSize);
            sensor(usual, jpeg);
        } finally {
            LargePhotos.delete(folder);
        }
    }

    private static byte[] jpeg(BufferedImage large, int width) throws IOException {
        int height = Math.round((float) width * large.getHeight() / large.getWidth());
        BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        small.createGraphics().drawImage(large, 0, 0, width, height, null);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(small, "jpeg", out);
        return out.toByteArray();
    }

    private static void pictures(String what, Path file) throws Exception {
        Figures facts = new Figures(what + ": facts");
        Figures print = new Figures("  read to " + PictureLevel.THUMBNAIL.longSide() + " px");
        Figures preview = new Figures("  read to " + PictureLevel.PREVIEW.longSide() + " px");
        for (int round = 0; round <= ROUNDS; round++) {
            double known = Figures.time(() -> PhotoFacts.read(file));
            double small = Figures.time(() -> reading(file).picture(PictureLevel.THUMBNAIL.longSide()));
            double fine = Figures.time(() -> reading(file).picture(PictureLevel.PREVIEW.longSide()));
            // The first round warms up.
            if (round > 0) {
                facts.add(known);
                print.add(small);
                preview.add(fine);
            }
        }
        List.of(facts, print, preview).forEach(Figures::print);
    }

    private static PhotoPixels reading(Path file) throws Exception {
        return new PhotoPixels(file, Photo.untouched("p"));
    }

    private static void sensor(Path raw, Path jpeg) throws Exception {
        Figures command = new Figures("24 MP by the command alone");
        Figures all = new Figures("  framed and toned");
        Figures peer = new Figures("  of a JPEG");
        RawCommand found = RawCommand.found().orElseThrow();
        for (int round = 0; round < FULL_ROUNDS; round++) {
            command.add(Figures.time(() -> {
                found.develop(raw, new PixelSize(6000, 4000), false).close();
                return null;
            }));
            all.add(Figures.time(() -> {
                reading(raw).raw(raw, WantedDepth.STORED).orElseThrow().pixels().close();
                return null;
            }));
            peer.add(Figures.time(() -> {
                reading(jpeg).full(WantedDepth.STORED).close();
                return null;
            }));
        }
        List.of(command, all, peer).forEach(Figures::print);
        System.out.println(
                String.format(Locale.ROOT, "  ratio of the medians to a JPEG's %.1f", all.median() / peer.median()));
    }
}
