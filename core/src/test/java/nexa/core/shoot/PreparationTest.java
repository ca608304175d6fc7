package nexa.core.shoot;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.series.StartAgain;
import nexa.core.shape.Lens;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import nexa.core.shape.Shape;
import nexa.core.shape.Vignette;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever can be done to a photo is told, taken along and taken back; a correction that is forgotten somewhere fails here. */
class PreparationTest {
    /** Everything is done: another correction is added here. */
    private static final Preparation ALL = new Preparation(
            new PhotoOrientation(QuarterTurn.RIGHT, true),
            new Trim(0.1, 0.2, 0.3, 0.05),
            new Shape(
                    Optional.of(Lens.byHand(20)),
                    Optional.of(new Perspective(12, -5, 80, 1.1, 28, SceneLines.NONE)),
                    new Angle(3.5)),
            new Tone(new Vignette(-0.5, 0.8)));

    /** Of the parts of a preparation, those that corrections are added to; a trim is one. */
    private static final Set<Class<?>> PARTS = Set.of(PhotoOrientation.class, Shape.class, Tone.class);

    /** One correction and the part it is in, which is itself where it is no part of one. */
    private record Correction(RecordComponent part, RecordComponent inPart) {
        @Override
        public String toString() {
            return part.getName() + " " + inPart.getName();
        }

        boolean isWholePart() {
            return part == inPart;
        }

        boolean isIn(String name) {
            return part.getName().equals(name);
        }

        Object of(Preparation preparation) throws ReflectiveOperationException {
            Object value = part.getAccessor().invoke(preparation);
            return isWholePart() ? value : inPart.getAccessor().invoke(value);
        }
    }

    static Stream<Correction> corrections() {
        return Stream.of(Preparation.class.getRecordComponents())
                .flatMap(part -> PARTS.contains(part.getType())
                        ? Stream.of(part.getType().getRecordComponents()).map(inPart -> new Correction(part, inPart))
                        : Stream.of(new Correction(part, part)));
    }

    /** A preparation with one correction of another one. */
    private static Preparation with(Correction correction, Preparation from, Preparation rest)
            throws ReflectiveOperationException {
        Object part = correction.part().getAccessor().invoke(rest);
        Object changed =
                correction.isWholePart() ? correction.of(from) : with(part, correction.inPart(), correction.of(from));
        return (Preparation) with(rest, correction.part(), changed);
    }

    private static Object with(Object whole, RecordComponent part, Object value) throws ReflectiveOperationException {
        RecordComponent[] parts = whole.getClass().getRecordComponents();
        Class<?>[] types = Stream.of(parts).map(RecordComponent::getType).toArray(Class<?>[]::new);
        Object[] values = new Object[types.length];
        for (int i = 0; i < values.length; i++) {
            values[i] = parts[i].getName().equals(part.getName())
                    ? value
                    : parts[i].getAccessor().invoke(whole);
        }
        return whole.getClass().getDeclaredConstructor(types).newInstance(values);
    }

    /** A correction may be forgotten by no key that asks for its part, and change none that does not. */
    @ParameterizedTest
    @MethodSource("corrections")
    void everyCorrectionChangesTheKeysOfItsPartAndNoOthers(Correction correction) throws ReflectiveOperationException {
        Photo plain = Photo.untouched("a.jpg").withPixels(new PixelSize(60, 40));
        Photo done = plain.withPreparation(with(correction, ALL, Preparation.NONE));
        boolean isOtherPicture = correction.isIn("orientation");
        boolean isLookedAtAnew = isOtherPicture || correction.isIn("trim");
        boolean isMoved = correction.isIn("shape");
        boolean isToned = correction.isIn("tone");
        assertThat(done.hasSamePictureAs(plain)).as("the picture in memory").isEqualTo(!isOtherPicture);
        assertThat(done.preparation().beforeShape().equals(Preparation.NONE))
                .as("what is found")
                .isEqualTo(!isLookedAtAnew);
        assertThat(done.preparation().hasSamePlacesAs(Preparation.NONE))
                .as("places in it")
                .isEqualTo(isToned);
        assertThat(done.hasSamePlaneAs(plain))
                .as("the plane but for the angle")
                .isEqualTo(!isMoved || correction.inPart().getName().equals("angle"));
        assertThat(done.preparation().tone().equals(Tone.NONE))
                .as("light and colour")
                .isEqualTo(!isToned);
    }

