package nexa.desktop.sheet;

import java.util.ArrayList;
import java.util.Collection;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.geometry.Angle;
import nexa.core.message.EnumName;
import nexa.core.series.CropTable;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Lane;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.Words;
import nexa.desktop.session.WorkedOut;

/**
 * What chosen photos have in common.
 *
 * @param title what they are called together
 * @param angle of all of them; empty where they differ
 * @param words a line each: how they lie, how far they lean, how much is kept of them, and what is said of them
 */
record InCommon(String title, Optional<Angle> angle, String words) {

    static InCommon of(WorkedOut known, Collection<String> files) {
        List<Photo> photos = files.stream()
                .flatMap(file -> known.now().shoot().find(file).stream())
                .toList();
        List<PhotoCrop> cropped = photos.stream()
                .flatMap(photo -> known.crops().find(photo.file()).stream())
                .map(CropTable.Row::crop)
                .toList();
        String title =
                photos.size() == 1 ? PhotoNames.base(photos.get(0).file()) : Words.get("chosen.title", photos.size());
        return new InCommon(title, shared(photos, Photo::angle), words(photos, cropped));
    }

    private static String words(List<Photo> photos, List<PhotoCrop> crops) {
        if (photos.size() < 2 || crops.isEmpty()) {
            return saidOf(photos, crops);
        }
        String lanes = Stream.of(Lane.values())
                .map(lane -> count(crops, lane))
                .filter(words -> !words.isEmpty())
                .collect(Collectors.joining(", "));
        DoubleSummaryStatistics leans = crops.stream()
                .mapToDouble(crop -> crop.photo().angle().degrees())
                .summaryStatistics();
        DoubleSummaryStatistics kept =
                crops.stream().mapToDouble(crop -> 100 * crop.kept()).summaryStatistics();
        return String.join(
                "\n", lanes, range("chosen.turned", leans, 1), range("chosen.kept", kept, 0), saidOf(photos, crops));
    }

    private static String count(List<PhotoCrop> crops, Lane lane) {
        long count = crops.stream().filter(crop -> crop.photo().lane() == lane).count();
        return count == 0 ? "" : Words.get("chosen.lane." + EnumName.of(lane), count);
    }

    private static String range(String key, DoubleSummaryStatistics values, int decimals) {
        String least = Words.number(values.getMin(), decimals);
        String most = Words.number(values.getMax(), decimals);
        return least.equals(most) ? Words.get(key + ".all", least) : Words.get(key, least, most);
    }

    private static String saidOf(List<Photo> photos, List<PhotoCrop> crops) {
        List<String> said = new ArrayList<>();
        Optional<Mark> mark = shared(photos, Photo::mark);
        said.add(mark.map(shared -> Words.of("mark", shared)).orElse(Words.get("chosen.marks")));
        if (crops.size() == photos.size() && !photos.isEmpty()) {
            said.add(shared(crops, PhotoCrop::state)
                    .map(state -> Words.of("state", state))
                    .orElse(Words.get("chosen.states")));
        }
        return String.join(", ", said);
    }

    /** What all of them have; empty where they differ. */
    private static <A, T> Optional<T> shared(List<A> all, Function<A, T> what) {
        Set<T> values = all.stream().map(what).collect(Collectors.toSet());
        return values.size() == 1 ? Optional.of(values.iterator().next()) : Optional.empty();
    }
}
