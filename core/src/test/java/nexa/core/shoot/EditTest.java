package nexa.core.shoot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import nexa.core.crop.Slide;
import nexa.core.crop.TurnCrop;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.Going;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.series.Adjust;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class EditTest {
    private static final Format PAGE = Format.of("page", "Page", Ratio.parse("4:3"));
    private static final Format FEED =
            Format.of("feed", "Feed", Ratio.parse("4:5")).withTurn(FormatTurn.TALL);
    private final Shoot start = Shoot.of(
            "Firing",
            Shoot.Order.NAME,
            List.of(PAGE, FEED),
            List.of(
                    Photo.untouched("a.jpg").withPixels(new PixelSize(6000, 4000)),
                    Photo.untouched("b.jpg").withPixels(new PixelSize(4000, 6000)),
                    Photo.untouched("c.jpg").withPixels(new PixelSize(3000, 3000))));

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void undoingEverythingGivesTheStartAgainAndRedoingTheEnd(long seed) {
        Random random = new Random(seed);
        Shoot now = start;
        History history = History.EMPTY;
        for (int i = 0; i < 40; i++) {
            Shoot next = randomStep(now, random);
            Edit edit = Edit.between(Edit.Kind.SLIDE, Optional.of("page"), now, next);
            assertThat(edit.applyTo(now)).isEqualTo(next);
            assertThat(edit.inverse().applyTo(next)).isEqualTo(now);
            history = history.with(edit);
            now = next;
        }
        Shoot end = now;
        while (history.undoable().isPresent()) {
            now = history.undoable().get().inverse().applyTo(now);
            history = history.undone();
        }
        assertThat(now).isEqualTo(start);
        while (history.redoable().isPresent()) {
            now = history.redoable().get().applyTo(now);
            history = history.redone();
        }
        assertThat(now).isEqualTo(end);
    }

    private static Shoot randomStep(Shoot shoot, Random random) {
        Photo photo = shoot.photos().get(random.nextInt(3));
        Format format = shoot.formats().get(random.nextInt(2));
        Crop crop = new Crops(shoot).of(photo, format).crop();
        Adjust adjust = new Adjust(shoot, photo.file(), format.id());
        return switch (random.nextInt(4)) {
            case 0 -> adjust.slidTo(Slide.by(photo.outline(), crop, new Point(random.nextInt(900) - 450, 80)));
            case 1 -> adjust.to(TurnCrop.turn(photo.outline(), crop));
            case 2 -> shoot.with(photo.file(), p -> p.withAngle(new Angle(random.nextInt(20) - 10)));
            default -> shoot.withFormats(List.of(PAGE.withGoing(Going.values()[random.nextInt(3)]), FEED));
        };
    }

    @Test
    void undoingDoesNotForgetWhatWasReadMeanwhile() {
        Shoot unread = Shoot.of("Firing", Shoot.Order.NAME, List.of(PAGE), List.of(Photo.untouched("a.jpg")));
        Shoot marked = unread.with("a.jpg", photo -> photo.withMark(Mark.SELECT));
        Edit edit = Edit.between(Edit.Kind.MARK, Optional.empty(), unread, marked);
        Shoot read = marked.with("a.jpg", photo -> photo.withPixels(new PixelSize(600, 400)));
        Photo undone = edit.inverse().applyTo(read).photo("a.jpg");
        assertThat(undone.mark()).isEqualTo(Mark.OPEN);
        assertThat(undone.pixels()).contains(new PixelSize(600, 400));
    }

    @Test
    void turningThePhotoAndBackGivesTheFirstCropExactly() {
        Crop edge = new Crop(new Point(4000, 2000), new Size(4000, 3000));
        Shoot shoot = new Adjust(start, "a.jpg", "page").to(edge);
        Crop before = new Crops(shoot).of(shoot.photo("a.jpg"), PAGE).crop();
        Shoot turned = shoot.with("a.jpg", photo -> photo.withAngle(new Angle(7.3)));
        assertThat(new Crops(turned).of(turned.photo("a.jpg"), PAGE).crop()).isNotEqualTo(before);
        Shoot back = turned.with("a.jpg", photo -> photo.withAngle(Angle.NONE));
        assertThat(new Crops(back).of(back.photo("a.jpg"), PAGE).crop()).isEqualTo(before);
    }

    @Test
    void slidingATurnedCropKeepsTheWishedSize() {
        Shoot wished = new Adjust(start, "a.jpg", "page")
                .to(new Crop(new Point(3000, 2000), new Size(5333, 3999.75)))
                .with("a.jpg", photo -> photo.withAngle(new Angle(10)));
        Photo turned = wished.photo("a.jpg");
        Crop shown = new Crops(wished).of(turned, PAGE).crop();
        assertThat(shown.size().width()).isLessThan(5000);
        Shoot slid = new Adjust(wished, "a.jpg", "page").slidTo(Slide.by(turned.outline(), shown, new Point(5, 0)));
        Shoot back = slid.with("a.jpg", photo -> photo.withAngle(Angle.NONE));
        assertThat(new Crops(back).of(back.photo("a.jpg"), PAGE).crop().size().width())
                .isGreaterThan(5332);
    }

    @Test
    void aCropTurnedByHandStaysTurnedAndATallFormatIsTallFromTheStart() {
        Photo wide = start.photo("a.jpg");
        PhotoCrop feed = new Crops(start).of(wide, FEED);
        assertThat(feed.crop().size()).isEqualTo(new Size(3200, 4000));
        Crop page = new Crops(start).of(wide, PAGE).crop();
        Shoot turned = new Adjust(start, "a.jpg", "page").to(TurnCrop.turn(wide.outline(), page));
        Crop tall = new Crops(turned).of(turned.photo("a.jpg"), PAGE).crop();
        assertThat(tall.size().ratio()).isCloseTo(0.75, within(1e-12));
        assertThat(turned.photo("a.jpg").entry("page").turn()).contains(Orientation.TALL);
    }
}
