package nexa.desktop.picture;

import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.scene.image.ImageView;
import javafx.scene.layout.StackPane;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.pictures.Picture;
import nexa.imaging.pictures.PictureLevel;
import nexa.imaging.pictures.PictureLibrary;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;

/**
 * A small picture of a photo or of its crop that comes when it has been read. Of several asked for in a row only the last
 * is shown; while another state of the same photo is being made, the earlier picture stays.
 */
public final class Thumb extends StackPane {
    private final PictureLibrary library;
    private final ImageView view = new ImageView();
    private Ticket asked = Ticket.NONE;
    private Ticket embedded = Ticket.NONE;
    private String file = "";
    private Runnable showAgain = () -> {};
    private final ObservableValue<Double> density = DevicePixels.at(this);

    public Thumb(PictureLibrary library) {
        this.library = library;
        getStyleClass().add("thumb");
        view.setSmooth(true);
        getChildren().add(view);
        // Seen on another screen, it is drawn for that one.
        density.addListener((observed, before, now) -> showAgain.run());
    }

    /** Shows a photo's crop as it will look, at most this large. */
    public void show(PhotoCrop crop, double width, double height) {
        showAgain = () -> show(crop, width, height);
        double ratio = crop.crop().size().ratio();
        double fitting = Math.min(height, width / ratio);
        fit(ratio * fitting, fitting);
        begin(crop.photo());
        int pixels = (int) Math.max(1, Math.round(fitting * density.getValue()));
        asked = library.crop(crop, pixels, new Showing(false));
    }

    /** Shows a whole photo, at most this large. */
    public void show(Photo photo, double width, double height) {
        showAgain = () -> show(photo, width, height);
        double ratio = photo.size().ratio();
        double fitting = Math.min(height, width / ratio);
        fit(ratio * fitting, fitting);
        begin(photo);
        PictureLevel level = PictureLevel.forPixels(fitting * Math.max(1, ratio) * density.getValue());
        Optional<Picture> ready = library.ifReady(photo, level);
        if (ready.isPresent()) {
            view.setImage(Images.of(ready.get()));
        } else {
            library.finestReady(photo)
                    .ifPresentOrElse(
                            small -> view.setImage(Images.of(small)),
                            () -> embedded = library.embedded(photo, new Showing(true)));
            asked = library.photo(photo, level, Urgency.SOON, new Showing(false));
        }
    }

    /** Shows nothing. */
    public void clear() {
        forget();
        showAgain = () -> {};
        file = "";
        view.setImage(null);
    }

    private void fit(double width, double height) {
        view.setFitWidth(width);
        view.setFitHeight(height);
        setMinSize(width, height);
        setPrefSize(width, height);
        setMaxSize(width, height);
    }

    private void forget() {
        asked.cancel();
        embedded.cancel();
    }

    private void begin(Photo photo) {
        forget();
        if (!photo.file().equals(file)) {
            view.setImage(null);
            file = photo.file();
        }
    }

    private final class Showing implements PictureLibrary.Listener {
        private final boolean isCoarse;

        /** @param isCoarse whether a finer picture is to come, or may be there already */
        Showing(boolean isCoarse) {
            this.isCoarse = isCoarse;
        }

        @Override
        public void ready(Picture picture) {
            if (!isCoarse || view.getImage() == null) {
                view.setImage(Images.of(picture));
            }
        }

        @Override
        public void failed(PhotoProblem problem) {
            view.setImage(null);
        }
    }
}
