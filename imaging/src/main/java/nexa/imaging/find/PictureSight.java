package nexa.imaging.find;

import com.google.common.base.Supplier;
import com.google.common.base.Suppliers;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import nexa.core.find.SalientMap;
import nexa.core.find.SalientRegion;
import nexa.core.find.SeenFace;
import nexa.core.find.SeenThing;
import nexa.core.find.Sight;
import nexa.core.geometry.Size;
import org.bytedeco.opencv.opencv_core.Mat;

/** What can be seen in a picture, each looked for once. Once that is unwanted, nothing more is looked for. */
final class PictureSight implements Sight {
    private final Mat bgr;
    private final TrainedModels models;
    private final BooleanSupplier isUnwanted;
    private final Supplier<SalientMap> map = Suppliers.memoize(this::look);
    private final Supplier<Optional<SalientRegion>> salient = Suppliers.memoize(this::heaviest);

    /** @param bgr as seen, 8 bits, three colours; open for as long as anything is looked for */
    PictureSight(Mat bgr, TrainedModels models, BooleanSupplier isUnwanted) {
        this.bgr = bgr;
        this.models = models;
        this.isUnwanted = isUnwanted;
    }

    boolean isUnwanted() {
        return isUnwanted.getAsBoolean();
    }

    @Override
    public Size picture() {
        return new Size(bgr.cols(), bgr.rows());
    }

    @Override
    public List<SeenThing> things() {
        return isUnwanted() ? List.of() : models.things(bgr);
    }

    @Override
    public List<SeenFace> faces() {
        return isUnwanted() ? List.of() : models.faces(FaceModel.ANY, bgr);
    }

    @Override
    public List<SeenFace> nearFaces() {
        return isUnwanted() ? List.of() : models.faces(FaceModel.NEAR, bgr);
    }

    @Override
    public Optional<SalientRegion> salient() {
        return salient.get();
    }

    /** How much each place stands out; nothing does once it is unwanted. */
    SalientMap map() {
        return map.get();
    }

    private SalientMap look() {
        return Salience.of(bgr, isUnwanted);
    }

    private Optional<SalientRegion> heaviest() {
        SalientMap looked = map();
        return isUnwanted() ? Optional.empty() : SalientRegions.heaviest(looked);
    }
}
