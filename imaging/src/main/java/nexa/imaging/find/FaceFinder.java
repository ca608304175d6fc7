package nexa.imaging.find;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Point;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.RectVector;
import org.bytedeco.opencv.opencv_core.Size;
import org.bytedeco.opencv.opencv_objdetect.CascadeClassifier;

/** Finds faces that look at the camera: what a cascade takes for one, and in which a pair of eyes is where eyes are. */
final class FaceFinder {
    /** In what is narrower no face has room. */
    private static final int NARROWEST = 20;

    private static final int LONG_SIDE = 330;
    private static final double STEP = 1.2;
    private static final int NEIGHBOURS = 5;

    /** Of the picture's short side. */
    private static final double SMALLEST = 0.07;

    /** Eyes are looked for in the upper part of a face, brought to this width. */
    private static final double UPPER = 0.6;

    private static final double EYES_WIDTH = 140;
    private static final double EYES_STEP = 1.1;
    private static final int EYES_NEIGHBOURS = 4;
    private static final int SMALLEST_EYE = 18;
    private static final int LARGEST_EYE = 60;
    private static final double NEAREST_EYES = 30;
    private static final double FURTHEST_EYES = 95;

    private static final ThreadLocal<Optional<FaceFinder>> OF_THREAD = ThreadLocal.withInitial(FaceFinder::make);

    private final CascadeClassifier face;
    private final CascadeClassifier eye;

    private FaceFinder(CascadeClassifier face, CascadeClassifier eye) {
        this.face = face;
        this.eye = eye;
    }

    private static Optional<FaceFinder> make() {
        Optional<CascadeClassifier> eye = CascadeLibrary.cascade("haarcascade_eye");
        return CascadeLibrary.cascade("haarcascade_frontalface_alt2")
                .flatMap(face -> eye.map(eyes -> new FaceFinder(face, eyes)));
    }

    /**
     * The faces in a picture.
     *
     * @param bgr 8 bits, three colours
     * @return in its pixels; none where faces cannot be found on this system
     */
    static List<Bounds> of(Mat bgr) {
        return OF_THREAD.get().map(finder -> finder.faces(bgr)).orElse(List.of());
    }

    private List<Bounds> faces(Mat bgr) {
        double factor = Math.min(1, (double) LONG_SIDE / Math.max(bgr.cols(), bgr.rows()));
        if (Math.min(bgr.cols(), bgr.rows()) * factor < NARROWEST) {
            return List.of();
        }
        try (Mat grey = new Mat();
                Mat small = new Mat();
                Size size = new Size((int) Math.round(bgr.cols() * factor), (int) Math.round(bgr.rows() * factor));
                RectVector found = new RectVector();
                Size any = new Size(0, 0)) {
            opencv_imgproc.cvtColor(bgr, grey, opencv_imgproc.COLOR_BGR2GRAY);
            opencv_imgproc.resize(grey, small, size, 0, 0, opencv_imgproc.INTER_AREA);
            opencv_imgproc.equalizeHist(small, small);
            int smallest = (int) (SMALLEST * Math.min(small.cols(), small.rows()));
            try (Size least = new Size(smallest, smallest)) {
                face.detectMultiScale(small, found, STEP, NEIGHBOURS, 0, least, any);
            }
            List<Bounds> faces = new ArrayList<>();
            for (Rect each : found.get()) {
                if (hasEyes(small, each)) {
                    Point least = new Point(each.x(), each.y());
                    Point most = new Point(each.x() + each.width(), each.y() + each.height());
                    faces.add(new Bounds(least.times(1 / factor), most.times(1 / factor)));
                }
            }
            return faces;
        }
    }

    private boolean hasEyes(Mat grey, Rect face) {
        double factor = EYES_WIDTH / face.width();
        try (Rect upper = new Rect(face.x(), face.y(), face.width(), (int) (face.height() * UPPER));
                Mat part = grey.apply(upper);
                Mat brought = new Mat();
                Size size = new Size((int) EYES_WIDTH, (int) Math.max(1, Math.round(upper.height() * factor)));
                RectVector found = new RectVector();
                Size least = new Size(SMALLEST_EYE, SMALLEST_EYE);
                Size most = new Size(LARGEST_EYE, LARGEST_EYE)) {
            opencv_imgproc.resize(part, brought, size, 0, 0, opencv_imgproc.INTER_LINEAR);
            eye.detectMultiScale(brought, found, EYES_STEP, EYES_NEIGHBOURS, 0, least, most);
            for (Rect one : found.get()) {
                for (Rect other : found.get()) {
                    double apart = one.x() + one.width() / 2.0 - other.x() - other.width() / 2.0;
                    if (apart > NEAREST_EYES && apart < FURTHEST_EYES) {
                        return true;
                    }
                }
            }
            return false;
        }
    }
}
