package nexa.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.DeliveryTerms;
import nexa.core.format.FileSpec;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.shape.Distortion;
import nexa.core.shape.LateralChromaticAberration;
import nexa.core.shape.Lens;
import nexa.core.shape.LensProfile;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shape.Shape;
import nexa.core.shape.Vignette;
import nexa.core.shoot.Beyond;
import nexa.core.shoot.Colour;
import nexa.core.shoot.PhotoOrientation;
import nexa.core.shoot.Preparation;
import nexa.core.shoot.QuarterTurn;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Tone;
import nexa.core.shoot.Trim;
import org.junit.jupiter.api.Test;

/** The letters kept with files that were delivered; another letter here and all of them are made anew. */
class FingerprintsTest {
    private static final LensProfile PROFILE = new LensProfile(
            "Kilnaro 24–70",
            1.5,
            1.5,
            Optional.of(new Distortion(Distortion.Model.PTLENS, List.of(0.01, -0.02, 0.003))),
            Optional.of(new LateralChromaticAberration(List.of(1.0001, 0.0, 0.0), List.of(0.9999, 0.0, 0.0))),
            List.of(-0.2, 0.1, -0.05));
    private static final Lens LENS = new Lens(Optional.of(PROFILE), 1.53, 1, 0.5, 0.8, -3);
    private static final Perspective PERSPECTIVE = new Perspective(
            12,
            -5,
            80,
            1.1,
            28,
            new SceneLines(List.of(new Segment(new Point(0.1, 0.2), new Point(0.1, 0.9))), List.of()));
    private static final Subject SUBJECT = new Subject(new Point(0.25, 0.5), OptionalDouble.of(0.08));

    private static final String LENS_LETTERS =
            "Lens[profile=Optional[LensProfile[name=Kilnaro 24–70, cropFactor=1.5, aspect=1.5, "
                    + "distortion=Optional[Distortion[model=PTLENS, terms=[0.01, -0.02, 0.003]]], "
                    + "fringes=Optional[LateralChromaticAberration[red=[1.0001, 0.0, 0.0], blue=[0.9999, 0.0, 0.0]]], "
                    + "vignetting=[-0.2, 0.1, -0.05]]], "
                    + "cameraCrop=1.53, distortion=1.0, colour=0.5, vignetting=0.8, bulge=-3.0]";
    private static final String PERSPECTIVE_LETTERS =
            "Perspective[tilt=12.0, swing=-5.0, strength=80.0, stretch=1.1, focal35=28.0, "
                    + "lines=SceneLines[uprights=[Segment[from=Point[x=0.1, y=0.2], to=Point[x=0.1, y=0.9]]], "
                    + "levels=[]]]";

    @Test
    void whatIsDoneToAPhoto() {
        Preparation all = new Preparation(
                new PhotoOrientation(QuarterTurn.RIGHT, true),
                new Trim(0.1, 0.2, 0.3, 0.05),
                new Shape(Optional.of(LENS), Optional.of(PERSPECTIVE), new Angle(3.5)),
                new Tone(new Vignette(-0.5, 0.8)));
        assertThat(all.fingerprint())
                .isEqualTo("RIGHT true Angle[degrees=3.5] Trim[left=0.1, top=0.2, right=0.3, bottom=0.05] "
                        + LENS_LETTERS + " " + PERSPECTIVE_LETTERS + " Vignette[stops=-0.5, middle=0.8]");
        assertThat(Lens.byHand(20).fingerprint())
                .isEqualTo("Lens[profile=Optional.empty, cameraCrop=1.0, distortion=1.0, colour=1.0, vignetting=1.0, "
                        + "bulge=20.0]");
    }

    @Test
    void aCropAndWhatFillsIt() {
        assertThat(new Crop(new Point(450, 300.5), new Size(1000, 1e-4)).fingerprint())
                .isEqualTo("Crop[centre=Point[x=450.0, y=300.5], size=Size[width=1000.0, height=1.0E-4]]");
        assertThat(Beyond.USUAL.fingerprint())
                .isEqualTo("Beyond[fill=PICTURE, colour=Optional.empty, spared=Optional.empty]");
        assertThat(Beyond.USUAL
                        .withColour(Optional.of(new Colour(10, 200, 90)))
                        .withSpared(Optional.of(SUBJECT))
                        .fingerprint())
                .isEqualTo("Beyond[fill=COLOUR, colour=Optional[#0ac85a], "
                        + "spared=Optional[Subject[at=Point[x=0.25, y=0.5], radius=OptionalDouble[0.08]]]]");
        assertThat(new Subject(new Point(0, 1), OptionalDouble.empty()).fingerprint())
                .isEqualTo("Subject[at=Point[x=0.0, y=1.0], radius=OptionalDouble.empty]");
    }

    @Test
    void aFileAndWhatGoesWithIt() {
        assertThat(new PixelSize(30, 20).fingerprint()).isEqualTo("PixelSize[width=30, height=20]");
        assertThat(FileSpec.usual("feed").withType(FileSpec.Type.TIFF).fingerprint())
                .isEqualTo("FileSpec[type=TIFF, quality=90, sampling=FULL, depth=PHOTO, colour=KEEP, enlarges=true, "
                        + "source=PHOTO, folder=feed, name={photo}]");
        DeliveryTerms terms =
                DeliveryTerms.USUAL.withReplacesOwn(false).withList(false).withLines("©", "Ada");
        assertThat(terms.fingerprint())
                .isEqualTo("DeliveryTerms[replacesOwn=true, cameraData=true, place=false, copyright=©, creator=Ada, "
                        + "list=true]");
        assertThat(terms.withMakerNotes(true).fingerprint()).isEqualTo(terms.fingerprint() + " makerNotes");
    }
}
