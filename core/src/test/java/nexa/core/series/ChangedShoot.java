package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Carry;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Tune;
import nexa.core.shoot.Wish;

/** A shoot to be changed. */
abstract class ChangedShoot {
    static final Format PAGE = Format.of("page", "Page", Ratio.parse("4:3"));
    static final Format BANNER =
            Format.of("banner", "Banner", Ratio.parse("21:9")).withTurn(FormatTurn.WIDE);
    static final Placement FOLLOW =
            new Placement.Follow(Tune.NONE, EnumSet.allOf(Carry.class), Optional.empty(), false);
    static final Placement TUNED =
            new Placement.Follow(new Tune(0.02, -0.01, 1.1), EnumSet.allOf(Carry.class), Optional.empty(), false);

    final Shoot shoot = Shoot.of(
            "Firing",
            Shoot.Order.NAME,
            List.of(PAGE.withLeads(Map.of(Orientation.WIDE, "lead.jpg")), BANNER),
            List.of(
                    photo("lead.jpg", 6000, 4000, -2.3, own(0.46, 0.5, 0.61, 0.68625)),
                    photo("wide.jpg", 5000, 3000, 1.2, entry(FOLLOW)),
                    photo("tall.jpg", 4000, 6000, 0, entry(TUNED)),
                    photo("own.jpg", 4000, 3000, 3, own(0.4, 0.55, 0.5, 0.5))));

    static CropEntry own(double x, double y, double width, double height) {
        return entry(new Placement.Own(new Wish(new Point(x, y), new Size(width, height))));
    }

    static CropEntry entry(Placement placement) {
        return CropEntry.UNTOUCHED.withPlacement(placement);
    }

    static Photo photo(String file, int width, int height, double angle, CropEntry page) {
        return Photo.untouched(file)
                .withPixels(new PixelSize(width, height))
                .withAngle(new Angle(angle))
                .withSubject(Optional.of(new Subject(new Point(0.4, 0.6), OptionalDouble.of(0.1))))
                .withEntry("page", page);
    }

    static Crop crop(Shoot shoot, String file) {
        return new Crops(shoot).of(shoot.photo(file), shoot.format("page")).crop();
    }

    static PhotoCrop.State state(Shoot shoot, String file) {
        return new Crops(shoot).of(shoot.photo(file), shoot.format("page")).state();
    }

    static void assertSame(Crop actual, Crop expected) {
        assertThat(actual.centre().distance(expected.centre())).isLessThan(1e-6);
        assertThat(actual.size().width()).isCloseTo(expected.size().width(), within(1e-6));
        assertThat(actual.size().height()).isCloseTo(expected.size().height(), within(1e-6));
    }
}