    @ParameterizedTest
    @MethodSource("corrections")
    void everyCorrectionIsInTheFingerprintAndMakesItAnotherPreparation(Correction correction)
            throws ReflectiveOperationException {
        assertThat(correction.of(ALL)).isNotEqualTo(correction.of(Preparation.NONE));
        Preparation only = with(correction, ALL, Preparation.NONE);
        Preparation without = with(correction, Preparation.NONE, ALL);
        assertThat(only.isNone()).isFalse();
        assertThat(only.fingerprint()).isNotEqualTo(Preparation.NONE.fingerprint());
        assertThat(without.fingerprint()).isNotEqualTo(ALL.fingerprint());
    }

    @ParameterizedTest
    @MethodSource("corrections")
    void everyCorrectionIsTakenAlongAndTakenBack(Correction correction) throws ReflectiveOperationException {
        Photo photo = Photo.untouched("a.jpg")
                .withPixels(new PixelSize(60, 40))
                .withPreparation(with(correction, ALL, Preparation.NONE));
        Photo other = Photo.untouched("b.jpg").saying(photo);
        assertThat(other.preparation()).isEqualTo(photo.preparation());
        assertThat(photo.isUntouched()).isFalse();
        assertThat(StartAgain.isUntouched(photo)).isFalse();
        Shoot shoot = Shoot.of("", Shoot.Order.NAME, List.of(), List.of(photo));
        Photo fresh = StartAgain.photos(shoot, Set.of("a.jpg")).photo("a.jpg");
        assertThat(fresh.isUntouched()).isTrue();
    }

    @Test
    void fourQuartersAndTwoMirrorsLeaveItAsItWas() {
        assertThat(ALL.turnedRight().turnedRight().turnedRight().turnedRight()).isEqualTo(ALL);
        assertThat(ALL.mirrored().mirrored()).isEqualTo(ALL);
        assertThat(ALL.turnedRight()).isNotEqualTo(ALL);
        // In a mirror a quarter to the right is one to the left.
        Preparation level = Preparation.NONE;
        assertThat(level.turnedRight().mirrored())
                .isEqualTo(level.mirrored().turnedRight().turnedRight().turnedRight());
    }

    @Test
    void aPictureInMemoryIsTheSameUntilWhatIsInItsPixelsChanges() {
        Photo photo = Photo.untouched("a.jpg").withPixels(new PixelSize(60, 40));
        assertThat(photo.withAngle(new Angle(2)).hasSamePictureAs(photo)).isTrue();
        assertThat(photo.withTrim(new Trim(0.1, 0, 0, 0)).hasSamePictureAs(photo))
                .isTrue();
        Preparation turned = Preparation.NONE.turnedRight();
        assertThat(photo.withPreparation(turned).hasSamePictureAs(photo)).isFalse();
        assertThat(photo.withPreparation(Preparation.NONE.mirrored()).hasSamePictureAs(photo))
                .isFalse();
        FileIdentity one = new FileIdentity(5, "a1");
        FileIdentity replaced = new FileIdentity(5, "a2");
        assertThat(photo.withIdentity(one).hasSamePictureAs(photo)).isTrue();
        assertThat(photo.withIdentity(one).hasSamePictureAs(photo.withIdentity(replaced)))
                .isFalse();
    }

    @Test
    void filesDeliveredBeforeAreKnownByWhatWasWrittenOfThem() {
        assertThat(Preparation.NONE.fingerprint()).isEqualTo("NONE false Angle[degrees=0.0]");
        Preparation before = ALL.withShape(ALL.shape().angleAlone()).withTone(Tone.NONE);
        assertThat(before.fingerprint())
                .isEqualTo("RIGHT true Angle[degrees=3.5] Trim[left=0.1, top=0.2, right=0.3, bottom=0.05]");
        assertThat(before.withTrim(Trim.NONE).fingerprint()).isEqualTo("RIGHT true Angle[degrees=3.5]");
    }
}
