package nexa.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.Paper;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FormatWordsTest {
    private static final Format PAGE = Format.of("page", "Catalogue page", Ratio.of("4", "3"))
            .withSize(new OutputSize.Print(16, 12, LengthUnit.CM, 300));
    private static final Format FEED = Format.of("feed", "Feed post", Ratio.of("4", "5"))
            .withTurn(FormatTurn.TALL)
            .withSize(new OutputSize.Pixels(1080, 1350));
    private static final Format BANNER =
            Format.of("banner", "Banner", Ratio.of("2.39", "1")).withSize(new OutputSize.LongEdge(1920));

    private static final Format OWN = Format.of("o", "Own", Ratio.PHOTO);

    private static PhotoCrop crop(Format format, int width, int height) {
        Photo photo = Photo.untouched("a.jpg").withPixels(new PixelSize(width, height));
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, List.of(format), List.of(photo));
        return new Crops(shoot).of(photo, format);
    }

    @Test
    void ratiosAndSizesAreSaidAsPhotographersWriteThem() {
        assertThat(FormatWords.asked(PAGE)).isEqualTo("4 : 3  16 × 12 cm");
        assertThat(FormatWords.asked(FEED)).isEqualTo("4 : 5  1080 × 1350 px");
        assertThat(FormatWords.asked(BANNER)).isEqualTo("2.39 : 1  1920 px long");
        assertThat(FormatWords.asked(OWN)).isEqualTo("as each photo is");
        assertThat(FormatWords.asked(Format.of("f", "Free", Ratio.FREE))).isEqualTo("any shape");
    }

    @ParameterizedTest
    @CsvSource({
        "6000, 4000, 3 : 2",
        "4000, 6000, 2 : 3",
        "4032, 3024, 4 : 3",
        "5000, 5000, 1 : 1",
        "6000, 3901, 1.54 : 1"
    })
    void ofOnePhotoItsOwnRatioIsToldInNumbers(int width, int height, String told) {
        Photo photo = Photo.untouched("a.jpg").withPixels(new PixelSize(width, height));
        assertThat(FormatWords.asked(OWN, Optional.of(photo))).isEqualTo(told);
        assertThat(FormatWords.asked(OWN, Optional.of(Photo.untouched("unread.jpg"))))
                .isEqualTo("as each photo is");
        assertThat(FormatWords.size(Format.of("f", "Free", Ratio.FREE))).isEqualTo("as cropped");
    }

    @Test
    void theWayItLiesIsSaidWhereItMeansSomething() {
        assertThat(FormatWords.turn(PAGE)).isEqualTo(", as each photo lies");
        assertThat(FormatWords.turn(FEED)).isEqualTo(", always tall");
        assertThat(FormatWords.turn(Format.of("s", "Square", Ratio.of("1", "1"))))
                .isEmpty();
    }

    @Test
    void whatComesOutTurnsWithTheCrop() {
        assertThat(FormatWords.output(crop(PAGE, 6000, 4000))).isEqualTo("16 × 12 cm at 300 ppi\n1890 × 1417 px");
        assertThat(FormatWords.output(crop(PAGE, 4000, 6000))).isEqualTo("12 × 16 cm at 300 ppi\n1417 × 1890 px");
        assertThat(FormatWords.output(crop(FEED, 6000, 4000))).isEqualTo("1080 × 1350 px");
        assertThat(FormatWords.shortOutput(crop(PAGE, 6000, 4000))).isEqualTo("16 × 12 cm, 1890 × 1417 px");
    }

    @Test
    void whetherThePixelsAreEnoughIsSaid() {
        assertThat(FormatWords.detail(crop(PAGE, 6000, 4000))).isEqualTo("847 ppi from the photo");
        assertThat(FormatWords.detail(crop(FEED, 6000, 4000))).isEqualTo("3.0× the pixels needed");
        assertThat(FormatWords.shortDetail(crop(FEED, 540, 675))).isEqualTo("enlarged 2.0×");
        assertThat(FormatWords.shortDetail(crop(Format.of("o", "Own", Ratio.PHOTO), 600, 400)))
                .isEqualTo("its own pixels");
    }

    @Test
    void aCropThatMayNotBeEnlargedIsNotSaidToBe() {
        Format never = FEED.withFile(FileSpec.usual("feed").withEnlarges(false));
        PhotoCrop small = crop(never, 540, 675);
        assertThat(FormatWords.pixels(small)).isEqualTo("540 × 675 px");
        assertThat(FormatWords.shortDetail(small)).isEqualTo("too few pixels");
        assertThat(FormatWords.detail(small)).isEqualTo("too few pixels, not enlarged");
    }

    @Test
    void papersGoByNameAndMeasure() {
        assertThat(FormatWords.paper(Paper.COMMON.get(2))).isEqualTo("A4, 210 × 297 mm");
        assertThat(Paper.COMMON.stream().map(FormatWords::paper)).contains("8 × 10 in", "Letter, 8.5 × 11 in");
    }
}
