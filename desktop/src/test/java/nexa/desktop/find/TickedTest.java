package nexa.desktop.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.find.Answer;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Bounds;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.propose.Proposal;
import nexa.core.propose.Reason;
import nexa.core.series.Crops;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Trim;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is ticked of all that was looked for is counted, named and taken together. */
class TickedTest {
    private static final Format SQUARE = Format.of("square", "Square", Ratio.parse("1:1"));
    private static final List<String> FILES = List.of("a.jpg", "b.jpg");
    private static final Format WIDE = Format.of("wide", "Wide", Ratio.parse("3:2"));
    private static final FoundTrim BORDER =
            new FoundTrim(FoundTrim.Reason.PLAIN_SIDES, new Trim(0.1, 0.1, 0.1, 0.1), 0.95);
    private static final FoundTrim ONE_SIDE = new FoundTrim(FoundTrim.Reason.ONE_SIDE, new Trim(0, 0, 0, 0.05), 0.4);
    private static final FoundSubject SPOT = new FoundSubject(
            FoundSubject.Named.STANDS_OUT,
            Optional.of(Subject.around(
                    new Point(0.4, 0.5), new Bounds(new Point(0.3, 0.4), new Point(0.5, 0.6)), new Size(600, 400))),
            0.8);
    private static final Proposal CROP =
            new Proposal(new Crop(new Point(300, 250), new Size(200, 200)), List.of(Reason.CLOSE));

    private final Map<FindWhat, FoundList> lists = new EnumMap<>(FindWhat.class);
    private final Shoot shoot =
            Shoot.of("", Shoot.Order.NAME, List.of(SQUARE, WIDE), List.of(photo("a.jpg"), photo("b.jpg")));

    private static Photo photo(String file) {
        return Photo.untouched(file).withPixels(new PixelSize(600, 400));
    }

    @BeforeEach
    void makeLists() {
        for (FindWhat what : FindWhat.values()) {
            lists.put(what, new FoundList());
        }
    }

    private void found(FindWhat what, String file, Answer found, boolean isDone) {
        String format = what == FindWhat.CROPS ? "square" : "";
        lists.get(what).add(new FoundPhoto(photo(file), what, Optional.of(found), isDone, format));
    }

    private static FoundPhoto.Key key(String file, String format) {
        return new FoundPhoto.Key(file, format);
    }

    /** All of some files, in both formats where there is one for each. */
    private static List<FoundPhoto.Key> keys(FindWhat what, List<String> files) {
        List<String> formats = what == FindWhat.CROPS ? List.of("square", "wide") : List.of("");
        return formats.stream()
                .flatMap(format -> files.stream().map(file -> key(file, format)))
                .toList();
    }

    private Ticked ticked() {
        return Ticked.of(lists, what -> keys(what, FILES), shoot);
    }

    @Test
    void whatIsSureIsTickedWhatIsLikelyDoneOrACropIsNot() {
        found(FindWhat.BORDERS, "a.jpg", BORDER, false);
        found(FindWhat.BORDERS, "b.jpg", ONE_SIDE, false);
        found(FindWhat.SUBJECTS, "a.jpg", SPOT, true);
        found(FindWhat.CROPS, "a.jpg", CROP, false);
        assertThat(ticked().counts(FindWhat.BORDERS)).isEqualTo("1 border");
        assertThat(lists.get(FindWhat.BORDERS).rows(keys(FindWhat.BORDERS, FILES), 4))
                .extracting(row -> row instanceof FoundList.Row.Heading heading ? heading.group() : null)
                .containsExactly(FoundPhoto.Group.SURE, null, FoundPhoto.Group.LIKELY_BORDERS, null);
        lists.get(FindWhat.CROPS).toggle(key("a.jpg", "square"));
        lists.get(FindWhat.SUBJECTS).toggle(key("a.jpg", ""));
        assertThat(ticked().counts(FindWhat.BORDERS)).isEqualTo("1 border, 1 subject, 1 crop");
    }

