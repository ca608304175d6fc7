package nexa.imaging.find;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.Random;

/** Pictures of which it is known how far they are off level, or that nothing in them tells. */
final class MadePictures {
    /** They are drawn on a sheet of this size, and as pictures so much smaller: finding takes as long as a picture is large. */
    private static final int WIDTH = 1500;

    private static final int HEIGHT = 1000;
    static final double SCALE = 0.6;

    private MadePictures() {}

    private static BufferedImage blank(Color colour) {
        BufferedImage image =
                new BufferedImage((int) (SCALE * WIDTH), (int) (SCALE * HEIGHT), BufferedImage.TYPE_3BYTE_BGR);
        Graphics2D pen = image.createGraphics();
        pen.setColor(colour);
        pen.fillRect(0, 0, image.getWidth(), image.getHeight());
        pen.dispose();
        return image;
    }

    private static Graphics2D pen(BufferedImage image, double lean) {
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        pen.scale(SCALE, SCALE);
        pen.rotate(Math.toRadians(lean), WIDTH / 2.0, HEIGHT / 2.0);
        return pen;
    }

    /** Grain, the same every time. */
    private static BufferedImage grained(BufferedImage image, double strength) {
        Random random = new Random(5);
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                int rgb = image.getRGB(x, y);
                int grain = (int) Math.round(strength * random.nextGaussian());
                image.setRGB(
                        x,
                        y,
                        plus(rgb >> 16 & 255, grain) << 16 | plus(rgb >> 8 & 255, grain) << 8 | plus(rgb & 255, grain));
            }
        }
        return image;
    }

    private static int plus(int value, int more) {
        return Math.max(0, Math.min(255, value + more));
    }

    static BufferedImage plain() {
        return blank(new Color(0xB7B2A8));
    }

    static BufferedImage noise() {
        return grained(blank(Color.GRAY), 40);
    }

    /** A wall with windows, seen straight on. */
    static BufferedImage wall(double lean) {
        BufferedImage image = blank(new Color(0xC9B79A));
        Graphics2D pen = pen(image, lean);
        pen.setColor(new Color(0x3E4A52));
        for (int column = 0; column < 7; column++) {
            for (int row = 0; row < 4; row++) {
                pen.fill(new Rectangle2D.Double(130 + 180.5 * column, 90 + 215.5 * row, 96, 150));
            }
        }
        pen.dispose();
        return grained(image, 3);
    }

    /** The sea under a bright sky. */
    static BufferedImage sea(double lean) {
        BufferedImage image = blank(new Color(0xC8D8E8));
        Graphics2D pen = pen(image, lean);
        pen.setColor(new Color(0x2E5468));
        pen.fill(new Rectangle2D.Double(-500, 430, 3000, 2000));
        Random random = new Random(3);
        for (int i = 0; i < 1500; i++) {
            double y = 440 + 700 * random.nextDouble();
            double x = 1700 * random.nextDouble() - 100;
            pen.setColor(new Color(0x3A, 0x62 + random.nextInt(14), 0x78));
            pen.fill(new Rectangle2D.Double(x, y, 14 + 30 * random.nextDouble(), 1.5));
        }
        pen.dispose();
        return grained(image, 2);
    }

    /** Hills before hills: their outlines are long, and none is straight. */
    static BufferedImage hills() {
        BufferedImage image = blank(new Color(0xC8D8E8));
        Graphics2D pen = pen(image, 0);
        for (int hill = 0; hill < 3; hill++) {
            Path2D outline = new Path2D.Double();
            outline.moveTo(-10, 1200);
            for (int x = -10; x <= WIDTH + 10; x += 5) {
                double bend = 70 * Math.sin(x / (230.0 - 40 * hill) + hill) + 25 * Math.sin(x / 71.0 + 2 * hill);
                outline.lineTo(x, 420 + 170 * hill + bend);
            }
            outline.lineTo(WIDTH + 10, 1200);
            pen.setColor(new Color(0x6F8F5F - 0x101410 * hill));
            pen.fill(outline);
        }
        pen.dispose();
        return grained(image, 4);
    }

    /** Boards nailed at all angles. */
    static BufferedImage boards() {
        BufferedImage image = blank(new Color(0xB59A78));
        Graphics2D pen = pen(image, 0);
        Random random = new Random(11);
        pen.setStroke(new BasicStroke(9));
        for (int i = 0; i < 40; i++) {
            double lean = 18 * random.nextDouble() - 9 + (i % 2 == 0 ? 90 : 0);
            double x = WIDTH * random.nextDouble();
            double y = HEIGHT * random.nextDouble();
            double dx = 210 * Math.cos(Math.toRadians(lean));
            double dy = 210 * Math.sin(Math.toRadians(lean));
            pen.setColor(new Color(0x50, 0x3A + 4 * (i % 5), 0x28));
            pen.draw(new Line2D.Double(x - dx, y - dy, x + dx, y + dy));
        }
        pen.dispose();
        return grained(image, 4);
    }
}
