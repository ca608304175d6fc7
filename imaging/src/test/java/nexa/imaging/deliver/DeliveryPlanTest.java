package nexa.imaging.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import nexa.core.format.FileSpec;
import nexa.core.format.Format;
import nexa.core.format.FormatTurn;
import nexa.core.format.LengthUnit;
import nexa.core.format.OutputSize;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.shoot.FileIdentity;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.decode.ExifOrientation;
import nexa.imaging.decode.PhotoKind;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.decode.StoredPixels;
import nexa.imaging.facts.CameraData;
import nexa.imaging.facts.CaptureTime;
import nexa.imaging.facts.PhotoFacts;
import nexa.imaging.facts.ShootReading;
import org.junit.jupiter.api.Test;

/** Which files leave, and under which names. No photo is needed to tell. */
class DeliveryPlanTest {
    private static final Format POST = Format.of("post", "Post", Ratio.of("4", "5"))
            .withTurn(FormatTurn.TALL)
            .withSize(new OutputSize.Pixels(1080, 1350));

    private static Shoot shoot(List<Format> formats, String... files) {
        return Shoot.of(
                "Spring firing",
                Shoot.Order.NAME,
                formats,
                List.of(files).stream()
                        .map(file -> Photo.untouched(file).withPixels(new PixelSize(3000, 2000)))
                        .toList());
    }

    private static ShootReading takenOn(LocalDateTime time, Shoot shoot) {
        Map<String, PhotoFacts> facts = new HashMap<>();
        shoot.photos()
                .forEach(photo -> facts.put(
                        photo.file(),
                        new PhotoFacts(
                                PhotoKind.JPEG,
                                new StoredPixels(new PixelSize(3000, 2000), 3),
                                ExifOrientation.UPRIGHT,
                                Optional.of(new CaptureTime(time, Optional.empty())),
                                CameraData.NONE,
                                Optional.empty(),
                                new FileIdentity(1, "x"),
                                Optional.empty(),
                                false,
                                false)));
        return new ShootReading(facts, Map.of());
    }

    private static List<String> names(Shoot shoot, ShootReading reading) {
        Set<String> all = Set.copyOf(shoot.formats().stream().map(Format::id).toList());
        return DeliveryPlan.of(shoot, reading, new DeliveryPlan.Choice(all, false, false)).files().stream()
                .map(DeliveryPlan.Item::name)
                .toList();
    }

    @Test
    void everyWordOfANameIsFilledIn() {
        Format named =
                POST.withFile(FileSpec.usual("out").withName("{shoot}, {photo}, {format}, {number}, {date}, {size}"));
        Shoot shoot = shoot(List.of(named), "fern-0147.jpg");
        assertThat(names(shoot, takenOn(LocalDateTime.of(2026, 3, 9, 14, 5), shoot)))
                .containsExactly("out/Spring firing, fern-0147, Post, 01, 2026-03-09, 1080x1350.jpg");
        assertThat(names(shoot, ShootReading.none()))
                .allSatisfy(name -> assertThat(name)
                        .as("a photo that does not say when it was taken")
                        .contains(", 01, , 1080x1350"));
    }

    @Test
    void numbersAreAsLongAsTheLongest() {
        Format numbered = POST.withFile(FileSpec.usual("").withName("{number}"));
        String[] files = IntStream.range(0, 120).mapToObj(i -> "p" + i + ".jpg").toArray(String[]::new);
        List<String> names = names(shoot(List.of(numbered), files), ShootReading.none());
        assertThat(names).startsWith("001.jpg").endsWith("120.jpg").doesNotHaveDuplicates();
    }

    @Test
    void namesThatDifferOnlyInCaseAreKeptApart() {
        Format plain = POST.withFile(FileSpec.usual("").withName("{photo}"));
        assertThat(names(shoot(List.of(plain), "A.jpg", "a.jpg", "a.png"), ShootReading.none()))
                .containsExactly("A.jpg", "a-2.jpg", "a-3.jpg");
    }

    @Test
    void nothingClimbsOutWhateverThePhotosAndTheShootAreCalled() {
        Format climbing = POST.withFile(FileSpec.usual("").withName("{shoot}{photo}"));
        Shoot hostile = Shoot.of(
                "../../etc",
                Shoot.Order.NAME,
                List.of(climbing),
                List.of(Photo.untouched("..\\..\\x:y.jpg").withPixels(new PixelSize(10, 10))));
        assertThat(names(hostile, ShootReading.none()))
                .allSatisfy(name -> assertThat(name).doesNotContain("/").doesNotContain("\\"));
    }

    @Test
    void theExampleIsTheNameOfTheFirstFile() {
        Format named = POST.withFile(FileSpec.usual("feed").withName("{format} {number} {photo}"));
        Shoot shoot = shoot(List.of(named), "a.jpg", "b.jpg");
        DeliveryPlan plan =
                DeliveryPlan.of(shoot, ShootReading.none(), new DeliveryPlan.Choice(Set.of("post"), false, false));
        assertThat(DeliveryPlan.example(
                        shoot, ShootReading.none(), plan.files().get(0).crop()))
                .isEqualTo(plan.files().get(0).name())
                .isEqualTo("feed/Post 01 a.jpg");
    }

    @Test
    void photosOutOrUnreadableStayBehindAndAreCountedAlike() {
        Shoot shoot = shoot(List.of(POST, Format.of("own", "Own", Ratio.PHOTO)), "a.jpg", "b.jpg", "c.jpg")
                .with("b.jpg", photo -> photo.withMark(Mark.OUT));
        ShootReading reading =
                new ShootReading(Map.of(), Map.of("c.jpg", new PhotoProblem("c.jpg", PhotoProblem.Reason.DAMAGED)));
        DeliveryPlan.Choice choice = new DeliveryPlan.Choice(Set.of("post", "own"), false, false);
        assertThat(DeliveryPlan.of(shoot, reading, choice).files())
                .extracting(item -> item.photo().file())
                .containsExactly("a.jpg", "a.jpg");
        assertThat(DeliveryPlan.count(shoot, reading, choice)).isEqualTo(2);
    }

    @Test
    void tooFewPixelsOnPaperAreToldInPixelsAnInch() {
        Format poster = Format.of("poster", "Poster", Ratio.of("3", "2"))
                .withSize(new OutputSize.Print(30, 20, LengthUnit.IN, 300));
        Shoot shoot = shoot(List.of(poster), "a.jpg");
        DeliveryPlan plan =
                DeliveryPlan.of(shoot, ShootReading.none(), new DeliveryPlan.Choice(Set.of("poster"), false, false));
        assertThat(DeliveryCheck.ppiOfTooSmall(plan).getMin()).isEqualTo(100);
        assertThat(DeliveryCheck.of(shoot, ShootReading.none(), plan))
                .extracting(DeliveryCheck.Finding::kind)
                .contains(DeliveryCheck.Kind.TOO_FEW_PIXELS);
        assertThat(DeliveryCheck.likelyBytes(plan)).isBetween(20_000_000L, 80_000_000L);
    }
}
