package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.PhotoSpace;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.shoot.Carry;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.core.shoot.Tune;
import nexa.core.shoot.Wish;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Leads, quarter turns, starting again and formats: what happens to the crops. */
class ChangesTest {
    private static final Format PAGE = Format.of("page", "Page", Ratio.parse("4:3"));
    private static final Format BANNER =
            Format.of("banner", "Banner", Ratio.parse("21:9")).withTurn(FormatTurn.WIDE);
    private static final Placement FOLLOW =
            new Placement.Follow(Tune.NONE, EnumSet.allOf(Carry.class), Optional.empty(), false);
    private static final Placement TUNED =
            new Placement.Follow(new Tune(0.02, -0.01, 1.1), EnumSet.allOf(Carry.class), Optional.empty(), false);

    private final Shoot shoot = Shoot.of(
            "Firing",
            Shoot.Order.NAME,
            List.of(PAGE.withLeads(Map.of(Orientation.WIDE, "lead.jpg")), BANNER),
            List.of(
                    photo("lead.jpg", 6000, 4000, -2.3, own(0.46, 0.5, 0.61, 0.68625)),
                    photo("wide.jpg", 5000, 3000, 1.2, entry(FOLLOW)),
                    photo("tall.jpg", 4000, 6000, 0, entry(TUNED)),
                    photo("own.jpg", 4000, 3000, 3, own(0.4, 0.55, 0.5, 0.5))));

    private static CropEntry own(double x, double y, double width, double height) {
        return entry(new Placement.Own(new Wish(new Point(x, y), new Size(width, height))));
    }

    private static CropEntry entry(Placement placement) {
        return CropEntry.UNTOUCHED.withPlacement(placement);
    }

    private static Photo photo(String file, int width, int height, double angle, CropEntry page) {
        return Photo.untouched(file)
                .withPixels(new PixelSize(width, height))
                .withAngle(new Angle(angle))
                .withSubject(Optional.of(new Subject(new Point(0.4, 0.6), OptionalDouble.of(0.1))))
                .withEntry("page", page);
    }

    private static Crop crop(Shoot shoot, String file) {
        return new Crops(shoot).of(shoot.photo(file), shoot.format("page")).crop();
    }

    private static PhotoCrop.State state(Shoot shoot, String file) {
        return new Crops(shoot).of(shoot.photo(file), shoot.format("page")).state();
    }

    @Test
    void takingALeadAwayLeavesEveryCropWhereItIs() {
        Shoot without = Leads.takeAway(shoot, "lead.jpg", "page");
        for (Photo photo : shoot.photos()) {
            assertSame(crop(without, photo.file()), crop(shoot, photo.file()));
            assertThat(state(without, photo.file())).isEqualTo(PhotoCrop.State.OWN);
        }
        assertThat(without.format("page").leads()).isEmpty();
    }

    @Test
    void aNewLeadTakesOverAndKeepsItsCrop() {
        Shoot led = Leads.make(shoot, "wide.jpg", "page");
        assertThat(state(led, "wide.jpg")).isEqualTo(PhotoCrop.State.LEAD);
        assertSame(crop(led, "wide.jpg"), crop(shoot, "wide.jpg"));
        assertThat(state(led, "lead.jpg")).isEqualTo(PhotoCrop.State.OWN);
        assertThat(state(led, "tall.jpg")).isEqualTo(PhotoCrop.State.TUNED);
    }

    @Test
    void aTallLeadLeadsTheTallOnesBesideTheWideLead() {
        Shoot led = Leads.make(shoot, "tall.jpg", "page");
        assertThat(led.format("page").leads())
                .containsEntry(Orientation.WIDE, "lead.jpg")
                .containsEntry(Orientation.TALL, "tall.jpg");
        assertThat(state(led, "wide.jpg")).isEqualTo(PhotoCrop.State.FOLLOW);
    }

