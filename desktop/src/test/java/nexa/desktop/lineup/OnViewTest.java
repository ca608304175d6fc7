package nexa.desktop.lineup;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import org.junit.jupiter.api.Test;

/** Only what was seen large enough, and as it is, was on view. */
class OnViewTest {
    private static final Format PAGE = Format.of("page", "Page", Ratio.parse("4:3"));
    private static final Format FEED = Format.of("feed", "Feed", Ratio.parse("4:5"));
    private static final Photo PHOTO = Photo.untouched("a.jpg").withPixels(new PixelSize(600, 400));

    private static PhotoCrop crop(Format format, double x) {
        Crop crop = new Crop(new Point(x, 200), new Size(200, 150));
        return new PhotoCrop(PHOTO, format, PhotoCrop.State.OWN, crop, false, List.of());
    }

    @Test
    void aCropHasBeenOnViewUntilItChanges() {
        AtomicInteger heard = new AtomicInteger();
        OnView onView = new OnView(heard::incrementAndGet);
        onView.see(crop(PAGE, 300), 299);
        assertThat(onView.has(crop(PAGE, 300))).as("too small").isFalse();
        onView.see(crop(PAGE, 300), 300);
        onView.see(crop(PAGE, 300), 700);
        assertThat(onView.has(crop(PAGE, 300))).isTrue();
        assertThat(heard.get()).as("told once").isEqualTo(1);
        assertThat(onView.has(crop(PAGE, 301))).as("slid since").isFalse();
        assertThat(onView.has(crop(FEED, 300))).as("in another format").isFalse();
    }
}
