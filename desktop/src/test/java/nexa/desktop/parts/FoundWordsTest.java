package nexa.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.find.ThingKind;
import nexa.core.format.PixelSize;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.propose.Proposal;
import nexa.core.propose.Reason;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What was found is said in few plain words. */
class FoundWordsTest {
    private static final Photo PHOTO = Photo.untouched("a.jpg").withPixels(new PixelSize(2000, 1000));

    private static String border(Trim trim) {
        FoundTrim found = new FoundTrim(FoundTrim.Reason.PLAIN_SIDES, trim, 0.9);
        return FoundWords.found(Optional.of(found), PHOTO, false);
    }

    @Test
    void aBorderIsToldByItsSidesAndTheirPixels() {
        assertThat(border(new Trim(0, 0.1, 0, 0.1))).isEqualTo("top and bottom 100 px");
        assertThat(border(new Trim(0.05, 0, 0, 0))).isEqualTo("left 100 px");
        assertThat(border(new Trim(0.05, 0.05, 0.05, 0.08))).isEqualTo("all sides 50–100 px");
    }

    private static String proposed(Reason... reasons) {
        Crop crop = new Crop(new Point(500, 500), new Size(400, 400));
        return FoundWords.reasons(new Proposal(crop, Arrays.asList(reasons)));
    }

    @Test
    void aSecondReasonOfTheSameGuideDoesNotNameItAgain() {
        assertThat(proposed(Reason.SUBJECT_RIGHT_THIRD, Reason.EDGE_LOWER_THIRD))
                .isEqualTo("subject on the right third, edge on the lower one");
        assertThat(proposed(Reason.SUBJECT_LEFT_SECTION, Reason.EDGE_UPPER_THIRD))
                .isEqualTo("subject on the left golden section, edge on the upper third");
        assertThat(proposed(Reason.MOST_OF_PHOTO, Reason.ROOM_AROUND))
                .isEqualTo("as much of the photo as fits, room around the subject");
    }

    @ParameterizedTest
    @EnumSource(Reason.class)
    void everyReasonHasWordsAloneAndAfterOneOfItsGuide(Reason reason) {
        assertThat(proposed(reason)).isNotBlank();
        assertThat(proposed(reason, reason)).contains(", ");
    }

    private static String named(FoundSubject.Named named) {
        Subject spot =
                Subject.around(new Point(0.5, 0.5), new Bounds(new Point(0.4, 0.4), new Point(0.6, 0.6)), PHOTO.size());
        return FoundWords.found(Optional.of(new FoundSubject(named, Optional.of(spot), 0.9)), PHOTO, false);
    }

    @ParameterizedTest
    @EnumSource(ThingKind.class)
    void everyThingThatCanBeClaimedHasAPlainWord(ThingKind kind) {
        if (kind.sort() == ThingKind.Sort.THING) {
            assertThat(named(FoundSubject.Named.thing(kind))).isNotBlank().doesNotContain("_", ".");
        }
    }

    @Test
    void aSubjectIsToldByWhatItIsAndNothingWhereThereIsNone() {
        assertThat(named(FoundSubject.Named.persons(1))).isEqualTo("a person");
        assertThat(named(FoundSubject.Named.persons(2))).isEqualTo("2 people");
        assertThat(named(FoundSubject.Named.animals(1))).isEqualTo("an animal");
        assertThat(named(FoundSubject.Named.thing(ThingKind.BICYCLE))).isEqualTo("a bicycle");
        assertThat(named(FoundSubject.Named.STANDS_OUT)).isEqualTo("stands out");
        for (FoundSubject.Reason doubt : List.of(
                FoundSubject.Reason.SEVERAL_ALIKE,
                FoundSubject.Reason.AT_EDGE,
                FoundSubject.Reason.FILLS_PICTURE,
                FoundSubject.Reason.NOTHING_STANDS_OUT)) {
            FoundSubject none = FoundSubject.none(doubt, 0.1);
            assertThat(FoundWords.found(Optional.of(none), PHOTO, false)).isEmpty();
            assertThat(Words.get("find.group." + doubt.name().toLowerCase(Locale.ROOT)))
                    .startsWith("Not sure: ");
        }
        assertThat(FoundWords.found(Optional.empty(), PHOTO, false)).isEmpty();
    }
}
