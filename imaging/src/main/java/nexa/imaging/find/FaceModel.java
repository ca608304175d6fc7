package nexa.imaging.find;

import java.util.ArrayList;
import java.util.List;
import nexa.core.find.Seen;
import nexa.core.find.SeenFace;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_dnn;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Sees faces by BlazeFace (Bazarevsky et al., 2019): in a square picture, about fixed places of grids, how likely a face is there,
 * its box, and six places in it, of which the eyes and the tip of the nose are used.
 */
enum FaceModel {
    /** Faces of any size. */
    ANY(ModelFile.FACES, 192, new int[][] {{48, 1}}),
    /** Faces that fill much of a picture. */
    NEAR(ModelFile.NEAR_FACES, 128, new int[][] {{16, 2}, {8, 6}});

    private static final double LEAST_SCORE = 0.2;
    private static final double GREY = 127.5;
    /** The box's middle and size, and six places. */
    private static final int NUMBERS = 16;

    private static final int EYE = 4;
    private static final int OTHER_EYE = 6;
    private static final int NOSE = 8;

    private final ModelFile file;
    private final int side;
    private final List<Point> places = new ArrayList<>();

    /** @param grids the cells a side of each, and how many answers a cell has */
    FaceModel(ModelFile file, int side, int[][] grids) {
        this.file = file;
        this.side = side;
        for (int[] grid : grids) {
            for (int i = 0; i < grid[0] * grid[0] * grid[1]; i++) {
                int cell = i / grid[1];
                places.add(new Point((cell % grid[0] + 0.5) / grid[0], (cell / grid[0] + 0.5) / grid[0]));
            }
        }
    }

    ModelFile file() {
        return file;
    }

    /** @param bgr 8 bits, three colours */
    List<SeenFace> of(TrainedNet net, Mat bgr) {
        int longSide = Math.max(bgr.cols(), bgr.rows());
        List<TrainedNet.Answer> answers;
        try (Mat square = squared(bgr, longSide);
                Size size = new Size(side, side);
                Scalar grey = Scalar.all(GREY);
                Mat input = opencv_dnn.blobFromImage(square, 1 / GREY, size, grey, true, false, opencv_core.CV_32F)) {
            answers = net.answers(input);
        }
        float[] likely = answers.get(0).values();
        float[] numbers = answers.get(1).values();
        Square square = new Square(bgr.cols(), bgr.rows(), longSide);
        List<SeenFace> seen = new ArrayList<>();
        for (int i = 0; i < likely.length; i++) {
            double score = Likelihood.of(likely[i]);
            if (score >= LEAST_SCORE) {
                seen.add(face(numbers, i, score, square));
            }
        }
        return Seen.once(seen, (one, other) -> one.box().overlapOfSmaller(other.box()) > SeenFace.SAME);
    }

    /** The picture made small in the middle of a square, black beside it. */
    private Mat squared(Mat bgr, int longSide) {
        double factor = (double) side / longSide;
        int width = Math.max(1, (int) Math.round(bgr.cols() * factor));
        int height = Math.max(1, (int) Math.round(bgr.rows() * factor));
        try (Scalar black = Scalar.all(0);
                Rect inside = new Rect((side - width) / 2, (side - height) / 2, width, height);
                Size size = new Size(width, height);
                Mat small = new Mat()) {
            Mat square = new Mat(side, side, opencv_core.CV_8UC3, black);
            int by = factor < 1 ? opencv_imgproc.INTER_AREA : opencv_imgproc.INTER_LINEAR;
            opencv_imgproc.resize(bgr, small, size, 0, 0, by);
            try (Mat part = square.apply(inside)) {
                small.copyTo(part);
            }
            return square;
        }
    }

    /** A picture in the middle of a square of its long side. */
    private record Square(double width, double height, double side) {
        /** A place of the square, in fractions, as fractions of the picture. */
        Point inPicture(double x, double y) {
            return new Point((x * side - (side - width) / 2) / width, (y * side - (side - height) / 2) / height);
        }
    }

    private SeenFace face(float[] numbers, int answer, double score, Square square) {
        int at = answer * NUMBERS;
        Point place = places.get(answer);
        double x = place.x() + numbers[at] / side;
        double y = place.y() + numbers[at + 1] / side;
        double across = numbers[at + 2] / side / 2;
        double down = numbers[at + 3] / side / 2;
        return new SeenFace(
                score,
                new Bounds(square.inPicture(x - across, y - down), square.inPicture(x + across, y + down)),
                point(numbers, at + EYE, place, square),
                point(numbers, at + OTHER_EYE, place, square),
                point(numbers, at + NOSE, place, square));
    }

    private Point point(float[] numbers, int at, Point place, Square square) {
        return square.inPicture(place.x() + numbers[at] / side, place.y() + numbers[at + 1] / side);
    }
}
