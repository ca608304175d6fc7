package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.Test;

class ChangesTest extends ChangedShoot {
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

    private static Format reshaped(Format page, String ratio) {
        return Format.of(page.id(), page.name(), Ratio.parse(ratio)).withLeads(page.leads());
    }
}
