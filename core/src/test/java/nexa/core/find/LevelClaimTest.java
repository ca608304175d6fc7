package nexa.core.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.level.LevelLine;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.Test;

/** What follows from asking again, and what taking it does. */
class LevelClaimTest {
    private static final LevelLine LINE = LevelLine.of(new Segment(new Point(0, 10), new Point(100, 12)));

    private static LevelAsking.Answer answer(double lean) {
        return new LevelAsking.Answer(FoundLevel.Reason.HORIZON, lean, 0.02, 1, List.of(LINE));
    }

    private static LevelAsking claims(double lean) {
        return new LevelAsking(Optional.of(answer(lean)), List.of(), FoundLevel.Reason.HORIZON);
    }

    private static LevelAsking offers(double lean) {
        return new LevelAsking(Optional.empty(), List.of(answer(lean)), FoundLevel.Reason.NOTHING_STRAIGHT);
    }

    private static LevelAsking nothing(FoundLevel.Reason why) {
        return new LevelAsking(Optional.empty(), List.of(), why);
    }

    @Test
    void threeClaimsThatAgreeAreSureAndTellHowFarTheyDiffer() {
        FoundLevel found = LevelClaim.of(List.of(claims(1.7), claims(1.72), claims(1.78)));
        assertThat(found.certainty()).isEqualTo(Certainty.SURE);
        assertThat(found.lean()).isEqualTo(1.72);
        assertThat(found.uncertainty()).isCloseTo(0.08, within(1e-9));
        assertThat(found.angle()).isEqualTo(new Angle(-1.72));
    }

    @Test
    void claimsThatDifferAreOnlyLikely() {
        FoundLevel found = LevelClaim.of(List.of(claims(1.7), claims(1.75), claims(2.0)));
        assertThat(found.certainty()).isEqualTo(Certainty.LIKELY);
        assertThat(found.lean()).isBetween(1.7, 2.0);
    }

    @Test
    void whatLeansFarIsOnlyLikely() {
        assertThat(LevelClaim.of(List.of(claims(5.1), claims(5.1), claims(5.1))).certainty())
                .isEqualTo(Certainty.LIKELY);
        assertThat(LevelClaim.of(List.of(claims(4.9), claims(4.9), claims(4.9))).certainty())
                .isEqualTo(Certainty.SURE);
    }

    @Test
    void whatIsOfferedTwiceIsLikelyAndWhatIsOfferedOnceIsNothing() {
        FoundLevel twice = LevelClaim.of(List.of(offers(1.2), nothing(FoundLevel.Reason.PLAIN), offers(1.3)));
        assertThat(twice.certainty()).isEqualTo(Certainty.LIKELY);
        assertThat(twice.lean()).isCloseTo(1.25, within(1e-9));
        assertThat(twice.lines()).containsExactly(LINE);
        FoundLevel once = LevelClaim.of(List.of(offers(1.2), offers(3.3)));
        assertThat(once).isEqualTo(FoundLevel.notSure(FoundLevel.Reason.NOTHING_STRAIGHT));
    }

    @Test
    void theReasonIsTheOneGivenMostOften() {
        assertThat(LevelClaim.of(List.of(
                                nothing(FoundLevel.Reason.RUN_TOGETHER),
                                nothing(FoundLevel.Reason.LINES_DISAGREE),
                                nothing(FoundLevel.Reason.RUN_TOGETHER)))
                        .reason())
                .isEqualTo(FoundLevel.Reason.RUN_TOGETHER);
    }

    @Test
    void itIsAskedNoMoreOftenThanMayChangeTheAnswer() {
        LevelAsking no = nothing(FoundLevel.Reason.PLAIN);
        assertThat(LevelClaim.needsAsking(List.of())).isTrue();
        assertThat(LevelClaim.needsAsking(List.of(no))).isTrue();
        assertThat(LevelClaim.needsAsking(List.of(no, no))).isFalse();
        assertThat(LevelClaim.needsAsking(List.of(claims(1), claims(1)))).isTrue();
        assertThat(LevelClaim.needsAsking(List.of(claims(1), claims(1), claims(1))))
                .isFalse();
        assertThat(LevelClaim.needsAsking(List.of(claims(1), no, claims(1)))).isTrue();
        assertThat(LevelClaim.needsAsking(List.of(claims(1), no, no, no))).isFalse();
    }

    @Test
    void takingTurnsThosePhotosAndNoOthers() {
        Photo byHand =
                Photo.untouched("b.jpg").withPixels(new PixelSize(300, 200)).withAngle(new Angle(2));
        Photo untouched = Photo.untouched("a.jpg").withPixels(new PixelSize(300, 200));
        FoundLevel sure = LevelClaim.of(
                Stream.of(1.5, 1.5, 1.5).map(LevelClaimTest::claims).toList());
        assertThat(TakeFound.isUsual(untouched, sure)).isTrue();
        assertThat(TakeFound.isUsual(byHand, sure)).as("set by hand").isFalse();
        Shoot shoot = Shoot.of("Firing", Shoot.Order.NAME, List.of(), List.of(untouched, byHand));
        Shoot taken = TakeFound.of(shoot, Map.of("a.jpg", List.of(sure), "gone.jpg", List.of(sure)));
        assertThat(taken.photo("a.jpg").angle()).isEqualTo(new Angle(-1.5));
        assertThat(taken.photo("b.jpg")).isEqualTo(byHand);
    }
}