    @Test
    void lettingGoKeepsTheCropAsItsOwn() {
        Shoot free = Leads.letGo(shoot, Set.of("wide.jpg"), "page");
        assertThat(state(free, "wide.jpg")).isEqualTo(PhotoCrop.State.OWN);
        assertSame(crop(free, "wide.jpg"), crop(shoot, "wide.jpg"));
    }

    @Test
    void manyAtOnceComeToTheSameAsOneAfterTheOther() {
        List<String> files = shoot.photos().stream().map(Photo::file).toList();
        Set<String> all = Set.copyOf(files);
        for (Reorient how : Reorient.values()) {
            Shoot oneByOne = shoot;
            for (String file : files) {
                oneByOne = how.apply(oneByOne, Set.of(file));
            }
            assertThat(how.apply(shoot, all)).isEqualTo(oneByOne);
            Shoot fresh = oneByOne;
            for (String file : files) {
                fresh = StartAgain.photos(fresh, Set.of(file));
            }
            assertThat(StartAgain.photos(oneByOne, all)).isEqualTo(fresh);
        }
        Shoot free = Leads.letGo(shoot, all, "page");
        Shoot again = free;
        for (String file : files) {
            again = CarryAcross.againTuned(again, Set.of(file), "page");
        }
        assertThat(CarryAcross.againTuned(free, all, "page")).isEqualTo(again);
        assertThat(CarryAcross.again(free, all, "page").photo("tall.jpg").entry("page"))
                .isEqualTo(entry(FOLLOW));
    }

    @ParameterizedTest
    @EnumSource(Reorient.class)
    void anOwnCropShowsTheSamePartOfTheSceneAfterwards(Reorient how) {
        Shoot turned = how.apply(shoot, Set.of("own.jpg"));
        Crop before = crop(shoot, "own.jpg");
        Crop after = crop(turned, "own.jpg");
        Photo photo = turned.photo("own.jpg");
        boolean isQuarter = how == Reorient.RIGHT || how == Reorient.LEFT;
        assertThat(after.size().width())
                .isCloseTo(isQuarter ? before.size().height() : before.size().width(), within(1e-6));
        Point subjectBefore = before.placeOf(
                shoot.photo("own.jpg").subject().orElseThrow().in(new PhotoSpace(new Size(4000, 3000))), new Angle(3));
        Point subjectAfter = after.placeOf(photo.subject().orElseThrow().in(photo.space()), photo.angle());
        Point expected = switch (how) {
            case RIGHT -> new Point(1 - subjectBefore.y(), subjectBefore.x());
            case LEFT -> new Point(subjectBefore.y(), 1 - subjectBefore.x());
            case HALF -> new Point(1 - subjectBefore.x(), 1 - subjectBefore.y());
            case MIRROR -> new Point(1 - subjectBefore.x(), subjectBefore.y());
            case MIRROR_DOWN -> new Point(subjectBefore.x(), 1 - subjectBefore.y());
        };
        assertThat(subjectAfter.distance(expected)).isLessThan(1e-9);
    }

    @Test
    void fourQuartersMirroringTwiceAndLeftAfterRightGiveTheShootAgain() {
        Set<String> all = Set.of("wide.jpg", "tall.jpg", "own.jpg", "lead.jpg");
        Shoot around = shoot;
        for (int i = 0; i < 4; i++) {
            around = Reorient.RIGHT.apply(around, all);
        }
        assertNear(around);
        assertNear(Reorient.MIRROR.apply(Reorient.MIRROR.apply(shoot, all), all));
        assertNear(Reorient.LEFT.apply(Reorient.RIGHT.apply(shoot, all), all));
        assertNear(Reorient.MIRROR_DOWN.apply(Reorient.MIRROR_DOWN.apply(shoot, all), all));
        assertNear(Reorient.MIRROR_DOWN.apply(Reorient.MIRROR.apply(Reorient.HALF.apply(shoot, all), all), all));
    }

