package nexa.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.format.Format;
import nexa.core.format.Ratio;
import nexa.core.geometry.Angle;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.Test;

class RawPairsTest {
    private static final Shoot NOTHING =
            Shoot.of("Card", Shoot.Order.NAME, List.of(Format.of("tile", "Tile", Ratio.of("1", "1"))), List.of());

    private static Map<String, Optional<String>> files(Shoot shoot) {
        return shoot.photos().stream().collect(Collectors.toMap(Photo::file, Photo::raw));
    }

    @Test
    void aRawFileAndAJpegOfOneNameAreOnePhotoAndAllElseIsItsOwn() {
        Shoot shoot = RawPairs.withFiles(
                NOTHING, List.of("a.JPG", "A.cr3", "b.dng", "c.jpeg", "c.png", "d.png", "d.nef", "e.jpg.raf", "e.jpg"));
        assertThat(files(shoot))
                .containsOnlyKeys("a.JPG", "b.dng", "c.jpeg", "c.png", "d.png", "d.nef", "e.jpg.raf", "e.jpg")
                .containsEntry("a.JPG", Optional.of("A.cr3"))
                .containsEntry("b.dng", Optional.empty())
                .containsEntry("d.png", Optional.empty());
    }

    @Test
    void ofSeveralTheFirstByNameCountsAndNoFileIsLost() {
        Shoot shoot = RawPairs.withFiles(NOTHING, List.of("a.nef", "a.jpg", "a.dng", "a.jpeg"));
        assertThat(files(shoot))
                .containsOnlyKeys("a.jpeg", "a.jpg", "a.nef")
                .containsEntry("a.jpeg", Optional.of("a.dng"));
    }

    @Test
    void chosenApartTheyAreTwoPhotosAndTogetherAgainOne() {
        List<String> there = List.of("a.jpg", "a.dng", "b.jpg");
        Shoot together = RawPairs.withFiles(NOTHING, there).with("a.jpg", photo -> photo.withAngle(new Angle(2)));
        Shoot apart = RawPairs.withFiles(together.withPairs(Shoot.Pairs.APART), there);
        assertThat(files(apart)).containsOnlyKeys("a.jpg", "a.dng", "b.jpg").doesNotContainValue(Optional.of("a.dng"));
        assertThat(apart.photo("a.jpg").angle()).isEqualTo(new Angle(2));
        assertThat(RawPairs.withFiles(apart.withPairs(Shoot.Pairs.TOGETHER), there))
                .isEqualTo(together);
    }

    @Test
    void aRawPhotoThatWasWorkedOnStaysAPhotoOfItsOwn() {
        List<String> there = List.of("a.jpg", "a.dng");
        Shoot apart = RawPairs.withFiles(NOTHING.withPairs(Shoot.Pairs.APART), there)
                .with("a.dng", photo -> photo.withAngle(new Angle(-1)));
        Shoot joined = RawPairs.withFiles(apart.withPairs(Shoot.Pairs.TOGETHER), there);
        assertThat(files(joined)).containsOnlyKeys("a.jpg", "a.dng").containsEntry("a.jpg", Optional.empty());
        assertThat(joined.photo("a.dng").angle()).isEqualTo(new Angle(-1));
    }

    @Test
    void aRawFileThatWentIsStillSaidOfItsPhotoAndOneWhoseJpegWentShowsItself() {
        Shoot pair = RawPairs.withFiles(NOTHING, List.of("a.jpg", "a.dng"));
        assertThat(files(RawPairs.withFiles(pair, List.of("a.jpg"))))
                .containsExactly(Map.entry("a.jpg", Optional.of("a.dng")));
        Shoot left = RawPairs.withFiles(pair, List.of("a.dng"));
        assertThat(files(left)).containsOnlyKeys("a.jpg", "a.dng");
        assertThat(files(RawPairs.withFiles(left, List.of("a.jpg", "a.dng"))))
                .containsExactly(Map.entry("a.jpg", Optional.of("a.dng")));
    }
}
