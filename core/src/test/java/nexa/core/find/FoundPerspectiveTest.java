package nexa.core.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.level.LevelLine;
import nexa.core.shape.Perspective;
import nexa.core.shape.Plane;
import nexa.core.shape.SceneLines;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.Test;

class FoundPerspectiveTest {
    private static final Photo PHOTO = Photo.untouched("a.jpg").withPixels(new PixelSize(3000, 2000));
    private static final OptionalDouble FOCAL = OptionalDouble.of(28);

    /** Uprights of a scene that a camera saw that was tilted so far. */
    private static FoundLevel uprights(double tilt, double... places) {
        Plane plane = PHOTO.withPerspective(Optional.of(new Perspective(tilt, 0, 100, 1, 28, SceneLines.NONE)))
                .plane();
        List<LevelLine> lines = new ArrayList<>();
        for (double across : places) {
            lines.add(LevelLine.of(
                    new Segment(plane.toPhoto(new Point(across, 700)), plane.toPhoto(new Point(across, 1400)))));
        }
        return new FoundLevel(Certainty.SURE, FoundLevel.Reason.UPRIGHTS, 0, 0.1, lines);
    }

    @Test
    void uprightsThatRunTogetherTellHowTheCameraWasTilted() {
        FoundPerspective found = FoundPerspective.of(uprights(9, 700, 1500, 2300), PHOTO, FOCAL);
        assertThat(found.certainty()).as("never taken by itself").isEqualTo(Certainty.LIKELY);
        assertThat(TakeFound.isUsual(PHOTO, found)).isFalse();
        Shoot shoot = Shoot.of("S", Shoot.Order.NAME, List.of(), List.of(PHOTO));
        Photo taken = TakeFound.of(shoot, Map.of("a.jpg", List.of(found))).photo("a.jpg");
        Perspective perspective = taken.preparation().perspective().orElseThrow();
        assertThat(perspective.tilt()).isCloseTo(9, within(1e-6));
        assertThat(perspective.lines().uprights()).hasSize(3);
        assertThat(TakeFound.isDone(taken, FoundPerspective.class)).isTrue();
    }

    @Test
    void uprightsThatDoNotOrThatAreAloneTellNothing() {
        assertThat(FoundPerspective.of(uprights(0.01, 700, 2300), PHOTO, FOCAL).reason())
                .isEqualTo(FoundPerspective.Reason.PARALLEL);
        assertThat(FoundPerspective.of(uprights(9, 700), PHOTO, FOCAL).reason())
                .isEqualTo(FoundPerspective.Reason.NO_UPRIGHTS);
        assertThat(FoundPerspective.of(FoundLevel.notSure(FoundLevel.Reason.PLAIN), PHOTO, FOCAL)
                        .isSomething())
                .isFalse();
    }

    /** Once they are parallel they say what the level is as they lie then. */
    @Test
    void theLevelOfAPhotoThatIsPutRightGoesByItsPlane() {
        FoundLevel level = uprights(9, 700, 1100);
        Photo put = PHOTO.withPerspective(Optional.of(new Perspective(9, 0, 100, 1, 28, SceneLines.NONE)));
        assertThat(level.angle(put).degrees()).isCloseTo(0, within(1e-6));
        FoundLevel leaning = new FoundLevel(Certainty.SURE, FoundLevel.Reason.UPRIGHTS, 2, 0.1, level.lines());
        assertThat(leaning.angle(PHOTO)).isEqualTo(new Angle(-2));
    }
}
