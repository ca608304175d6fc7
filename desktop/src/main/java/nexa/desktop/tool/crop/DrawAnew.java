package nexa.desktop.tool.crop;

import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.crop.DrawCrop;
import nexa.core.crop.Resize;
import nexa.core.format.Format;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.desktop.stage.Projection;
import nexa.desktop.tool.Drawing;
import nexa.desktop.tool.Easel;

/** Draws the crop anew. */
final class DrawAnew implements Drawing {
    private final Easel easel;

    DrawAnew(Easel easel) {
        this.easel = easel;
    }

    @Override
    public void during(Point from, Point to, Held held) {
        drawn(from, to, held).ifPresent(crop -> easel.gestures().draft(Edit.Kind.DRAW, crop));
    }

    @Override
    public void done(Point from, Point to, Held held) {
        easel.say("");
        easel.gestures().finish();
    }

    private Optional<Crop> drawn(Point from, Point to, Held held) {
        PhotoCrop now = easel.session().crop().orElseThrow();
        Projection projection = easel.stage().projection().orElseThrow();
        boolean fromCentre = held.alt() || held.control();
        return new DrawCrop(
                        now.outline(),
                        projection.toPlane(from),
                        fromCentre ? Resize.Anchor.CENTRE : Resize.Anchor.OPPOSITE,
                        ratio(now.format(), now.photo()))
                .to(projection.toPlane(to));
    }

    private static OptionalDouble ratio(Format format, Photo photo) {
        return format.ratio().isFree()
                ? OptionalDouble.empty()
                : OptionalDouble.of(format.ratioFor(photo.remaining().size(), photo.orientation()));
    }
}
