package nexa.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.attribute.FileTime;
import java.util.Map;
import java.util.Set;
import nexa.files.FileStamp;
import org.junit.jupiter.api.Test;

class FolderNewsTest {
    private static FileStamp stamp(long length) {
        return new FileStamp(length, FileTime.fromMillis(length));
    }

    @Test
    void aFileStillBeingCopiedIsNoNewPhotoYet() {
        Map<String, FileStamp> first = Map.of("a.jpg", stamp(1));
        Map<String, FileStamp> growing = Map.of("a.jpg", stamp(1), "b.jpg", stamp(10));
        Map<String, FileStamp> grown = Map.of("a.jpg", stamp(1), "b.jpg", stamp(20));
        Set<String> known = Set.of("a.jpg");
        assertThat(FolderNews.between(first, growing, known).isNothing()).isTrue();
        assertThat(FolderNews.between(growing, grown, known).isNothing()).isTrue();
        assertThat(FolderNews.between(grown, grown, known).fresh()).containsExactly("b.jpg");
    }

    @Test
    void knownPhotosGoComeBackAndChange() {
        Set<String> known = Set.of("a.jpg", "b.jpg");
        Map<String, FileStamp> both = Map.of("a.jpg", stamp(1), "b.jpg", stamp(2));
        Map<String, FileStamp> one = Map.of("a.jpg", stamp(3));
        FolderNews going = FolderNews.between(both, one, known);
        assertThat(going.gone()).containsExactly("b.jpg");
        assertThat(going.changed()).containsExactly("a.jpg");
        assertThat(FolderNews.between(one, both, known).changed()).containsExactlyInAnyOrder("a.jpg", "b.jpg");
    }
}
