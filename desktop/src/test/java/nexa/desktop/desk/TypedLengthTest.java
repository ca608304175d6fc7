package nexa.desktop.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import nexa.core.crop.TypedCrop.Field;
import nexa.core.format.Format;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedLengthTest {
    private static PhotoCrop crop(OutputSize size) {
        Photo photo = Photo.untouched("a.jpg").withPixels(new PixelSize(6000, 4000));
        Format format = Format.of("f", "F", Ratio.of("4", "3")).withSize(size);
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, List.of(format), List.of(photo));
        return new Crops(shoot).of(photo, format);
    }

    private static final PhotoCrop ON_PAPER = crop(new OutputSize.Print(16, 12, LengthUnit.CM, 254));
    private static final PhotoCrop AS_CROPPED = crop(new OutputSize.AsCropped());

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            1080       | 1080
            1 080 px   | 1080
            1080,5     | 1080.5
            25 %       | 1500
            20 cm      | 2000
            200mm      | 2000
            8in        | 2032
            8"         | 2032
            """)
    void lengthsAreReadInEveryUnit(String typed, double pixels) {
        assertThat(new TypedLength(ON_PAPER, Field.WIDTH, false).pixels(typed).orElseThrow())
                .isCloseTo(pixels, within(1e-6));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "wide", "12 miles", "1e4", "--3", "0", "-5", "NaN"})
    void whatIsNoLengthIsNotTaken(String typed) {
        assertThat(new TypedLength(ON_PAPER, Field.WIDTH, false).pixels(typed)).isEmpty();
    }

    @Test
    void aPlaceMayBeNoughtOrLessAndABareNumberMayBePerCent() {
        assertThat(new TypedLength(ON_PAPER, Field.LEFT, false).pixels("−20")).hasValue(-20);
        assertThat(new TypedLength(ON_PAPER, Field.TOP, true).pixels("50")).hasValue(2000);
        assertThat(new TypedLength(ON_PAPER, Field.TOP, true).pixels("50 px")).hasValue(50);
    }

    @Test
    void centimetresMeanNothingWithoutPaper() {
        assertThat(new TypedLength(AS_CROPPED, Field.WIDTH, false).pixels("20 cm"))
                .isEmpty();
        assertThat(new TypedLength(AS_CROPPED, Field.WIDTH, false).pixels("20 %"))
                .hasValue(1200);
    }
}
