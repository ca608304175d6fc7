package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import nexa.core.format.Asks;
import nexa.core.format.Brief;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Orientation;
import nexa.core.message.Rejected;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.Test;

/** A brief used on a shoot: what is the same stays, what is new is added, nothing is removed. */
class UseBriefTest {
    private static final Asks ROOM = Asks.NONE.withRoom(OptionalDouble.of(0.05));
    private static final Format PAGE = Format.of("page", "Page", Ratio.parse("4:3"));
    private static final Format TILE = Format.of("tile", "Tile", Ratio.parse("1:1"));
    private static final Format CARD = Format.of("card", "Card", Ratio.parse("7:5"));

    private static Shoot shoot(Format... formats) {
        Photo photo = Photo.untouched("a.jpg").withPixels(new PixelSize(600, 400));
        return Shoot.of("", Shoot.Order.NAME, List.of(formats), List.of(photo));
    }

    private static Brief brief(Format... formats) {
        return new Brief("Shop", List.of(formats), Optional.empty());
    }

    @Test
    void whatIsTheSameStaysAndWhatIsNewIsAdded() {
        Shoot led = new Adjust(shoot(PAGE, TILE), "a.jpg", "page")
                .to(new Crops(shoot(PAGE)).of(shoot(PAGE).photo("a.jpg"), PAGE).crop());
        Shoot before = Leads.make(led, "a.jpg", "page");
        UseBrief use =
                UseBrief.of(before, brief(TILE.withId("t"), PAGE.withId("p").withAsks(ROOM), CARD));
        assertThat(use.outcomes())
                .containsExactly(UseBrief.Outcome.THERE, UseBrief.Outcome.CHANGED, UseBrief.Outcome.ADDED);
        assertThat(use.ids()).containsExactly("tile", "page", "card");
        assertThat(use.shoot().formats()).extracting(Format::id).containsExactly("page", "tile", "card");
        assertThat(use.shoot().format("page").asks()).isEqualTo(ROOM);
        assertThat(use.shoot().format("page").leads())
                .as("leads are the shoot's")
                .isEqualTo(Map.of(Orientation.WIDE, "a.jpg"));
        assertThat(use.shoot().photos()).isEqualTo(before.photos());
        assertThat(UseBrief.of(use.shoot(), brief(TILE, PAGE.withAsks(ROOM), CARD))
                        .isNothing())
                .as("used again it changes nothing")
                .isTrue();
    }

    @Test
    void oneThatWaitedGoesAndOneThatStaysGoesOnStaying() {
        UseBrief use = UseBrief.of(shoot(PAGE.withGoing(Going.WAITS), TILE.withGoing(Going.STAYS)), brief(PAGE, TILE));
        assertThat(use.shoot().formats()).extracting(Format::going).containsExactly(Going.GOES, Going.STAYS);
        assertThat(use.outcomes()).containsExactly(UseBrief.Outcome.CHANGED, UseBrief.Outcome.THERE);
    }

    @Test
    void whatIsAskedAlreadyStaysWhereTheBriefAsksNothing() {
        UseBrief use = UseBrief.of(shoot(PAGE.withAsks(ROOM)), brief(PAGE));
        assertThat(use.isNothing()).isTrue();
        assertThat(use.shoot().format("page").asks()).isEqualTo(ROOM);
    }

    @Test
    void anotherSizeIsAnotherFormatThoughItHasTheSameName() {
        Format large = PAGE.withSize(new OutputSize.LongEdge(2000));
        UseBrief use = UseBrief.of(shoot(PAGE), brief(large));
        assertThat(use.outcomes()).containsExactly(UseBrief.Outcome.ADDED);
        assertThat(use.shoot().formats()).hasSize(2);
        assertThat(use.ids()).containsExactly("page-2");
    }

    @Test
    void usingItIsOneStepThatIsTakenBackAsAWhole() {
        Shoot before = shoot(PAGE);
        Shoot after = UseBrief.of(before, brief(PAGE.withAsks(ROOM), CARD)).shoot();
        Edit edit = Edit.between(Edit.Kind.BRIEF, Optional.of("page"), before, after);
        assertThat(edit.inverse().applyTo(edit.applyTo(before))).isEqualTo(before);
    }

    @Test
    void whatWouldMakeTheShootUnreadableIsTooMuch() {
        Format[] many = IntStream.range(0, Formats.MOST)
                .mapToObj(i -> PAGE.withId("f" + i).withSize(new OutputSize.LongEdge(100 + i)))
                .toArray(Format[]::new);
        assertThat(UseBrief.of(shoot(PAGE), brief(many)).isTooMuch()).isTrue();
        assertThat(UseBrief.of(shoot(many), brief(many)).isTooMuch()).isFalse();
    }

    @Test
    void aBriefHasANameAndAFormat() {
        assertThatThrownBy(() -> new Brief(" ", List.of(PAGE), Optional.empty()))
                .isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> new Brief("Shop", List.of(), Optional.empty())).isInstanceOf(Rejected.class);
    }
}