    private void assertNear(Shoot again) {
        assertThat(again)
                .usingRecursiveComparison()
                .withComparatorForType((a, b) -> Math.abs(a - b) < 1e-12 ? 0 : 1, Double.class)
                .isEqualTo(shoot);
    }

    @Test
    void aLeadTurnedAQuarterLeadsOnIfItsNewOrientationIsFree() {
        Shoot turned = Reorient.RIGHT.apply(shoot, Set.of("lead.jpg"));
        assertThat(turned.format("page").leads()).isEqualTo(Map.of(Orientation.TALL, "lead.jpg"));
        assertThat(state(turned, "wide.jpg")).isEqualTo(PhotoCrop.State.FOLLOW);
    }

    @Test
    void aLeadTurnedIntoATakenOrientationLetsItsFollowersStayWhereTheyAre() {
        Shoot both = Leads.make(shoot, "tall.jpg", "page");
        Shoot turned = Reorient.RIGHT.apply(both, Set.of("lead.jpg"));
        assertThat(turned.format("page").leads()).isEqualTo(Map.of(Orientation.TALL, "tall.jpg"));
        assertThat(state(turned, "wide.jpg")).isEqualTo(PhotoCrop.State.OWN);
        assertSame(crop(turned, "wide.jpg"), crop(both, "wide.jpg"));
    }

    @Test
    void startingAgainLeavesNothingOfWhatWasDoneButTheMark() {
        Shoot turned = Reorient.MIRROR.apply(Reorient.RIGHT.apply(shoot, Set.of("lead.jpg")), Set.of("lead.jpg"));
        Crop follower = crop(turned, "wide.jpg");
        Shoot again = StartAgain.photos(turned, Set.of("lead.jpg"));
        assertThat(StartAgain.isUntouched(again.photo("lead.jpg"))).isTrue();
        assertThat(again.photo("lead.jpg").subject())
                .as("the subject is where it was in the first place")
                .hasValueSatisfying(spot ->
                        assertThat(spot.at().distance(new Point(0.4, 0.6))).isLessThan(1e-9));
        assertSame(crop(again, "wide.jpg"), follower);
    }

    @Test
    void removingAFormatTakesItsCropsAlong() {
        assertThat(Formats.crops(shoot, "page")).isEqualTo(4);
        Shoot without = Formats.remove(shoot, "page");
        assertThat(without.formats()).containsExactly(BANNER);
        assertThat(without.photos())
                .allSatisfy(photo -> assertThat(photo.crops()).isEmpty());
    }

    @Test
    void aChangedRatioKeepsAreaAndCentreOfOwnCrops() {
        Format square = Format.of("page", "Page", Ratio.parse("1:1")).withLeads(PAGE.leads());
        Crop before = crop(shoot, "own.jpg");
        Shoot changed =
                Formats.change(shoot, square.withLeads(shoot.format("page").leads()));
        PhotoCrop after = new Crops(changed).of(changed.photo("own.jpg"), changed.format("page"));
        assertThat(after.crop().size().ratio()).isCloseTo(1, within(1e-9));
        assertThat(after.crop().size().area()).isCloseTo(before.size().area(), within(1.0));
        assertThat(after.crop().centre().distance(before.centre())).isLessThan(1e-6);
        assertThat(after.warnings()).isEmpty();
    }

    @Test
    void formatsAreOrderedAndNamedApart() {
        assertThat(Formats.move(shoot, "page", 1).formats())
                .extracting(Format::id)
                .containsExactly("banner", "page");
        assertThat(Formats.move(shoot, "page", -3).formats())
                .extracting(Format::id)
                .containsExactly("page", "banner");
        assertThat(Formats.freeId(shoot, "Page")).isEqualTo("page-2");
        assertThat(Formats.freeId(shoot, "Åß 8 × 10!")).isEqualTo("8-10");
        assertThat(Formats.add(shoot, Format.of("x", "X", Ratio.FREE)).formats())
                .hasSize(3);
    }

