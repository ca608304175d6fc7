package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.Test;

/** A format of a new shoot goes as soon as anything is done in it, and not before. */
class BegunTest {
    private final Shoot shoot = Shoot.of(
            "Firing",
            Shoot.Order.NAME,
            List.of(waiting("page"), waiting("post"), waiting("kept").withGoing(Going.STAYS)),
            List.of(photo("a.jpg"), photo("b.jpg")));

    private static Format waiting(String id) {
        return Format.of(id, id, Ratio.parse("4:3")).withGoing(Going.WAITS);
    }

    private static Photo photo(String file) {
        return Photo.untouched(file).withPixels(new PixelSize(6000, 4000));
    }

    private List<Going> goingAfter(UnaryOperator<Shoot> change) {
        return Begun.after(shoot, change.apply(shoot)).formats().stream()
                .map(Format::going)
                .toList();
    }

    @Test
    void aCropMadeLedCarriedOrDoneLetsItsFormatGoAndNoOther() {
        Crop crop = new Crop(new Point(3000, 2000), new Size(2000, 1500));
        List<Going> first = List.of(Going.GOES, Going.WAITS, Going.STAYS);
        assertThat(goingAfter(now -> new Adjust(now, "a.jpg", "page").to(crop))).isEqualTo(first);
        assertThat(goingAfter(now -> Leads.make(now, "a.jpg", "page"))).isEqualTo(first);
        assertThat(goingAfter(now -> new CarryAcross("a.jpg", "page", Set.of(Carry.values()), false, false)
                        .to(now, List.of("b.jpg"))
                        .shoot()))
                .isEqualTo(first);
        assertThat(goingAfter(now -> now.with(
                        "b.jpg",
                        photo -> photo.withEntry("page", photo.entry("page").withDone(true)))))
                .isEqualTo(first);
    }

    @Test
    void marksLevelsAndStartingAgainLetNothingGoAndWhatIsKeptBackStays() {
        List<Going> none = List.of(Going.WAITS, Going.WAITS, Going.STAYS);
        assertThat(goingAfter(now -> now.with("a.jpg", photo -> photo.withMark(Mark.SELECT))))
                .isEqualTo(none);
        assertThat(goingAfter(now -> now.with("a.jpg", photo -> photo.withAngle(new Angle(2)))))
                .isEqualTo(none);
        assertThat(goingAfter(now -> StartAgain.crop(now, "a.jpg", "page"))).isEqualTo(none);
        assertThat(goingAfter(now -> Leads.make(now, "a.jpg", "kept"))).isEqualTo(none);
    }
}
