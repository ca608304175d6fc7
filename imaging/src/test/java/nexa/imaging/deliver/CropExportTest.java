package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.series.Crops;
import nexa.core.shape.Lens;
import nexa.core.shape.Vignette;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.Shoot;
import nexa.imaging.TestPhotos;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFolder;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** By what a file that was delivered is known again. */
class CropExportTest {
    private static final Format PRINT =
            Format.of("print", "Print", Ratio.of("3", "2")).withSize(new OutputSize.Print(3, 2, LengthUnit.IN, 150));

    @TempDir
    Path folder;

    private Photo photo = Photo.untouched("a.jpg").withPixels(new PixelSize(90, 60));
    private Format format = PRINT;
    private DeliveryTerms terms = DeliveryTerms.USUAL.withLines("© Fernhill", "Ada");

    @BeforeEach
    void writePhoto() throws Exception {
        // Nothing but its length and time is looked at.
        Files.writeString(folder.resolve("a.jpg"), "a photo");
        Files.setLastModifiedTime(folder.resolve("a.jpg"), FileTime.fromMillis(1_700_000_000_000L));
    }

    private DeliveryItem item() {
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, List.of(format), List.of(photo));
        DeliveryPlan.Item item = new DeliveryPlan.Item(
                new Crops(shoot).of(photo, format), "print/a.jpg", "print/a.jpg", false, List.of());
        return new CropExport(new PhotoFolder(folder), List.of(item), terms).file(item);
    }

    private Set<MakingStep> used() throws PhotoProblem {
        Set<MakingStep> used = EnumSet.noneOf(MakingStep.class);
        DeliveryItem item = item();
        for (MakingStep step : MakingStep.values()) {
            if (item.uses(step)) {
                used.add(step);
            }
        }
        return used;
    }

    @Test
    void aFileDeliveredBeforeIsKnownByTheLettersItWasKeptWith() throws Exception {
        assertThat(item().contentKey()).isEqualTo("1a176fb9-50e8-34c6-89ba-65c5286804f6");
        photo = photo.withPreparation(
                Preparation.NONE.withAngle(new Angle(-2.5)).withLens(Optional.of(Lens.byHand(20))));
        format = PRINT.withFile(FileSpec.usual("feed").withType(FileSpec.Type.PNG));
        assertThat(item().contentKey()).isEqualTo("5cad41d6-a456-3a62-8381-887cd1feaf89");
        terms = terms.withReplacesOwn(false).withList(false);
        assertThat(item().contentKey())
                .as("whether it replaces and is listed")
                .isEqualTo("5cad41d6-a456-3a62-8381-887cd1feaf89");
        terms = terms.withMakerNotes(true);
        assertThat(item().contentKey()).isNotEqualTo("5cad41d6-a456-3a62-8381-887cd1feaf89");
    }

    @Test
    void onlyStepsThatHaveAPartInAFileMakeItAnew() throws Exception {
        terms = terms.withCameraData(false, false);
        assertThat(used()).containsExactly(MakingStep.JPEG, MakingStep.RESIZED);
        format = PRINT.withSize(new OutputSize.AsCropped());
        assertThat(used()).containsExactly(MakingStep.JPEG);
        photo = photo.withAngle(new Angle(1));
        format = PRINT.withFile(FileSpec.usual("").withType(FileSpec.Type.TIFF));
        assertThat(used()).containsExactly(MakingStep.TIFF, MakingStep.WARP);
        terms = DeliveryTerms.USUAL;
        TestPhotos.write(TestPhotos.scene(90, 60), folder.resolve("a.jpg"));
        assertThat(used())
                .as("of a photo in which the camera noted nothing")
                .containsExactly(MakingStep.TIFF, MakingStep.WARP);
        TestPhotos.addMetadata(folder.resolve("a.jpg"), TestPhotos.exif(1, new PixelSize(90, 60)), null);
        assertThat(used()).contains(MakingStep.CAMERA_DATA);
        photo = photo.withPreparation(Preparation.NONE.withVignette(new Vignette(-1, 0.7)));
        assertThat(used()).contains(MakingStep.DEEP_TONES).doesNotContain(MakingStep.WARP);
    }

    @Test
    void aFileOfAnEarlierVersionIsOfTheFirstVersionOfEachStep() {
        assertThat(MakingStep.otherThan(""))
                .containsExactly(
                        MakingStep.TIFF,
                        MakingStep.CAMERA_DATA,
                        MakingStep.WARP,
                        MakingStep.RESIZED,
                        MakingStep.DEEP_TONES,
                        MakingStep.TRIMMED_FILL,
                        MakingStep.RAW);
        assertThat(MakingStep.otherThan(MakingStep.versions())).isEmpty();
        assertThat(MakingStep.otherThan(MakingStep.versions().replace("JPEG 1", "JPEG 9")))
                .containsExactly(MakingStep.JPEG);
    }
}