    @Test
    void turningAPhotoAndBackGivesTheFirstCropExactly() {
        Crop before = crop(shoot, "own.jpg");
        Shoot turned = shoot.with("own.jpg", photo -> photo.withAngle(new Angle(31)));
        assertThat(turned.photo("own.jpg").outline().settle(crop(turned, "own.jpg")))
                .isEqualTo(crop(turned, "own.jpg"));
        assertThat(crop(turned.with("own.jpg", photo -> photo.withAngle(new Angle(3))), "own.jpg"))
                .isEqualTo(before);
    }

    private static void assertSame(Crop actual, Crop expected) {
        assertThat(actual.centre().distance(expected.centre())).isLessThan(1e-6);
        assertThat(actual.size().width()).isCloseTo(expected.size().width(), within(1e-6));
        assertThat(actual.size().height()).isCloseTo(expected.size().height(), within(1e-6));
    }

    @Test
    void aCropThatItsFormatChangesIsNotDoneAnyMoreAndOneThatStaysAsItWasIs() {
        Shoot done = shoot;
        for (Photo photo : shoot.photos()) {
            CropEntry entry = photo.entry("page").withDone(true);
            done = done.with(photo.file(), before -> before.withEntry("page", entry));
        }
        Format page = done.format("page");
        Shoot squared = Formats.change(done, reshaped(page, "1:1"));
        assertThat(Done.after(done, squared).photos())
                .noneMatch(photo -> photo.entry("page").isDone());
        Shoot named = Formats.change(done, page.withName("Other"));
        assertThat(Done.after(done, named).photos())
                .allMatch(photo -> photo.entry("page").isDone());
        Shoot same = Formats.change(done, reshaped(page, "8:6"));
        assertThat(Done.after(done, same).photos())
                .as("the same ratio in other numbers")
                .allMatch(photo -> photo.entry("page").isDone());
    }

    private static Format reshaped(Format page, String ratio) {
        return Format.of(page.id(), page.name(), Ratio.parse(ratio)).withLeads(page.leads());
    }

    @Test
    void whatWasSaidOfAPhotoGoesAlongToItsNewName() {
        FileIdentity one = new FileIdentity(100, "a");
        FileIdentity other = new FileIdentity(100, "b");
        List<Photo> photos = List.of(
                shoot.photo("lead.jpg").withIdentity(one),
                shoot.photo("own.jpg").withIdentity(other),
                shoot.photo("wide.jpg"),
                Photo.untouched("new.jpg").withIdentity(one).withPixels(new PixelSize(6000, 4000)),
                Photo.untouched("said.jpg").withIdentity(other).withAngle(new Angle(1)));
        Shoot found = Shoot.of("Firing", Shoot.Order.NAME, shoot.formats(), photos);
        Set<String> missing = Set.of("lead.jpg", "own.jpg");
        Map<String, String> names = Renamed.find(found, missing);
        assertThat(names)
                .as("what has been worked on already takes nothing")
                .containsExactly(Map.entry("lead.jpg", "new.jpg"));

        Shoot taken = Renamed.takeAlong(found, names);
        assertThat(taken.photo("new.jpg").entry("page"))
                .isEqualTo(shoot.photo("lead.jpg").entry("page"));
        assertThat(taken.photo("new.jpg").angle()).isEqualTo(new Angle(-2.3));
        assertThat(taken.format("page").leads()).containsEntry(Orientation.WIDE, "new.jpg");
        assertThat(new Crops(taken)
                        .of(taken.photo("wide.jpg"), taken.format("page"))
                        .crop())
                .as("who followed still does")
                .isEqualTo(new Crops(found)
                        .of(found.photo("wide.jpg"), found.format("page"))
                        .crop());
        assertThat(Renamed.leftNames(taken, missing)).containsExactly("lead.jpg");
        assertThat(Renamed.find(taken, missing)).isEmpty();
    }
}