    @Test
    void nothingTickedIsSaidOfWhatIsLookedFor() {
        assertThat(ticked().isNothing()).isTrue();
        assertThat(ticked().counts(FindWhat.CROPS)).isEqualTo("0 crops");
        found(FindWhat.BORDERS, "a.jpg", FoundTrim.NONE, false);
        lists.get(FindWhat.BORDERS).toggle(key("a.jpg", ""));
        assertThat(ticked().isNothing()).as("there is nothing to tick").isTrue();
    }

    @Test
    void allOfItIsOneStepNamedByItsKindWhereItIsOfOne() {
        found(FindWhat.BORDERS, "a.jpg", BORDER, false);
        assertThat(ticked().kind()).isEqualTo(Edit.Kind.TRIM);
        found(FindWhat.SUBJECTS, "b.jpg", SPOT, false);
        assertThat(ticked().kind()).isEqualTo(Edit.Kind.TAKE_FOUND);
        found(FindWhat.CROPS, "b.jpg", CROP, false);
        lists.get(FindWhat.CROPS).toggle(key("b.jpg", "square"));
        Shoot taken = ticked().taken(shoot);
        assertThat(taken.photo("a.jpg").preparation().trim()).isEqualTo(BORDER.trim());
        assertThat(taken.photo("b.jpg").subject()).isEqualTo(SPOT.subject());
        Crop crop = new Crops(taken).of(taken.photo("b.jpg"), SQUARE).crop();
        assertThat(crop.centre().distance(CROP.crop().centre())).isLessThan(1e-9);
        assertThat(taken.photo("a.jpg").crops()).as("no crop was ticked").isEmpty();
    }

    @Test
    void ofAPhotoThatLooksOtherwiseMeanwhileNothingIsTaken() {
        found(FindWhat.BORDERS, "a.jpg", BORDER, false);
        Shoot turned = shoot.with(
                "a.jpg", photo -> photo.withPreparation(photo.preparation().turnedRight()));
        assertThat(Ticked.of(lists, what -> keys(what, FILES), turned).isNothing())
                .isTrue();
        assertThat(Ticked.of(lists, what -> keys(what, List.of("b.jpg")), shoot).isNothing())
                .as("not of those that are not meant any more")
                .isTrue();
    }

    @Test
    void aGroupIsTickedAsAWholeAsFarAsItCanBeTaken() {
        found(FindWhat.CROPS, "a.jpg", CROP, false);
        found(FindWhat.CROPS, "b.jpg", CROP, false);
        FoundList crops = lists.get(FindWhat.CROPS);
        crops.add(new FoundPhoto(photo("a.jpg"), FindWhat.CROPS, Optional.of(CROP), true, "wide"));
        crops.add(new FoundPhoto(photo("b.jpg"), FindWhat.CROPS, Optional.empty(), false, "wide"));
        List<FoundList.Row.Heading> headings = crops.rows(keys(FindWhat.CROPS, FILES), 4).stream()
                .filter(FoundList.Row.Heading.class::isInstance)
                .map(FoundList.Row.Heading.class::cast)
                .toList();
        assertThat(headings)
                .as("format by format")
                .extracting(FoundList.Row.Heading::format, FoundList.Row.Heading::group)
                .containsExactly(
                        tuple("square", FoundPhoto.Group.LIKELY_CROPS),
                        tuple("wide", FoundPhoto.Group.DONE_CROPS),
                        tuple("wide", FoundPhoto.Group.UNREADABLE));
        crops.setTicked(headings.get(0).takeable(), true);
        assertThat(ticked().counts(FindWhat.CROPS)).isEqualTo("2 crops");
        crops.setTicked(keys(FindWhat.CROPS, FILES), true);
        assertThat(ticked().counts(FindWhat.CROPS))
                .as("what could not be looked at cannot be ticked")
                .isEqualTo("3 crops");
        crops.setTicked(headings.get(0).takeable(), false);
        Shoot taken = ticked().taken(shoot);
        assertThat(taken.photo("a.jpg").crops()).containsOnlyKeys("wide");
        assertThat(taken.photo("b.jpg").crops()).isEmpty();
    }
}
