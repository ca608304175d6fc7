package nexa.desktop.stage;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import nexa.core.shoot.Photo;
import nexa.imaging.pictures.Picture;

/** The neighbours of the photo on the stage, drawn before they are shown; only the last few. */
final class DrawnAhead {
    private static final int MOST = 3;

    /** A photo as it was drawn. */
    record Drawn(Photo photo, Picture source, StagePicture.Drawing drawing) {
        private boolean isOf(Photo other, Pose lying, double density) {
            return drawing.shows(other, lying, Optional.empty())
                    && drawing.projection().equals(lying.projection())
                    && drawing.density() == density;
        }
    }

    private final StagePicture renderer;
    private final Map<String, Drawn> photos = new LinkedHashMap<>();

    DrawnAhead(StagePicture renderer) {
        this.renderer = renderer;
    }

    /** Draws a photo in the background as it will lie, unless it is drawn so already. */
    void draw(Photo photo, Picture source, Pose lying, double density) {
        if (find(photo, lying, density).isEmpty()) {
            renderer.drawAhead(source, photo, lying, density, drawing -> keep(new Drawn(photo, source, drawing)));
        }
    }

    private void keep(Drawn drawn) {
        photos.remove(drawn.photo().file());
        photos.put(drawn.photo().file(), drawn);
        if (photos.size() > MOST) {
            photos.remove(photos.keySet().iterator().next());
        }
    }

    /** The photo, if it is drawn just so. */
    Optional<Drawn> find(Photo photo, Pose lying, double density) {
        return Optional.ofNullable(photos.get(photo.file())).filter(drawn -> drawn.isOf(photo, lying, density));
    }
}
