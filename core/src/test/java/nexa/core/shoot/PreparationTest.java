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
import nexa.core.shape.Edge;
import nexa.core.shape.Lens;
import nexa.core.shape.Perspective;
import nexa.core.shape.SceneLines;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever can be done to a photo is told, taken along and taken back; a part that is forgotten somewhere fails here. */
class PreparationTest {
    /** Everything is done: a new part is added here. */
    private static final Preparation ALL = new Preparation(
            QuarterTurn.RIGHT,
            true,
            new Trim(0.1, 0.2, 0.3, 0.05),
            Optional.of(Lens.byHand(20)),
            Optional.of(new Perspective(12, -5, 80, 1.1, 28, SceneLines.NONE)),
            new Angle(3.5),
            new Edge(-0.5, 0.8));

    static Stream<RecordComponent> parts() {
        return Stream.of(Preparation.class.getRecordComponents());
    }

    private static Object value(RecordComponent part, Preparation of) throws ReflectiveOperationException {
        return part.getAccessor().invoke(of);
    }

    /** A preparation with one part of another one. */
    private static Preparation with(RecordComponent part, Preparation from, Preparation rest)
            throws ReflectiveOperationException {
        Class<?>[] types = parts().map(RecordComponent::getType).toArray(Class<?>[]::new);
        Object[] values = new Object[types.length];
        List<RecordComponent> parts = parts().toList();
        for (int i = 0; i < values.length; i++) {
            values[i] = value(parts.get(i), parts.get(i).getName().equals(part.getName()) ? from : rest);
        }
        return Preparation.class.getDeclaredConstructor(types).newInstance(values);
    }

    @ParameterizedTest
    @MethodSource("parts")
    void everyPartIsInTheFingerprintAndMakesItAnotherPreparation(RecordComponent part)
            throws ReflectiveOperationException {
        assertThat(value(part, ALL)).isNotEqualTo(value(part, Preparation.NONE));
        Preparation only = with(part, ALL, Preparation.NONE);
        Preparation without = with(part, Preparation.NONE, ALL);
        assertThat(only.isNone()).isFalse();
        assertThat(only.fingerprint()).isNotEqualTo(Preparation.NONE.fingerprint());
        assertThat(without.fingerprint()).isNotEqualTo(ALL.fingerprint());
    }

    @ParameterizedTest
    @MethodSource("parts")
    void everyPartIsTakenAlongAndTakenBack(RecordComponent part) throws ReflectiveOperationException {
        Photo photo = Photo.untouched("a.jpg")
                .withPixels(new PixelSize(60, 40))
                .withPreparation(with(part, ALL, Preparation.NONE));
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
        Preparation before = ALL.withoutShape().withEdge(Edge.NONE);
        assertThat(before.fingerprint())
                .isEqualTo("RIGHT true Angle[degrees=3.5] Trim[left=0.1, top=0.2, right=0.3, bottom=0.05]");
        assertThat(before.withTrim(Trim.NONE).fingerprint()).isEqualTo("RIGHT true Angle[degrees=3.5]");
    }
}
